package rosinedpeg.core.setup;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.strings.Position;

/** Where pegs usually are: which comes next from the nut, and on which side its knob is. */
final class PegLayout {

    private static final List<Position> OF_FOUR = List.of(Position.IV, Position.I, Position.III, Position.II);
    private static final List<Position> OF_FIVE =
            List.of(Position.V, Position.I, Position.IV, Position.II, Position.III);

    private PegLayout() {}

    /** {@return from the middle of a pegbox to either wall, so far from the nut; its walls are straight} */
    static double halfWidthMm(double atNutMm, double atEndMm, double lengthMm, double fromNutMm) {
        return (atNutMm + (atEndMm - atNutMm) * fromNutMm / lengthMm) / 2;
    }

    /** {@return 1 for the peg next to the nut, 2 for the one after it, and so on} */
    static int placeFromNut(Position position, int strings) {
        return 1 + Math.max(0, (strings == 5 ? OF_FIVE : OF_FOUR).indexOf(position));
    }

    /** {@return the side of every string's knob: bass and treble take turns, beginning at the nut with bass} */
    static Map<Position, Side> usualSides(int strings) {
        Map<Position, Side> sides = new EnumMap<>(Position.class);
        for (Position position : strings == 5 ? OF_FIVE : OF_FOUR) {
            sides.put(position, placeFromNut(position, strings) % 2 == 1 ? Side.BASS : Side.TREBLE);
        }
        return sides;
    }
}
