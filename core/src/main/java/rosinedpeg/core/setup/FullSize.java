package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.setup.Family.BASS;
import static rosinedpeg.core.setup.Family.CELLO;
import static rosinedpeg.core.setup.Family.VIOLA;
import static rosinedpeg.core.setup.Family.VIOLIN;
import static rosinedpeg.core.setup.Quantity.ADDED_TUNER_MASS;
import static rosinedpeg.core.setup.Quantity.BACK_ANGLE;
import static rosinedpeg.core.setup.Quantity.BRIDGE_HEIGHT;
import static rosinedpeg.core.setup.Quantity.BRIDGE_SPACING;
import static rosinedpeg.core.setup.Quantity.COLLAR_TO_WALL;
import static rosinedpeg.core.setup.Quantity.FOOT_DEPTH;
import static rosinedpeg.core.setup.Quantity.FOOT_SPAN;
import static rosinedpeg.core.setup.Quantity.FRONT_ANGLE;
import static rosinedpeg.core.setup.Quantity.LEVER_TO_TOP;
import static rosinedpeg.core.setup.Quantity.NUT_SPACING;
import static rosinedpeg.core.setup.Quantity.PEGBOX_DEPTH;
import static rosinedpeg.core.setup.Quantity.PEGBOX_WIDTH_AT_END;
import static rosinedpeg.core.setup.Quantity.PEGBOX_WIDTH_AT_NUT;
import static rosinedpeg.core.setup.Quantity.SHAFT_DIAMETER;
import static rosinedpeg.core.setup.Quantity.TAILPIECE_MASS;
import static rosinedpeg.core.setup.Quantity.TAILPIECE_TO_TOP;
import static rosinedpeg.core.setup.Quantity.TOP_THICKNESS;
import static rosinedpeg.core.setup.Quantity.TUNER_SCREW_IN;
import static rosinedpeg.core.setup.Quantity.TUNER_SCREW_LEFT;
import static rosinedpeg.core.strings.Position.I;
import static rosinedpeg.core.strings.Position.II;
import static rosinedpeg.core.strings.Position.III;
import static rosinedpeg.core.strings.Position.IV;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import rosinedpeg.core.strings.Position;

/**
 * What is usual on the full size of a family: whatever belongs to one family stands together here. Lengths are in mm, angles in
 * degrees, masses in g. All of it are defaults of our own, taken in the middle of what is found on instruments in use; a
 * smaller size follows from the full one by {@link Usual}.
 */
final class FullSize {

    private static final int PEGS = 5;

