package rosinedpeg.web.drawer;

import static rosinedpeg.web.platform.Entry.orEmpty;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.web.platform.Say;

/**
 * Which labels are printed, and how they stand on their sheet, as typed.
 *
 * @param of of what
 * @param kind the kind, where labels of one kind are wanted
 * @param since the day since when the strings came, where that is wanted
 * @param rows how many labels stand one under the other
 * @param columns how many side by side
 * @param width of a label, in mm
 * @param height of a label, in mm
 * @param top from the upper edge of the sheet to the first, in mm
 * @param left from its left edge, in mm
 * @param first which one is printed first
 */
record LabelForm(
        Of of,
        @Nullable UUID kind,
        String since,
        String rows,
        String columns,
        String width,
        String height,
        String top,
        String left,
        String first) {

    /** Of what labels are printed. */
    enum Of {
        /** Every string that came into the drawer since a day. */
        SINCE,
        /** Every string of one kind that lies there. */
        KIND,
        /** Every instrument on the rack. */
        INSTRUMENTS
    }

    /** What is not sent is as on the first of the usual sheets. */
    LabelForm {
        of = of == null ? kind == null ? Of.SINCE : Of.KIND : of;
        since = orEmpty(since);
        LabelSheet usual = LabelSheet.USUAL.get(0);
        rows = rows == null ? String.valueOf(usual.rows()) : rows;
        columns = columns == null ? String.valueOf(usual.columns()) : columns;
        width = width == null ? Say.number(usual.widthMm(), 1) : width;
        height = height == null ? Say.number(usual.heightMm(), 1) : height;
        top = top == null ? Say.number(usual.topMm(), 1) : top;
        left = left == null ? Say.number(usual.leftMm(), 1) : left;
        first = first == null ? "1" : first;
    }
}
