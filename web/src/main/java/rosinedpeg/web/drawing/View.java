package rosinedpeg.web.drawing;

import java.util.List;
import java.util.stream.Collectors;

/**
 * A drawing in its own units, mostly millimetres, y downwards.
 *
 * @param x left edge of what is seen
 * @param y top edge
 * @param width of what is seen
 * @param height of what is seen
 * @param marks what is drawn, the later over the earlier
 */
public record View(double x, double y, double width, double height, List<Mark> marks) {

    /** Copies the marks. */
    public View {
        marks = List.copyOf(marks);
    }

    /** {@return what is drawn, as SVG} */
    public String svg() {
        return marks.stream().map(Mark::svg).collect(Collectors.joining());
    }

    /** {@return the view box} */
    public String viewBox() {
        return Stroke.number(x) + " " + Stroke.number(y) + " " + Stroke.number(width) + " " + Stroke.number(height);
    }
}
