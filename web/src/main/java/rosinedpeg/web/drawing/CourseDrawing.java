package rosinedpeg.web.drawing;

import java.time.LocalDate;
import java.util.Locale;
import rosinedpeg.core.lesson.Course;
import rosinedpeg.core.lesson.Lesson;

/**
 * A course as a peg on which every lesson that went well has laid a turn: side by side from the first to the last. One that comes back
 * shines; one that never went well lies across; where none was done yet the shaft is bare.
 */
public final class CourseDrawing {

    private static final double HEIGHT = 44;
    private static final double MIDDLE = 22;
    private static final double SHAFT = 20;
    private static final double TAPER = 0.84;
    private static final double KNOB = 46;
    private static final double FIRST = 70;
    private static final double STEP = 25;
    private static final double LEANS = 3;
    private static final double THICK = 8;

    private CourseDrawing() {}

    /**
     * Draws it.
     *
     * @param course how far somebody has come
     * @param today the day it is
     * @return the drawing
     */
    public static View of(Course course, LocalDate today) {
        double width = FIRST + Lesson.values().length * STEP + KNOB / 2;
        Pen pen = new Pen();
        double thin = SHAFT * TAPER / 2;
        pen.area(
                "shaft",
                KNOB,
                MIDDLE - SHAFT / 2,
                width,
                MIDDLE - thin,
                width,
                MIDDLE + thin,
                KNOB,
                MIDDLE + SHAFT / 2);
        pen.line("shine", 1.6, KNOB, MIDDLE - SHAFT * 0.25, width, MIDDLE - thin * 0.5);
        pen.path(
                "knob",
                0,
                Stroke.move(4, MIDDLE)
                        + Stroke.curve(4, 2, KNOB * 0.7, 2, KNOB, MIDDLE - SHAFT * 0.42)
                        + Stroke.line(KNOB, MIDDLE + SHAFT * 0.42)
                        + Stroke.curve(KNOB * 0.7, HEIGHT - 2, 4, HEIGHT - 2, 4, MIDDLE)
                        + "z");
        pen.line("ring", 4, KNOB + 2, MIDDLE - SHAFT * 0.6, KNOB + 2, MIDDLE + SHAFT * 0.6);
        for (Lesson lesson : Lesson.values()) {
            Course.Standing standing = course.standing(lesson, today);
            double x = FIRST + lesson.ordinal() * STEP;
            double leans = standing == Course.Standing.NOT_YET_CLEAN ? STEP * 0.55 : LEANS;
            String state = "laid " + standing.name().toLowerCase(Locale.ROOT).replace('_', '-');
            if (standing == Course.Standing.NEW) {
                pen.circle(state, x, MIDDLE, 1.8);
            } else {
                pen.line(state, THICK, x - leans, MIDDLE + SHAFT * 0.58, x + leans, MIDDLE - SHAFT * 0.58);
            }
        }
        return pen.view(0, 0, width, HEIGHT);
    }
}
