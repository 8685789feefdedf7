package rosinedpeg.web.archive;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Base64;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.load.FeetLoad;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.findings.Inspections;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.findings.Referral;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.LogEntry;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.instrument.Measured;
import rosinedpeg.web.picture.InstrumentPictures;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Palette;
import rosinedpeg.web.platform.Paper;
import rosinedpeg.web.platform.Say;

/** Sets an instrument's passport on one sheet: what it is, what is on it, what it measures, what was found, what was done last. */
@Component
class PassportSheet {

    /** The ways to set it, roomy ones first. */
    private static final List<Setting> SETTINGS = List.of(
            new Setting(10, 14, 500),
            new Setting(9, 12, 300),
            new Setting(8, 10, 200),
            new Setting(7, 8, 120),
            new Setting(6, 6, 70));

    private final Instruments instruments;
    private final InstrumentPictures pictures;
    private final Inspections inspections;
    private final Notes notes;
    private final List<LogSource> logs;
    private final Paper paper;
    private final Palette palette;
    private final Say say;
    private final Clock clock;

    PassportSheet(
            Instruments instruments,
            InstrumentPictures pictures,
            Inspections inspections,
            Notes notes,
            List<LogSource> logs,
            Paper paper,
            Palette palette,
            Say say,
            Clock clock) {
        this.instruments = instruments;
        this.pictures = pictures;
        this.inspections = inspections;
        this.notes = notes;
        this.logs = logs;
        this.paper = paper;
        this.palette = palette;
        this.say = say;
        this.clock = clock;
    }

    /** How large the type is, how many findings and entries of what was done then belong there, and how long each may be. */
    private record Setting(int sizePt, int entries, int longest) {}

    /**
     * Makes the sheet.
     *
     * @param instrument the instrument
     * @param workshop what the workshop is called, which signs what somebody recorded
     * @return a PDF
     */
    byte[] of(Instrument instrument, String workshop) {
        return paper.oneSheet("archive/sheet", SETTINGS, setting -> sheet(instrument, workshop, setting));
    }

    private Sheet sheet(Instrument instrument, String workshop, Setting setting) {
        List<Finding> found = inspections.of(instrument);
        return new Sheet(
                instrument,
                workshop,
                instrument.setUp().figure(Quantity.VIBRATING_LENGTH),
                pictures.of(instrument.id()).map(Base64.getEncoder()::encodeToString),
                instrument.drawn(string -> "on"),
                measured(instruments.history(instrument.id())),
                found.subList(0, Math.min(found.size(), setting.entries())),
                Math.max(0, found.size() - setting.entries()),
                notes.referrals(instrument.id()),
                LogSource.latest(logs, instrument.id(), setting.entries()),
                instrument.load(),
                clock.instant(),
                CurrentWorkshop.zone(),
                palette.colours(),
                setting.sizePt(),
                setting.longest());
    }

    /** What was measured last; a quantity that each string has its own of, in one row. */
    private List<Latest> measured(Map<Measurable, List<Measured>> history) {
        Map<Quantity, SortedMap<Measurable, Measured>> latest = new EnumMap<>(Quantity.class);
        history.forEach((measurable, values) -> latest.computeIfAbsent(
                        measurable.quantity(),
                        none -> new TreeMap<>(Comparator.comparing(
                                Measurable::position, Comparator.nullsFirst(Comparator.naturalOrder()))))
                .put(measurable, values.get(0)));
        return latest.entrySet().stream()
                .map(one -> new Latest(
                        one.getKey(),
                        one.getValue().keySet().stream()
                                .flatMap(measurable -> measurable.string().stream())
                                .map(Position::name)
                                .collect(Collectors.joining(", ")),
                        one.getValue().values().stream()
                                .map(value -> say.figure(Figure.measured(
                                                value.value(), one.getKey().unit()))
                                        // A unit stays with its number.
                                        .replace(' ', '\u00a0'))
                                .collect(Collectors.joining(", ")),
                        one.getValue().values().stream()
                                .map(Measured::on)
                                .max(Comparator.naturalOrder())
                                .orElseThrow()))
                .toList();
    }

    /**
     * What was measured last.
     *
     * @param quantity what was measured
     * @param strings of which strings; empty where it is one for all
     * @param figures what it came to, string by string, as it is said
     * @param on on which day, the last of them
     */
    record Latest(Quantity quantity, String strings, String figures, LocalDate on) {}

    /**
     * The passport as it is set.
     *
     * @param instrument the instrument
     * @param workshop what the workshop is called
     * @param vibratingLength its vibrating length
     * @param picture its picture, in base64
     * @param strands its strings, drawn
     * @param measured what was measured on it last, string by string where each has its own
     * @param findings what follows from that
     * @param moreFindings how many more there are
     * @param referrals what a repairer has to see to
     * @param log what happened to it last
     * @param load what its strings put on its feet, when all of them are on
     * @param now the moment it is made
     * @param zone the workshop's
     * @param colours by their names
     * @param sizePt how large the type is
     * @param longest how long a note may be
     */
    private record Sheet(
            Instrument instrument,
            String workshop,
            Figure vibratingLength,
            Optional<String> picture,
            Strands strands,
            List<Latest> measured,
            List<Finding> findings,
            int moreFindings,
            List<Referral> referrals,
            List<LogEntry> log,
            Optional<FeetLoad> load,
            Instant now,
            ZoneId zone,
            Map<String, String> colours,
            int sizePt,
            int longest) {}
}
