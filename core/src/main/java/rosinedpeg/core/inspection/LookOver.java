package rosinedpeg.core.inspection;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.finding.Severity.STOPS;
import static rosinedpeg.core.finding.Severity.TODAY;
import static rosinedpeg.core.finding.Severity.WATCH;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.core.wear.WearState;

/**
 * A look over an instrument in two minutes, before it goes out and when it comes back: what an eye, an ear and two fingers find
 * without a rule. It goes from the strings downwards to the bow, so that hands and eyes never go back.
 *
 * <p>What it finds stands beside what {@link Inspection} finds in the measurements. A lean that is only seen is told as seen: whether
 * the bridge has to be straightened is for a card's right angle to say. What such a look cannot see, as a peg's bands, stays as it was
 * known before.
 */
public final class LookOver {

    /** The look takes no longer than this, in seconds. */
    public static final int TWO_MINUTES = 120;

    /** Each string is looked at, and each peg turned a little, for so many seconds; defaults of our own. */
    private static final int SECONDS_OF_A_STRING = 5;

    private static final int SECONDS_OF_A_PEG = 6;

    /** What is seen on a string in passing; the rest is heard by whoever plays. */
    private static final Set<WearSign> ON_A_STRING = Collections.unmodifiableSet(
            EnumSet.of(WearSign.COLOUR_GONE, WearSign.WINDING_FLATTENED, WearSign.WINDING_OPEN, WearSign.CORROSION));

    /** What is noticed at a peg that is turned a little and stays where it is. */
    private static final Set<PegSign> AT_A_PEG = Collections.unmodifiableSet(EnumSet.of(
            PegSign.STICKS,
            PegSign.CREAKS,
            PegSign.CREEPS_BACK,
            PegSign.END_STANDS_OUT_BEYOND_FAR_WALL,
            PegSign.SPLIT,
            PegSign.CRACK_NEAR_THE_HOLE));

    private static final Set<FindingKind> ONLY_SEEN = kindsOnlySeen();

    private LookOver() {}

    private static Set<FindingKind> kindsOnlySeen() {
        Set<FindingKind> kinds = EnumSet.of(FindingKind.STRING_MISSING, FindingKind.TUNER_SCREWED_IN);
        Arrays.stream(Seen.Sign.values()).forEach(sign -> kinds.add(of(sign).kind()));
        return kinds;
    }

    /** Where one looks, in order. */
    public enum Stop {
        STRINGS(0),
        /** Seen from the side, then under its feet. */
        BRIDGE(15),
        /** Through the f-hole on the treble side; the instrument is tilted once. */
        POST(10),
        PEGS(0),
        FINE_TUNERS(10),
        /** Seams, edges, under the strings, chin rest or end pin. */
        BODY(20),
        BOW(10);

        private final int seconds;

        Stop(int seconds) {
            this.seconds = seconds;
        }

        /** {@return how long one looks there, in seconds; a default of our own} */
        public int seconds(SetUp setUp) {
            int strings = setUp.positions().size();
            return seconds
                    + switch (this) {
                        case STRINGS -> SECONDS_OF_A_STRING * strings;
                        case PEGS -> SECONDS_OF_A_PEG * strings;
                        default -> 0;
                    };
        }

        /** {@return where one sees what was found, or that it is gone; the body where nowhere else} */
        public static Stop of(FindingKind kind) {
            return switch (kind.part()) {
                case FIT, STRINGS -> STRINGS;
                case BRIDGE -> BRIDGE;
                case PEGBOX, PEGS -> PEGS;
                case TAILPIECE -> FINE_TUNERS;
                case BOW -> BOW;
                case BODY -> kind == FindingKind.POST_RATTLES || kind == FindingKind.POST_NOT_SEEN ? POST : BODY;
            };
        }

        /** {@return what is looked for there beside strings and pegs} */
        public List<Seen.Sign> signs() {
            return Arrays.stream(Seen.Sign.values())
                    .filter(sign -> sign.stop() == this)
                    .toList();
        }
    }

    /** {@return where one looks on an instrument, in order; not at fine tuners it does not have} */
    public static List<Stop> stops(SetUp setUp) {
        return Arrays.stream(Stop.values())
                .filter(stop -> stop != Stop.FINE_TUNERS || setUp.hasFineTuners())
                .toList();
    }

    /** {@return how long the whole look takes, in seconds} */
    public static int seconds(SetUp setUp) {
        return stops(setUp).stream().mapToInt(stop -> stop.seconds(setUp)).sum();
    }

    /** {@return what is looked for on each string} */
    public static Set<WearSign> onAString() {
        return ON_A_STRING;
    }

    /** {@return what is looked for at each peg of such an instrument} */
    public static Set<PegSign> atAPeg(SetUp setUp) {
        EnumSet<PegSign> signs = EnumSet.copyOf(AT_A_PEG);
        signs.retainAll(PegSign.of(setUp.pegKind()));
        return Collections.unmodifiableSet(signs);
    }

