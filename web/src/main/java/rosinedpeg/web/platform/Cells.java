package rosinedpeg.web.platform;

/** Cells of a table that a spreadsheet opens. */
public final class Cells {

    /** A cell that begins with one of these is a formula to a spreadsheet. */
    private static final String FORMULA = "=+-@\t\r";

    private Cells() {}

    /** {@return a cell that no spreadsheet takes for a formula} */
    public static String harmless(String cell) {
        return !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    /** {@return what a cell said before it was made harmless} */
    public static String asTyped(String cell) {
        String text = cell.strip();
        return text.length() > 1 && text.charAt(0) == '\'' && FORMULA.indexOf(text.charAt(1)) >= 0
                ? text.substring(1)
                : text;
    }
}
