package rosinedpeg.web.platform;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;

/**
 * The form an instrument is kept in, where it is to stay as it was.
 *
 * @param family its family
 * @param size the code of its size
 * @param leftHanded whether everything is mirrored
 * @param referenceAHz what it is tuned to, in Hz
 * @param openStrings its open strings, I first, as A4
 * @param measured what was measured or learned, by code; all else has its usual value
 * @param tailEnds what each string is hung on, by position
 * @param pegSides on which side each knob is, by position
 * @param pegs what the strings are wound on
 */
public record KeptSetUp(
        String family,
        String size,
        boolean leftHanded,
        double referenceAHz,
        List<String> openStrings,
        Map<String, KeptFigure> measured,
        Map<String, String> tailEnds,
        @Nullable Map<String, String> pegSides,
        @Nullable String pegs) {

    /** {@return an instrument as it is kept} */
    public static KeptSetUp of(SetUp setUp) {
        Map<String, KeptFigure> measured = new LinkedHashMap<>();
        setUp.figures().forEach((measurable, figure) -> {
            if (figure.origin() != Origin.DEFAULT) {
                measured.put(measurable.code(), KeptFigure.of(figure));
            }
        });
        return new KeptSetUp(
                setUp.family().name(),
                setUp.size().code(),
                setUp.leftHanded(),
                setUp.referenceA().hertz(),
                setUp.openStrings().stream().map(Pitch::spelling).toList(),
                measured,
                names(setUp.tailEnds()),
                names(setUp.pegSides()),
                setUp.pegKind().name());
    }

    /**
     * The instrument that was kept so.
     *
     * @throws IllegalArgumentException when something of it is not known
     */
    public SetUp setUp() {
        Map<Measurable, Figure> figures = new LinkedHashMap<>();
        measured.forEach((code, figure) -> figures.put(Measurable.ofCode(code), figure.figure()));
        Size known = Size.of(KeptNames.of(Family.class, family), size);
        return new SetUp(
                known,
                leftHanded,
                new ReferenceA(referenceAHz),
                openStrings.stream().map(Pitch::of).toList(),
                figures,
                ofNames(TailEnd.class, tailEnds),
                pegSides == null ? Map.of() : ofNames(Side.class, pegSides),
                pegs == null ? known.family().usualPegs() : KeptNames.of(PegKind.class, pegs));
    }

    private static Map<String, String> names(Map<Position, ? extends Enum<?>> map) {
        Map<String, String> names = new LinkedHashMap<>();
        map.forEach((position, of) -> names.put(position.name(), of.name()));
        return names;
    }

    private static <E extends Enum<E>> Map<Position, E> ofNames(Class<E> type, Map<String, String> names) {
        Map<Position, E> map = new EnumMap<>(Position.class);
        names.forEach((position, name) -> map.put(KeptNames.of(Position.class, position), KeptNames.of(type, name)));
        return map;
    }
}
