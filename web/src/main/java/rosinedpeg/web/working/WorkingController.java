package rosinedpeg.web.working;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;
import rosinedpeg.core.working.CollarFigure;
import rosinedpeg.core.working.CollarGrounds;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.core.working.InstrumentGrounds;
import rosinedpeg.core.working.PacketFigure;
import rosinedpeg.core.working.PacketGrounds;
import rosinedpeg.core.working.TimeFigure;
import rosinedpeg.core.working.TimeGrounds;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;

/** How a figure of an instrument came about: in place where scripts run, on a page of its own otherwise. */
@Controller
class WorkingController {

    private final Instruments instruments;
    private final StringKinds kinds;
    private final WorkingView view;
    private final Clock clock;

    WorkingController(Instruments instruments, StringKinds kinds, WorkingView view, Clock clock) {
        this.instruments = instruments;
        this.kinds = kinds;
        this.view = view;
        this.clock = clock;
    }

    /**
     * Shows the working of a figure of the instrument or of one of its strings.
     *
     * @param worked which figure
     * @param asked what it is asked about: a string, another kind of string, how it is wound, what each string carries
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/working/{worked}")
    String ofInstrument(
            @PathVariable UUID id,
            @PathVariable InstrumentFigure worked,
            Asked asked,
            Model model,
            HttpServletRequest request) {
        Instrument instrument = instruments.get(id);
        return view.show(id, asked.string(), () -> Working.of(worked, grounds(instrument, asked)), model, request);
    }

    /** Shows how the wear of a string that is on came about. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/strings/{position}/working/{worked}")
    String ofWear(
            @PathVariable UUID id,
            @PathVariable Position position,
            @PathVariable WearFigure worked,
            Model model,
            HttpServletRequest request) {
        StringOn string = instruments
                .get(id)
                .string(position)
                .filter(on -> on.fittedAt().isPresent())
                .orElseThrow(() -> new NotFoundException("string " + position + " of known age on " + id));
        return view.show(id, position, () -> Working.of(worked, string.wornBy()), model, request);
    }

    /** Shows how a figure of a kind of string follows from its packet. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/strings/working/{worked}")
    String ofPacket(@PathVariable PacketFigure worked, AskedPacket asked, Model model, HttpServletRequest request) {
        return view.show(() -> Working.of(worked, new PacketGrounds(asked.packet())), model, request);
    }

    /** Shows how the forecast of a wooden peg's collar came about. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/pegs/{position}/working/{worked}")
    String ofCollar(
            @PathVariable UUID id,
            @PathVariable Position position,
            @PathVariable CollarFigure worked,
            Model model,
            HttpServletRequest request) {
        Instrument instrument = instruments.get(id);
        CollarGrounds grounds = new CollarGrounds(
                instrument.collars().getOrDefault(position, List.of()),
                instrument.fittings().pegWood(),
                CurrentWorkshop.today(clock));
        return view.show(id, position, () -> Working.of(worked, grounds), model, request);
    }

    /**
     * Shows what the usual time of some work is made of.
     *
     * @param forAll minutes of steps that are no string's own
     * @param each minutes of the steps of each string, I first
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/time/{worked}")
    String ofTime(
            @PathVariable UUID id,
            @PathVariable TimeFigure worked,
            @RequestParam double forAll,
            @RequestParam List<Double> each,
            Model model,
            HttpServletRequest request) {
        List<Position> positions = instruments.get(id).setUp().positions();
        return view.show(
                id, null, () -> Working.of(worked, new TimeGrounds(forAll, ofEach(positions, each))), model, request);
    }

    private InstrumentGrounds grounds(Instrument instrument, Asked asked) {
        SetUp setUp = asked.gap() == null
                ? instrument.setUp()
                : instrument.setUp().measured(Map.of(Measurable.of(Quantity.BRIDGE_GAP), asked.gap()));
        InstrumentGrounds grounds =
                InstrumentGrounds.of(setUp, instrument.specs()).sticking(instrument.stuck());
        Optional<StringSpec> string =
                Optional.ofNullable(asked.string()).flatMap(position -> specAt(instrument, position, asked.kind()));
        if (asked.string() != null && setUp.positions().contains(asked.string())) {
            grounds = grounds.at(asked.string());
        }
        if (string.isPresent()) {
            grounds = grounds.about(asked.wound(setUp, string.get()), asked.choice());
        }
        if (asked.carries() != null) {
            List<Position> positions = setUp.positions();
            grounds = grounds.carrying(ofEach(positions, asked.carries()), ofEach(positions, asked.whole()));
        }
        return asked.raisedTo() == null ? grounds : grounds.raisedTo(asked.raisedTo());
    }

    /** What is on there, or a kind of string that could be. */
    private Optional<StringSpec> specAt(Instrument instrument, Position position, @Nullable UUID kindId) {
        return kindId == null
                ? instrument.string(position).map(on -> on.kind().spec())
                : kinds.of(instrument.setUp(), position).stream()
                        .filter(kind -> kind.id().equals(kindId))
                        .map(StringKind::spec)
                        .findFirst();
    }

    private static Map<Position, Double> ofEach(List<Position> positions, @Nullable List<Double> valuesN) {
        if (valuesN == null || valuesN.size() != positions.size() || valuesN.contains(null)) {
            throw new IllegalArgumentException("wants one tension for each of " + positions);
        }
        Map<Position, Double> ofEach = new EnumMap<>(Position.class);
        positions.forEach(position -> ofEach.put(position, valuesN.get(position.number() - 1)));
        return ofEach;
    }

    /**
     * What a figure is asked about.
     *
     * @param string which string, if it is of one
     * @param kind another kind of string than the one that is on
     * @param lock how its tip is held; the usual way when null
     * @param wall what its turns do at the wall; a small gap when null
     * @param way over or under its shaft; over when null
     * @param farSide whether it is wound on the side away from its knob; not when null
     * @param carries what each string carries in N, I first; all at pitch when null
     * @param whole what each string carries at pitch in N, I first; needed with what they carry
     * @param gap the bridge's gap as it was read just now, in mm; as measured last when null
     * @param trimmed whether its tip was cut to length, where it is; not when null
     * @param raisedTo to what share of its tension a string is raised; all of it when null
     */
    record Asked(
            @Nullable Position string,
            @Nullable UUID kind,
            @Nullable Lock lock,
            @Nullable Wall wall,
            @Nullable Way way,
            @Nullable Boolean farSide,
            @Nullable List<Double> carries,
            @Nullable List<Double> whole,
            @Nullable Double gap,
            @Nullable Boolean trimmed,
            @Nullable Double raisedTo) {

        /** {@return the string as it is wound: cut to length where it was} */
        StringSpec wound(SetUp setUp, StringSpec whole) {
            return Boolean.TRUE.equals(trimmed)
                    ? whole.shortenedBy(WindingPlan.of(setUp, whole, choice()).trimMm())
                    : whole;
        }

        WindingChoice choice() {
            return new WindingChoice(
                    lock == null ? WindingChoice.USUAL.lock() : lock,
                    wall == null ? WindingChoice.USUAL.wall() : wall,
                    way == null ? WindingChoice.USUAL.way() : way,
                    Boolean.TRUE.equals(farSide) ? HoleSide.FAR_SIDE : HoleSide.KNOB_SIDE);
        }
    }
}
