package rosinedpeg.web.diary;

import java.time.LocalDate;
import java.util.List;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.occasions.Occasion;

/**
 * A week of the diary.
 *
 * @param monday its first day
 * @param sunday its last day
 * @param spans terms and holidays that take some of it
 * @param days those of its days that have anything on them, and today
 * @param drawing the week as a strand
 */
record Week(LocalDate monday, LocalDate sunday, List<Occasion> spans, List<Day> days, View drawing) {}
