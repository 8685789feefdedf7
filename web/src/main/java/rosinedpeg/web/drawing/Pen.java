package rosinedpeg.web.drawing;

import java.util.ArrayList;
import java.util.List;
import rosinedpeg.web.drawing.Mark.Circle;
import rosinedpeg.web.drawing.Mark.Label;
import rosinedpeg.web.drawing.Mark.Path;

/** Draws one mark over the other. Points come as x, y, x, y… */
final class Pen {

    private final List<Mark> marks = new ArrayList<>();

    Pen area(String state, double... points) {
        return path(state, 0, trace(points) + "Z");
    }

    Pen line(String state, double width, double... points) {
        return path(state, width, trace(points));
    }

    Pen path(String state, double width, String path) {
        marks.add(new Path(path, width, state));
        return this;
    }

    Pen circle(String state, double x, double y, double radius) {
        marks.add(new Circle(x, y, radius, state));
        return this;
    }

    Pen text(String state, double x, double y, double size, String anchor, String text) {
        marks.add(new Label(x, y, size, anchor, text, state));
        return this;
    }

    /** A measured distance: a line with a tick square across each end. */
    Pen distance(double x1, double y1, double x2, double y2, double tick) {
        double length = Math.hypot(x2 - x1, y2 - y1);
        double acrossX = length == 0 ? 0 : -(y2 - y1) / length * tick / 2;
        double acrossY = length == 0 ? tick / 2 : (x2 - x1) / length * tick / 2;
        return path(
                "distance",
                tick * 0.22,
                trace(x1 - acrossX, y1 - acrossY, x1 + acrossX, y1 + acrossY)
                        + trace(x1, y1, x2, y2)
                        + trace(x2 - acrossX, y2 - acrossY, x2 + acrossX, y2 + acrossY));
    }

    List<Mark> marks() {
        return List.copyOf(marks);
    }

    View view(double x, double y, double width, double height) {
        return new View(x, y, width, height, marks);
    }

    private static String trace(double... points) {
        StringBuilder trace = new StringBuilder(Stroke.move(points[0], points[1]));
        for (int i = 2; i < points.length; i += 2) {
            trace.append(Stroke.line(points[i], points[i + 1]));
        }
        return trace.toString();
    }
}
