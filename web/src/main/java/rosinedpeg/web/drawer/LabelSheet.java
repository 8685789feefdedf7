package rosinedpeg.web.drawer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.springframework.validation.Errors;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.web.platform.Entry;

/**
 * How labels stand on a sheet of A4, in mm.
 *
 * @param rows how many stand one under the other
 * @param columns how many side by side
 * @param widthMm of a label
 * @param heightMm of a label
 * @param topMm from the upper edge of the sheet to the first
 * @param leftMm from its left edge to the first
 * @param first which one is printed first, from 1; those before it are used already
 */
record LabelSheet(int rows, int columns, double widthMm, double heightMm, double topMm, double leftMm, int first) {

    static final int MOST_ROWS = 20;
    static final int MOST_COLUMNS = 8;
    private static final double PAPER_WIDTH_MM = 210;
    private static final double PAPER_HEIGHT_MM = 297;
    private static final Range WIDTH = new Range(20, PAPER_WIDTH_MM, Unit.MILLIMETRE);
    private static final Range HEIGHT = new Range(14, PAPER_HEIGHT_MM, Unit.MILLIMETRE);
    private static final Range MARGIN = new Range(0, 60, Unit.MILLIMETRE);
    /** A printer feeds no sheet more exactly. */
    private static final double FEED_MM = 0.5;

    /** Ways to share out a sheet. */
    static final List<LabelSheet> USUAL = List.of(
            new LabelSheet(8, 3, 70, 37, 0.5, 0, 1),
            new LabelSheet(7, 2, 99, 38, 15.5, 6, 1),
            new LabelSheet(13, 5, 38, 21, 12, 10, 1));

    /**
     * Reads what was typed.
     *
     * @return the sheet, or what is nearest to it where a refusal was noted at a field
     */
    static LabelSheet read(Errors errors, LabelForm form) {
        OptionalInt rows = Entry.count(errors, "rows", form.rows(), 1, MOST_ROWS);
        OptionalInt columns = Entry.count(errors, "columns", form.columns(), 1, MOST_COLUMNS);
        OptionalDouble width = Entry.number(errors, "width", form.width(), WIDTH);
        OptionalDouble height = Entry.number(errors, "height", form.height(), HEIGHT);
        OptionalDouble top = Entry.number(errors, "top", form.top(), MARGIN);
        OptionalDouble left = Entry.number(errors, "left", form.left(), MARGIN);
        int places = rows.orElse(1) * columns.orElse(1);
        OptionalInt first = Entry.count(errors, "first", form.first(), 1, places);
        LabelSheet sheet = new LabelSheet(
                rows.orElse(1),
                columns.orElse(1),
                width.orElse(WIDTH.low()),
                height.orElse(HEIGHT.low()),
                top.orElse(0),
                left.orElse(0),
                first.orElse(1));
        if (!errors.hasErrors() && sheet.leftMm + sheet.columns * sheet.widthMm > PAPER_WIDTH_MM + FEED_MM) {
            errors.rejectValue("width", "labels.wide", new Object[] {sheet.columns}, null);
        }
        if (!errors.hasErrors() && sheet.topMm + sheet.rows * sheet.heightMm > PAPER_HEIGHT_MM + FEED_MM) {
            errors.rejectValue("height", "labels.high", new Object[] {sheet.rows}, null);
        }
        return sheet;
    }

    /** {@return so many labels as they come to stand: sheets of rows, with nothing where nothing is printed} */
    <L> List<List<List<Optional<L>>>> laidOut(List<L> labels) {
        List<Optional<L>> places = new ArrayList<>();
        for (int used = 1; used < first; used++) {
            places.add(Optional.empty());
        }
        labels.forEach(label -> places.add(Optional.of(label)));
        while (places.size() % (rows * columns) != 0) {
            places.add(Optional.empty());
        }
        List<List<List<Optional<L>>>> sheets = new ArrayList<>();
        for (int from = 0; from < places.size(); from += rows * columns) {
            List<List<Optional<L>>> sheet = new ArrayList<>();
            for (int row = 0; row < rows; row++) {
                sheet.add(places.subList(from + row * columns, from + (row + 1) * columns));
            }
            sheets.add(sheet);
        }
        return sheets;
    }
}
