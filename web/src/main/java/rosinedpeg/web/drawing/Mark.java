package rosinedpeg.web.drawing;

import org.jspecify.annotations.Nullable;
import org.springframework.web.util.HtmlUtils;

/** One thing in a drawing, written as SVG by itself: a page has hundreds of them. Its state is a style class. */
public sealed interface Mark {

    /** {@return its style class} */
    String state();

    /** {@return the SVG element it becomes} */
    String svg();

    /** {@return the beginning of an element: its name, its class, and of its attributes those that have a value} */
    private static String element(String name, String state, @Nullable Object... attributes) {
        StringBuilder begun = new StringBuilder("<").append(name);
        attribute(begun, "class", state);
        for (int i = 0; i < attributes.length; i += 2) {
            attribute(begun, String.valueOf(attributes[i]), attributes[i + 1]);
        }
        return begun.toString();
    }

    private static void attribute(StringBuilder element, String name, @Nullable Object value) {
        if (value != null) {
            element.append(' ')
                    .append(name)
                    .append("=\"")
                    .append(escaped(value.toString()))
                    .append('"');
        }
    }

    /** Nearly all of it is figures, which are found to need nothing in one pass. */
    private static String escaped(String text) {
        for (int i = 0; i < text.length(); i++) {
            if ("&<>\"'".indexOf(text.charAt(i)) >= 0) {
                return HtmlUtils.htmlEscape(text, "UTF-8");
            }
        }
        return text;
    }

    private static double rounded(double value) {
        return Math.round(value * 1000) / 1000.0;
    }

    /** A filled outline, or with a width a line. */
    record Path(String path, double width, String state) implements Mark {

        /** Rounds to thousandths. */
        public Path {
            width = rounded(width);
        }

        @Override
        public String svg() {
            return element("path", state, "d", path, "stroke-width", width > 0 ? width : null) + "/>";
        }
    }

    /** A circle. */
    record Circle(double x, double y, double radius, String state) implements Mark {

        /** Rounds to thousandths. */
        public Circle {
            x = rounded(x);
            y = rounded(y);
            radius = rounded(radius);
        }

        @Override
        public String svg() {
            return element("circle", state, "cx", x, "cy", y, "r", radius) + "/>";
        }
    }

    /** A numeral or a figure. */
    record Label(double x, double y, double size, String anchor, String text, String state) implements Mark {

        /** Rounds to thousandths. */
        public Label {
            x = rounded(x);
            y = rounded(y);
            size = rounded(size);
        }

        @Override
        public String svg() {
            return element("text", state, "x", x, "y", y, "font-size", size, "text-anchor", anchor) + ">"
                    + escaped(text) + "</text>";
        }
    }
}
