package rosinedpeg.web.platform;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.slf4j.Slf4jLogger;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;

/** Sets a template on A4 paper, as a PDF that prints the same everywhere. */
@Component
public class Paper {

    /** What stands before a picture that a sheet has in itself. */
    private static final String OWN_PICTURE = "data:image/jpeg;base64,";

    static {
        XRLog.setLoggerImpl(new Slf4jLogger());
    }

    private final Fragments fragments;

    Paper(Fragments fragments) {
        this.fragments = fragments;
    }

    /**
     * Sets one sheet.
     *
     * @param template the template
     * @param settings the ways to set it, roomy ones first: the first in which one sheet is enough is taken, or else the last
     * @param sheet what it shows when it is set so, which the template knows by the name {@code sheet}
     * @return the PDF
     */
    public <S> byte[] oneSheet(String template, List<S> settings, Function<S, ?> sheet) {
        for (S setting : settings.subList(0, settings.size() - 1)) {
            Optional<byte[]> set = set(template, sheet.apply(setting), false);
            if (set.isPresent()) {
                return set.get();
            }
        }
        return set(template, sheet.apply(settings.get(settings.size() - 1)), true)
                .orElseThrow();
    }

    /** {@return as many sheets as it takes; the template knows what they show by the name {@code sheet}} */
    public byte[] sheets(String template, Object sheet) {
        return set(template, sheet, true).orElseThrow();
    }

    private Optional<byte[]> set(String template, Object sheet, boolean onSeveralSheets) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PdfBoxRenderer renderer = renderer(Signs.inXml(fragments.layOut(template, Map.of("sheet", sheet))), out)) {
            renderer.layout();
            if (renderer.getRootBox().getLayer().getPages().size() > 1 && !onSeveralSheets) {
                return Optional.empty();
            }
            renderer.createPDF();
            return Optional.of(out.toByteArray());
        } catch (IOException unset) {
            throw new UncheckedIOException(unset);
        }
    }

    /** {@return the answer to a request for a sheet; the file is called as it says} */
    public static ResponseEntity<byte[]> answer(String called, byte[] sheet) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, saved(called, "pdf"))
                .body(sheet);
    }

    /** {@return the header by which a file is saved under a name} */
    public static String saved(String called, String ending) {
        return ContentDisposition.attachment()
                .filename(called.replaceAll("[^\\p{L}\\p{N}]+", "-") + "." + ending, StandardCharsets.UTF_8)
                .build()
                .toString();
    }

    private static PdfBoxRenderer renderer(String html, OutputStream out) {
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFont(
                () -> font("fraunces/600SemiBold/Fraunces_600SemiBold"), "Fraunces", 600, FontStyle.NORMAL, true);
        builder.useFont(
                () -> font("atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular"),
                "Atkinson Hyperlegible Next",
                400,
                FontStyle.NORMAL,
                true);
        builder.useFont(
                () -> font("atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold"),
                "Atkinson Hyperlegible Next",
                700,
                FontStyle.NORMAL,
                true);
        // Nothing on a sheet comes from elsewhere, and nothing may.
        builder.useUriResolver((base, address) -> address.startsWith(OWN_PICTURE) ? address : null);
        builder.useSVGDrawer(new BatikSVGDrawer());
        builder.withHtmlContent(html, null);
        builder.toStream(out);
        return builder.buildPdfRenderer();
    }

    private static InputStream font(String name) {
        try {
            return new ClassPathResource("fonts/" + name + ".ttf").getInputStream();
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
