package rosinedpeg.web.drawing;

import java.util.List;
import rosinedpeg.web.platform.Say;

/** What is left on the post at the least by each way of working: a bar each, to one scale, with the two limits. */
public final class SchoolsChart {

    private static final double LEFT = 130;
    private static final double WIDTH = 400;
    private static final double ROW = 30;
    private static final double TOP = 22;
    private static final double TEXT = 14;
    /** Room for a letter of a note. */
    private static final double NOTE = 6.4;

    private SchoolsChart() {}

    /**
     * Draws the bars.
     *
     * @param rows one for each way of working, the best first
     * @param heldFrom share of the load from which the post is held
     * @param thinFrom share below which a plan is refused
     * @param say how its figures are written
     * @return the drawing
     */
    public static View of(List<Row> rows, double heldFrom, double thinFrom, Say say) {
        Pen pen = new Pen();
        int longest = rows.stream().mapToInt(row -> row.note().length()).max().orElse(0);
        double bottom = TOP + rows.size() * ROW;
        for (double limit : new double[] {thinFrom, heldFrom}) {
            double x = LEFT + limit * WIDTH;
            pen.line("guide", 1, x, TOP - 4, x, bottom);
            pen.text("measure", x, TOP - 8, TEXT * 0.9, "middle", say.share(limit));
        }
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            double y = TOP + (i + 0.5) * ROW;
            double end = LEFT + Math.max(0, row.least()) * WIDTH;
            pen.line(row.mine() ? "bar mine" : "bar", ROW * 0.5, LEFT, y, end, y);
            pen.text("name", LEFT - 10, y + TEXT * 0.35, TEXT, "end", row.order());
            pen.text("measure", end + 8, y + TEXT * 0.35, TEXT, "start", say.share(row.least()) + row.note());
        }
        return pen.view(0, 0, LEFT + WIDTH + 60 + NOTE * longest, bottom + 6);
    }

    /**
     * One way of working.
     *
     * @param order the strings in its order
     * @param least what is left on the post at the least
     * @param mine whether it is the one that is chosen
     * @param note what else there is to say of it, after the share; may be empty
     */
    public record Row(String order, double least, boolean mine, String note) {}
}