    /** {@return what is known of a string after the look: what was seen, and what such a look cannot see} */
    public static Set<WearSign> wearAfter(Set<WearSign> known, Set<WearSign> seen) {
        return after(known, seen, ON_A_STRING, WearSign.class);
    }

    /** {@return what is known of a peg after the look: what was noticed, and what such a look cannot see} */
    public static Set<PegSign> pegAfter(Set<PegSign> known, Set<PegSign> seen) {
        return after(known, seen, AT_A_PEG, PegSign.class);
    }

    private static <E extends Enum<E>> Set<E> after(Set<E> known, Set<E> seen, Set<E> looked, Class<E> type) {
        EnumSet<E> after = EnumSet.noneOf(type);
        after.addAll(known);
        after.removeAll(looked);
        after.addAll(seen);
        return Collections.unmodifiableSet(after);
    }

    /**
     * What a look comes to.
     *
     * @param condition what was known of the instrument before
     * @param seen what was seen
     * @param today the day
     * @return everything that is not as it should be, seen or measured, what stops the work first
     */
    public static List<Finding> findings(Condition condition, Seen seen, LocalDate today) {
        List<Finding> found = new ArrayList<>(seen(seen));
        found.addAll(Inspection.of(after(condition, seen), requireNonNull(today, "today")));
        found.sort(Inspection.WORST_FIRST);
        return List.copyOf(found);
    }

    private static List<Finding> seen(Seen seen) {
        List<Finding> found = new ArrayList<>();
        seen.missing().forEach(position -> found.add(of(FindingKind.STRING_MISSING, TODAY, position, false)));
        seen.signs().forEach(sign -> found.add(of(sign)));
        seen.tunersIn().forEach(position -> found.add(of(FindingKind.TUNER_SCREWED_IN, WATCH, position, false)));
        return found;
    }

    /** {@return whether only a look over finds it: nothing that is measured or kept of a part says it} */
    public static boolean onlySeen(FindingKind kind) {
        return ONLY_SEEN.contains(requireNonNull(kind, "kind"));
    }

    private static Finding of(Seen.Sign sign) {
        return switch (sign) {
            case BRIDGE_DOWN -> of(FindingKind.BRIDGE_DOWN, STOPS, null, false);
            case BRIDGE_LEANS -> of(FindingKind.BRIDGE_LEANS_TO_THE_EYE, TODAY, null, false);
            case BRIDGE_FOOT_OPEN -> of(FindingKind.BRIDGE_FOOT_OPEN, STOPS, null, true);
            case POST_RATTLES -> of(FindingKind.POST_RATTLES, STOPS, null, true);
            case POST_NOT_SEEN -> of(FindingKind.POST_NOT_SEEN, STOPS, null, true);
            case TUNER_LEVER_ON_TOP -> of(FindingKind.TUNER_LEVER_ON_TOP, TODAY, null, false);
            case CRACK -> of(FindingKind.WOOD_CRACKED, STOPS, null, true);
            case SEAM_OPEN -> of(FindingKind.SEAM_OPEN, TODAY, null, true);
            case FITTING_LOOSE -> of(FindingKind.FITTING_LOOSE, TODAY, null, false);
            case BOW_DAMAGED -> of(FindingKind.BOW_DAMAGED, TODAY, null, true);
            case BOW_HAIR_THIN -> of(FindingKind.BOW_HAIR_THIN, WATCH, null, true);
        };
    }

    private static Finding of(FindingKind kind, Severity severity, @Nullable Position position, boolean refer) {
        return new Finding(kind, severity, position, List.of(), refer);
    }

    /** A string that is not there is told once, and not as a worn one as well. */
    private static Condition after(Condition condition, Seen seen) {
        Map<Position, StringSpec> strings = new EnumMap<>(Position.class);
        strings.putAll(condition.strings());
        Map<Position, WearState> wear = new EnumMap<>(Position.class);
        wear.putAll(condition.wear());
        seen.wear().forEach((position, signs) -> {
            if (signs.contains(WearSign.WINDING_OPEN)) {
                wear.put(position, WearState.CHANGE_NOW);
            }
        });
        seen.missing().forEach(position -> {
            strings.remove(position);
            wear.remove(position);
        });
        Map<Position, Set<PegSign>> pegs = new EnumMap<>(Position.class);
        condition.setUp().positions().forEach(position -> {
            Set<PegSign> known = condition.pegSigns().getOrDefault(position, Set.of());
            pegs.put(position, pegAfter(known, seen.pegs().getOrDefault(position, Set.of())));
        });
        return new Condition(
                condition.setUp(),
                strings,
                wear,
                pegs,
                condition.collars(),
                condition.parchment(),
                condition.tube(),
                condition.tunersBuiltIn(),
                condition.newestStringOn(),
                condition.bridgeLookedAtOn(),
                condition.rosining(),
                condition.pegWood());
    }
}
