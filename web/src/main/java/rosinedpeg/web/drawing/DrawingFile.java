package rosinedpeg.web.drawing;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.Fragments;
import rosinedpeg.web.platform.Palette;
import rosinedpeg.web.platform.Signs;

/** Makes a file of a drawing, complete in itself, at its true size or magnified. */
@Component
public class DrawingFile {

    private static final MediaType SVG = MediaType.valueOf("image/svg+xml;charset=UTF-8");
    /** Between two views, as a share of the widest. */
    private static final double GAP = 0.12;

    private final Fragments fragments;
    private final Palette palette;

    DrawingFile(Fragments fragments, Palette palette) {
        this.fragments = fragments;
        this.palette = palette;
    }

    /**
     * Makes the file.
     *
     * @param name what it is saved as, without an ending
     * @param title what the drawing shows
     * @param desc what is to be seen in it, for those who cannot see it
     * @param magnified how much larger than life it is printed
     * @param views what is drawn, from left to right
     * @return the answer to a request for it
     */
    public ResponseEntity<byte[]> of(String name, String title, String desc, double magnified, List<View> views) {
        double gap = GAP * views.stream().mapToDouble(View::width).max().orElseThrow();
        List<Placed> placed = new ArrayList<>();
        double width = 0;
        for (View view : views) {
            placed.add(new Placed(view, width - view.x(), -view.y()));
            width += view.width() + gap;
        }
        width -= gap;
        double height = views.stream().mapToDouble(View::height).max().orElseThrow();
        Map<String, Object> shown = Map.of(
                "colours",
                palette.colours(),
                "title",
                title,
                "desc",
                desc,
                "placed",
                placed,
                "box",
                "0 0 " + Stroke.number(width) + " " + Stroke.number(height),
                "width",
                Stroke.number(width * magnified) + "mm",
                "height",
                Stroke.number(height * magnified) + "mm");
        return ResponseEntity.ok()
                .contentType(SVG)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name + ".svg")
                                .build()
                                .toString())
                .body(Signs.inXml(fragments.layOut("drawing/file", shown)).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * A view where it lies in the file.
     *
     * @param view the view
     * @param x how far it is moved to the right
     * @param y how far down
     */
    public record Placed(View view, double x, double y) {

        /** {@return its place as an SVG transformation} */
        public String transform() {
            return "translate(" + Stroke.number(x) + " " + Stroke.number(y) + ")";
        }
    }
}
