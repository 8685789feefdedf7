/**
 * The plan of a change: its steps in the order of the work, and the load left on the post after each. {@link
 * rosinedpeg.core.plan.ChangePlanner} plans a {@link rosinedpeg.core.plan.ChangeRequest} in the order that {@code
 * OrderSearch} finds, {@link rosinedpeg.core.plan.RepairPlanner} work that is not a change, {@link
 * rosinedpeg.core.plan.MishapPlanner} what to do when something goes wrong. What comes of all three is a {@link
 * rosinedpeg.core.plan.ChangePlan} of {@link rosinedpeg.core.plan.Step}s.
 */
@NullMarked
package rosinedpeg.core.plan;

import org.jspecify.annotations.NullMarked;
