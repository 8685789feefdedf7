/** The plan of a change: its steps in the order of the work, and the load left on the post after each. */
package rosinedpeg.core.plan;