    private static final Map<Family, FullSize> OF_FAMILY = Stream.of(
                    of(VIOLIN)
                            .usual(BRIDGE_HEIGHT, 33)
                            .usual(FOOT_DEPTH, 4.5)
                            .usual(TOP_THICKNESS, 1.3)
                            .usual(FOOT_SPAN, 31)
                            .usual(BRIDGE_SPACING, 33.5)
                            .usual(FRONT_ANGLE, 8.5)
                            .usual(BACK_ANGLE, 13.5)
                            .usual(NUT_SPACING, 16.5)
                            .usual(PEGBOX_WIDTH_AT_NUT, 15)
                            .usual(PEGBOX_WIDTH_AT_END, 11.5)
                            .pegboxLength(78)
                            .usual(PEGBOX_DEPTH, 20.5)
                            .usual(SHAFT_DIAMETER, 7.6)
                            .usual(COLLAR_TO_WALL, 12)
                            .usual(TAILPIECE_TO_TOP, 8)
                            .usual(TAILPIECE_MASS, 18)
                            .usual(ADDED_TUNER_MASS, 5)
                            .usual(TUNER_SCREW_LEFT, 4)
                            .usual(TUNER_SCREW_IN, 3)
                            .usual(LEVER_TO_TOP, 6)
                            .string(I, 0.26)
                            .string(II, 0.68)
                            .string(III, 0.80)
                            .string(IV, 0.80)
                            .pegFromNut(1, 16)
                            .pegFromNut(2, 31)
                            .pegFromNut(3, 53)
                            .pegFromNut(4, 68)
                            .pegFromNut(5, 84)
                            .topRadius(42)
                            .lowestStringHigher(2)
                            .shaftDepthAtNut(9.8),
                    of(VIOLA)
                            .usual(BRIDGE_HEIGHT, 38)
                            .usual(FOOT_DEPTH, 5.2)
                            .usual(TOP_THICKNESS, 1.5)
                            .usual(FOOT_SPAN, 35)
                            .usual(BRIDGE_SPACING, 37)
                            .usual(FRONT_ANGLE, 8.5)
                            .usual(BACK_ANGLE, 13.5)
                            .usual(NUT_SPACING, 17.5)
                            .usual(PEGBOX_WIDTH_AT_NUT, 17)
                            .usual(PEGBOX_WIDTH_AT_END, 13)
                            .pegboxLength(88)
                            .usual(PEGBOX_DEPTH, 23)
                            .usual(SHAFT_DIAMETER, 8.2)
                            .usual(COLLAR_TO_WALL, 13)
                            .usual(TAILPIECE_TO_TOP, 9)
                            .usual(TAILPIECE_MASS, 25)
                            .usual(ADDED_TUNER_MASS, 6)
                            .usual(TUNER_SCREW_LEFT, 4)
                            .usual(TUNER_SCREW_IN, 3)
                            .usual(LEVER_TO_TOP, 7)
                            .string(I, 0.47)
                            .string(II, 0.82)
                            .string(III, 0.95)
                            .string(IV, 1.15)
                            .pegFromNut(1, 18)
                            .pegFromNut(2, 35)
                            .pegFromNut(3, 60)
                            .pegFromNut(4, 77)
                            .pegFromNut(5, 95)
                            .topRadius(50)
                            .lowestStringHigher(2.4)
                            .shaftDepthAtNut(11),
                    of(CELLO)
                            .usual(BRIDGE_HEIGHT, 90)
                            .usual(FOOT_DEPTH, 11)
                            .usual(TOP_THICKNESS, 2.6)
                            .usual(FOOT_SPAN, 70)
                            .usual(BRIDGE_SPACING, 47.5)
                            .usual(FRONT_ANGLE, 10.5)
                            .usual(BACK_ANGLE, 16)
                            .usual(NUT_SPACING, 22)
                            .usual(PEGBOX_WIDTH_AT_NUT, 29)
                            .usual(PEGBOX_WIDTH_AT_END, 22)
                            .pegboxLength(168)
                            .usual(PEGBOX_DEPTH, 38)
                            .usual(SHAFT_DIAMETER, 13)
                            .usual(COLLAR_TO_WALL, 18)
                            .usual(TAILPIECE_TO_TOP, 20)
                            .usual(TAILPIECE_MASS, 75)
                            .usual(ADDED_TUNER_MASS, 14)
                            .usual(TUNER_SCREW_LEFT, 6)
                            .usual(TUNER_SCREW_IN, 4)
                            .usual(LEVER_TO_TOP, 14)
                            .string(I, 0.70)
                            .string(II, 1.00)
                            .string(III, 1.25)
                            .string(IV, 1.65)
                            .pegFromNut(1, 34)
                            .pegFromNut(2, 66)
                            .pegFromNut(3, 115)
                            .pegFromNut(4, 147)
                            .pegFromNut(5, 180)
                            .topRadius(60)
                            .lowestStringHigher(4)
                            .shaftDepthAtNut(17.5),
                    of(BASS).usual(BRIDGE_HEIGHT, 160)
                            .usual(FOOT_DEPTH, 20)
                            .usual(TOP_THICKNESS, 4.5)
                            .usual(FOOT_SPAN, 122)
                            .usual(BRIDGE_SPACING, 82)
                            .usual(FRONT_ANGLE, 12)
                            .usual(BACK_ANGLE, 18)
                            .usual(NUT_SPACING, 33)
                            .usual(PEGBOX_WIDTH_AT_NUT, 40)
                            .usual(PEGBOX_WIDTH_AT_END, 30)
                            .pegboxLength(212)
                            .usual(PEGBOX_DEPTH, 46)
                            .usual(SHAFT_DIAMETER, 10)
                            .usual(COLLAR_TO_WALL, 20)
                            .usual(TAILPIECE_TO_TOP, 35)
                            .usual(TAILPIECE_MASS, 280)
                            .usual(ADDED_TUNER_MASS, 25)
                            .usual(TUNER_SCREW_LEFT, 8)
                            .usual(TUNER_SCREW_IN, 5)
                            .usual(LEVER_TO_TOP, 20)
                            .string(I, 1.25)
                            .string(II, 1.60)
                            .string(III, 2.05)
                            .string(IV, 2.55)
                            .pegFromNut(1, 50)
                            .pegFromNut(2, 85)
                            .pegFromNut(3, 150)
                            .pegFromNut(4, 185)
                            .pegFromNut(5, 225)
                            .topRadius(78)
                            .lowestStringHigher(7)
                            .shaftDepthAtNut(23))
            .map(FullSize::checked)
            .collect(Collectors.toMap(one -> one.family, one -> one));

