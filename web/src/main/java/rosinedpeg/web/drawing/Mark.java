package rosinedpeg.web.drawing;

/** One thing in a drawing. Its state completes a style class. */
public sealed interface Mark {

    /** {@return its style class} */
    String state();

    /** {@return the SVG element it becomes} */
    String element();

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
        public String element() {
            return "path";
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
        public String element() {
            return "circle";
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
        public String element() {
            return "text";
        }
    }
}
