/**
 * What the bench does when. {@link rosinedpeg.core.week.BenchJob} is work on one instrument with its first and last day, {@link
 * rosinedpeg.core.week.BenchTime} the minutes somebody has on one day; {@link rosinedpeg.core.week.BenchPlanner} finds a {@link
 * rosinedpeg.core.week.BenchSchedule} for them, which says what cannot be done and what would make it possible. Begin with the
 * latter; how it is found is in {@link rosinedpeg.core.week.PricedMinutes}.
 */
@NullMarked
package rosinedpeg.core.week;

import org.jspecify.annotations.NullMarked;
