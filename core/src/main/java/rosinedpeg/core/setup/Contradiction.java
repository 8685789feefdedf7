package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.List;
import rosinedpeg.core.strings.Position;

/**
 * Two figures that cannot both be true.
 *
 * @param kind why not
 * @param one a figure that lies beyond the limit
 * @param other the figure that the limit follows from
 * @param limitMm the limit, in mm
 */
public record Contradiction(Kind kind, Measurable one, Measurable other, double limitMm) {
    /** Checks the parts. */
    public Contradiction {
        requireNonNull(kind, "kind");
        requireFinite("limitMm", limitMm);
        requireNonNull(one, "one");
        requireNonNull(other, "other");
    }

    /** Why two figures cannot both be true. */
    public enum Kind {
        /** The nut is as wide as the bridge, or wider; it has to stay below. */
        NUT_AS_WIDE_AS_BRIDGE,
        /** The bridge is as thick at its top as at its foot; it has to stay below. */
        TOP_AS_THICK_AS_FOOT,
        /** A string lies beyond its neighbour; it has to stay below. */
        STRINGS_OUT_OF_ORDER,
        /** The pegbox is wider at its far end than at the nut; it has to stay below. */
        PEGBOX_WIDENS,
        /** A peg lies beyond the pegbox's far end; it has to stay below. */
        PEG_OUTSIDE_PEGBOX,
        /** A hole lies in a wall; it has to stay below. */
        HOLE_OUTSIDE_PEGBOX,
        /** A shaft lies in the floor; it has to stay below. */
        SHAFT_IN_THE_FLOOR,
        /** Two shafts lie in each other; they have to be so far apart. */
        PEGS_MEET
    }

    /** {@return every contradiction in an instrument's figures, usual ones included} */
    public static List<Contradiction> of(SetUp setUp) {
        List<Contradiction> found = new ArrayList<>();
        below(found, setUp, Kind.NUT_AS_WIDE_AS_BRIDGE, Quantity.NUT_SPACING, Quantity.BRIDGE_SPACING);
        below(found, setUp, Kind.TOP_AS_THICK_AS_FOOT, Quantity.TOP_THICKNESS, Quantity.FOOT_DEPTH);
        below(found, setUp, Kind.PEGBOX_WIDENS, Quantity.PEGBOX_WIDTH_AT_END, Quantity.PEGBOX_WIDTH_AT_NUT);
        stringsInOrder(found, setUp);
        pegbox(found, setUp);
        return found;
    }

    private static void below(List<Contradiction> found, SetUp setUp, Kind kind, Quantity one, Quantity other) {
        if (setUp.value(one) >= setUp.value(other)) {
            found.add(new Contradiction(kind, Measurable.of(one), Measurable.of(other), setUp.value(other)));
        }
    }

    private static void stringsInOrder(List<Contradiction> found, SetUp setUp) {
        List<Position> positions = setUp.positions();
        for (int i = 1; i < positions.size() - 1; i++) {
            Measurable here = Measurable.of(Quantity.FROM_LOWEST_STRING, positions.get(i));
            Measurable higher = i == 1
                    ? Measurable.of(Quantity.BRIDGE_SPACING)
                    : Measurable.of(Quantity.FROM_LOWEST_STRING, positions.get(i - 1));
            double limitMm = setUp.figure(higher).value();
            if (setUp.figure(here).value() >= limitMm) {
                found.add(new Contradiction(Kind.STRINGS_OUT_OF_ORDER, here, higher, limitMm));
            }
        }
    }

    private static void pegbox(List<Contradiction> found, SetUp setUp) {
        double radiusMm = setUp.value(Quantity.SHAFT_DIAMETER) / 2;
        double farthestMm = setUp.value(Quantity.PEGBOX_LENGTH) - radiusMm;
        double deepestMm = setUp.value(Quantity.PEGBOX_DEPTH) - radiusMm;
        for (Position position : setUp.positions()) {
            double fromNutMm = setUp.value(Quantity.NUT_TO_PEG, position);
            if (fromNutMm > farthestMm) {
                found.add(new Contradiction(
                        Kind.PEG_OUTSIDE_PEGBOX,
                        Measurable.of(Quantity.NUT_TO_PEG, position),
                        Measurable.of(Quantity.PEGBOX_LENGTH),
                        farthestMm));
            }
            if (setUp.value(Quantity.SHAFT_DEPTH, position) > deepestMm) {
                found.add(new Contradiction(
                        Kind.SHAFT_IN_THE_FLOOR,
                        Measurable.of(Quantity.SHAFT_DEPTH, position),
                        Measurable.of(Quantity.PEGBOX_DEPTH),
                        deepestMm));
            }
            double widthMm = 2 * setUp.pegboxHalfWidthMm(fromNutMm);
            if (setUp.value(Quantity.HOLE_TO_WALL, position) >= widthMm) {
                found.add(new Contradiction(
                        Kind.HOLE_OUTSIDE_PEGBOX,
                        Measurable.of(Quantity.HOLE_TO_WALL, position),
                        Measurable.of(Quantity.PEGBOX_WIDTH_AT_NUT),
                        widthMm));
            }
            for (Position other : setUp.positions()) {
                if (other.compareTo(position) > 0 && shaftsApartMm(setUp, position, other) < 2 * radiusMm) {
                    found.add(new Contradiction(
                            Kind.PEGS_MEET,
                            Measurable.of(Quantity.NUT_TO_PEG, position),
                            Measurable.of(Quantity.NUT_TO_PEG, other),
                            2 * radiusMm));
                }
            }
        }
    }

    private static double shaftsApartMm(SetUp setUp, Position one, Position other) {
        return Math.hypot(
                setUp.value(Quantity.NUT_TO_PEG, one) - setUp.value(Quantity.NUT_TO_PEG, other),
                setUp.value(Quantity.SHAFT_DEPTH, one) - setUp.value(Quantity.SHAFT_DEPTH, other));
    }
}
