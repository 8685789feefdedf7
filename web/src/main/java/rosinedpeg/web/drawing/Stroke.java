package rosinedpeg.web.drawing;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A line of a drawing.
 *
 * @param path SVG path data
 * @param width stroke width in drawing units
 * @param state what the line stands for, completing a style class
 */
public record Stroke(String path, double width, String state) {

    /** {@return what is drawn, as SVG: the later over the earlier} */
    @SafeVarargs
    static String svg(Stream<Stroke>... parts) {
        return Stream.of(parts)
                .flatMap(Function.identity())
                .map(stroke -> new Mark.Path(stroke.path(), stroke.width(), stroke.state()).svg())
                .collect(Collectors.joining());
    }

    /** {@return lines that stand for strings, in the class of all of them and in that of their state} */
    static Stream<Stroke> asStrings(List<Stroke> strings) {
        return strings.stream().map(string -> new Stroke(string.path(), string.width(), "string " + string.state()));
    }

    /** {@return a number with at most two decimals; a page has thousands of them} */
    static String number(double value) {
        long hundredths = Math.round(value * 100);
        long beyond = Math.abs(hundredths % 100);
        if (beyond == 0) {
            return Long.toString(hundredths / 100);
        }
        String whole = (hundredths < 0 ? "-" : "") + Math.abs(hundredths / 100);
        return whole + (beyond < 10 ? ".0" : ".") + (beyond % 10 == 0 ? beyond / 10 : beyond);
    }

    static String move(double x, double y) {
        return "M" + number(x) + " " + number(y);
    }

    static String line(double x, double y) {
        return "L" + number(x) + " " + number(y);
    }

    /** {@return a circle, as two arcs from its left edge and back} */
    static String circle(double x, double y, double radius) {
        String arc = "a" + number(radius) + " " + number(radius) + " 0 1 0 ";
        return move(x - radius, y) + arc + number(2 * radius) + " 0" + arc + number(-2 * radius) + " 0z";
    }

    static String curve(double x1, double y1, double x2, double y2, double x, double y) {
        return "C" + number(x1) + " " + number(y1) + " " + number(x2) + " " + number(y2) + " " + number(x) + " "
                + number(y);
    }
}
