package rosinedpeg.web.plan;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import rosinedpeg.core.plan.Step;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.Palette;
import rosinedpeg.web.platform.Paper;

/** Sets a plan on one sheet of A4 paper, as a PDF that prints the same everywhere. */
@Component
class BenchCard {

    /** The ways to set it, roomy ones first. */
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

    private final Paper paper;
    private final Palette palette;

    BenchCard(Paper paper, Palette palette) {
        this.paper = paper;
        this.palette = palette;
    }

    /** How many columns of steps, how large the type, and how much room above and below a step, in its own size. */
    private record Setting(int columns, double sizePt, double roomEm) {}

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
        byte[] card = paper.oneSheet(
                "plan/sheet",
                SETTINGS,
                setting -> new Sheet(
                        page.instrument(),
                        page.beforehand(),
                        course,
                        page.now(),
                        CurrentWorkshop.zone(),
                        palette.colours(),
                        setting.sizePt(),
                        setting.roomEm(),
                        columns(course.plan().steps(), setting.columns())));
        return Paper.answer(page.instrument().name(), card);
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

    private static List<List<Step>> columns(List<Step> steps, int columns) {
        int half = columns == 1 ? steps.size() : (steps.size() + 1) / 2;
        return columns == 1 ? List.of(steps) : List.of(steps.subList(0, half), steps.subList(half, steps.size()));
    }
}
