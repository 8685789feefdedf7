package rosinedpeg.web.plan;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.slf4j.Slf4jLogger;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.ApplicationContext;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;
import rosinedpeg.core.plan.Step;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.Palette;

/** Sets a plan on one sheet of A4 paper, as a PDF that prints the same everywhere. */
@Component
class BenchCard {

    /** The ways to set it, roomy ones first: the first whose sheet is not overfull is taken. */
    private static final List<Setting> SETTINGS = List.of(
            new Setting(1, 11.5, 0.3),
            new Setting(1, 10.5, 0.3),
            new Setting(1, 9.5, 0.3),
            new Setting(1, 8.8, 0.3),
            new Setting(2, 8.8, 0.3),
            new Setting(2, 8, 0.3),
            new Setting(2, 7.4, 0.24),
            new Setting(2, 6.9, 0.18),
            new Setting(2, 6.5, 0.14),
            new Setting(2, 6.1, 0.1));

    static {
        XRLog.setLoggerImpl(new Slf4jLogger());
    }

    private final SpringTemplateEngine templates;
    private final ApplicationContext beans;
    private final Palette palette;

    BenchCard(SpringTemplateEngine templates, ApplicationContext beans, Palette palette) {
        this.templates = templates;
        this.beans = beans;
        this.palette = palette;
    }

    /** How many columns of steps, how large the type, and how much room above and below a step, in its own size. */
    private record Setting(int columns, double sizePt, double roomEm) {
        boolean last() {
            return equals(SETTINGS.get(SETTINGS.size() - 1));
        }
    }

    /**
     * Makes the card.
     *
     * @param page what is on it
     * @return the answer to a request for it; the file is named after the instrument
     * @throws NotFoundException when something is missing for a plan
     */
    ResponseEntity<byte[]> of(CardPage page) {
        Course course = page.course()
                .orElseThrow(() ->
                        new NotFoundException("plan for " + page.instrument().id()));
        for (Setting setting : SETTINGS) {
            Sheet sheet = new Sheet(
                    page.instrument(),
                    page.beforehand(),
                    course,
                    page.now(),
                    CurrentWorkshop.zone(),
                    palette.colours(),
                    setting.sizePt(),
                    setting.roomEm(),
                    columns(course.plan().steps(), setting.columns()));
            Context context = new Context(LocaleContextHolder.getLocale(), Map.of("sheet", sheet));
            context.setVariable(
                    ThymeleafEvaluationContext.THYMELEAF_EVALUATION_CONTEXT_CONTEXT_VARIABLE_NAME,
                    new ThymeleafEvaluationContext(beans, null));
            Optional<byte[]> set = set(templates.process("plan/sheet", context), setting.last());
            if (set.isPresent()) {
                return answer(page.instrument(), set.get());
            }
        }
        throw new IllegalStateException("the last setting is always taken");
    }

    /**
     * The card as it is set.
     *
     * @param instrument the instrument
     * @param beforehand what has to be known before anybody works on it
     * @param course the plan
     * @param now the moment it is made
     * @param zone the workshop's
     * @param colours by their names
     * @param sizePt how large the type is
     * @param roomEm room above and below a step, in the size of the type
     * @param columns the steps, in columns
     */
    private record Sheet(
            Instrument instrument,
            Beforehand beforehand,
            Course course,
            Instant now,
            ZoneId zone,
            Map<String, String> colours,
            double sizePt,
            double roomEm,
            List<List<Step>> columns) {}

    private static ResponseEntity<byte[]> answer(Instrument instrument, byte[] sheet) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(
                                        instrument.name().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".pdf",
                                        StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(sheet);
    }

    /** The PDF; empty when it takes more than one sheet and that is not allowed. */
    private static Optional<byte[]> set(String html, boolean onSeveralSheets) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PdfBoxRenderer renderer = renderer(html, out)) {
            renderer.layout();
            if (renderer.getRootBox().getLayer().getPages().size() > 1 && !onSeveralSheets) {
                return Optional.empty();
            }
            renderer.createPDF();
            return Optional.of(out.toByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
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
        // Nothing on the card comes from elsewhere, and nothing may.
        builder.useUriResolver((base, address) -> null);
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

    private static List<List<Step>> columns(List<Step> steps, int columns) {
        int half = columns == 1 ? steps.size() : (steps.size() + 1) / 2;
        return columns == 1 ? List.of(steps) : List.of(steps.subList(0, half), steps.subList(half, steps.size()));
    }
}