    private final Family family;
    private final Map<Quantity, Double> usual = new EnumMap<>(Quantity.class);
    private final Map<Position, Double> stringDiametersMm = new EnumMap<>(Position.class);
    private final List<Double> pegsFromNutMm = new ArrayList<>();
    private double pegboxLengthMm;
    private double topRadiusMm;
    private double lowestStringHigherMm;
    private double shaftDepthAtNutMm;

    private FullSize(Family family) {
        this.family = family;
    }

    /** {@return what is usual on the full size of a family} */
    static FullSize ofFamily(Family family) {
        return requireNonNull(OF_FAMILY.get(family));
    }

    /** {@return the usual value of a quantity that a family has one of for itself} */
    double value(Quantity quantity) {
        return requireNonNull(usual.get(quantity), "quantity");
    }

    /** {@return how thick a typical string is at I to IV, in mm} */
    double stringDiameterMm(Position position) {
        return position.in(stringDiametersMm);
    }

    /** {@return from the nut to a peg, in mm; 1 for the one next to the nut, 5 for the last of five} */
    double pegFromNutMm(int place) {
        return pegsFromNutMm.get(place - 1);
    }

    /** {@return from the nut to the far end of a pegbox for four strings, in mm} */
    double pegboxLengthMm() {
        return pegboxLengthMm;
    }

    /** {@return the radius of the bridge's top, in mm} */
    double topRadiusMm() {
        return topRadiusMm;
    }

    /** {@return by how much the bridge stands higher under the lowest string than under I, in mm} */
    double lowestStringHigherMm() {
        return lowestStringHigherMm;
    }

    /** {@return how deep a shaft would lie at the nut itself, in mm} */
    double shaftDepthAtNutMm() {
        return shaftDepthAtNutMm;
    }

    private static FullSize of(Family family) {
        return new FullSize(family);
    }

    private FullSize usual(Quantity quantity, double value) {
        usual.put(quantity, value);
        return this;
    }

    private FullSize string(Position position, double diameterMm) {
        stringDiametersMm.put(position, diameterMm);
        return this;
    }

    private FullSize pegFromNut(int place, double mm) {
        pegsFromNutMm.add(place - 1, mm);
        return this;
    }

    private FullSize pegboxLength(double mm) {
        pegboxLengthMm = mm;
        return this;
    }

    private FullSize topRadius(double mm) {
        topRadiusMm = mm;
        return this;
    }

    private FullSize lowestStringHigher(double mm) {
        lowestStringHigherMm = mm;
        return this;
    }

    private FullSize shaftDepthAtNut(double mm) {
        shaftDepthAtNutMm = mm;
        return this;
    }

    /** Nothing may be forgotten, or told of a quantity that does not ask for it. */
    private FullSize checked() {
        Set<Quantity> asked = Quantity.ofFamilies();
        boolean rising = pegsFromNutMm.equals(pegsFromNutMm.stream().sorted().toList());
        boolean positive = Stream.of(
                        usual.values().stream(), stringDiametersMm.values().stream(), pegsFromNutMm.stream())
                .flatMap(values -> values)
                .allMatch(value -> value > 0);
        if (!usual.keySet().equals(asked)
                || stringDiametersMm.size() != family.openStrings().size()
                || pegsFromNutMm.size() != PEGS
                || !rising
                || !positive
                || Stream.of(pegboxLengthMm, topRadiusMm, lowestStringHigherMm, shaftDepthAtNutMm)
                        .anyMatch(mm -> mm <= 0)) {
            throw new IllegalStateException("what is usual on a " + family + " is not whole: " + usual);
        }
        return this;
    }
}
