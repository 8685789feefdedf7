package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.usual.Pull;

/**
 * What the figures of a kind of string rest on. What its packet does not say goes in as the default that stands for it, by saying
 * it.
 *
 * @param packet what its packet says
 */
public record PacketGrounds(Packet packet) implements Grounds<PacketGrounds> {

    /** Checks it. */
    public PacketGrounds {
        requireNonNull(packet, "packet");
    }

    /** {@inheritDoc} */
    @Override
    public List<Ingredient<PacketGrounds>> ingredients() {
        List<Ingredient<PacketGrounds>> all = new ArrayList<>(ofPull());
        // Who chose the size has said the length.
        all.add(ingredient(
                What.Part.DESIGN_LENGTH,
                Figure.measured(packet.lengthMm(), Unit.MILLIMETRE),
                Optional.of(StringSpec.DESIGN_LENGTH),
                value -> packet.with(StringFigure.DESIGN_LENGTH, value)));
        if (packet.diameterMm().isPresent()) {
            all.add(said(What.Part.DIAMETER, StringFigure.DIAMETER, StringSpec.DIAMETER, packet.thicknessMm()));
        } else {
            all.add(ingredient(
                    What.Part.MEAN_DENSITY,
                    Figure.byDefault(packet.densityKgM3(), Unit.KILOGRAM_PER_CUBIC_METRE),
                    Optional.empty(),
                    density -> packet.with(StringFigure.DIAMETER, packet.thicknessMm(density))));
        }
        all.add(said(
                What.Part.AXIAL_STIFFNESS,
                StringFigure.AXIAL_STIFFNESS,
                StringSpec.AXIAL_STIFFNESS,
                packet.stiffnessN()));
        all.add(said(What.Part.TAIL_SILK_END, StringFigure.TAIL_SILK_END, Packet.FROM_BALL, packet.tailSilkMm()));
        all.add(said(What.Part.TOP_SILK_START, StringFigure.TOP_SILK_START, Packet.FROM_BALL, packet.topSilkMm()));
        all.add(said(What.Part.TOTAL_LENGTH, StringFigure.TOTAL_LENGTH, Packet.FROM_BALL, packet.totalMm()));
        return List.copyOf(all);
    }

    private List<Ingredient<PacketGrounds>> ofPull() {
        if (packet.pull() instanceof Pull.OfMass mass) {
            return List.of(ingredient(
                    What.Part.MASS_PER_METRE,
                    Figure.measured(mass.gramsPerMetre(), Unit.GRAM_PER_METRE),
                    Optional.of(Pull.OfMass.MASS),
                    value -> packet.with(new Pull.OfMass(value))));
        }
        if (packet.pull() instanceof Pull.Weighed weighed) {
            return List.of(
                    ingredient(
                            What.Part.WEIGHED,
                            Figure.measured(weighed.grams(), Unit.GRAM),
                            Optional.of(Pull.Weighed.MASS),
                            value -> packet.with(new Pull.Weighed(value, weighed.lengthMm(), weighed.stepG()))),
                    ingredient(
                            What.Part.WEIGHED_LENGTH,
                            Figure.measured(weighed.lengthMm(), Unit.MILLIMETRE),
                            Optional.of(Pull.Weighed.LENGTH),
                            value -> packet.with(new Pull.Weighed(weighed.grams(), value, weighed.stepG()))));
        }
        if (packet.pull() instanceof Pull.OfGauge && packet.diameterMm().isPresent()) {
            double ofOne = packet.gramsPerMetre() / packet.densityKgM3();
            return List.of(ingredient(
                    What.Part.MEAN_DENSITY,
                    new Figure(
                            packet.densityKgM3(),
                            Unit.KILOGRAM_PER_CUBIC_METRE,
                            packet.assumed().contains(StringFigure.TENSION) ? Origin.DEFAULT : Origin.MEASURED),
                    Optional.empty(),
                    density -> packet.with(new Pull.OfMass(ofOne * density))));
        }
        return List.of(said(What.Part.TENSION, StringFigure.TENSION, StringSpec.TENSION, packet.tensionN()));
    }

    /** A figure that a packet can say. */
    private Ingredient<PacketGrounds> said(What.Part part, StringFigure figure, Range range, double value) {
        return ingredient(
                part,
                new Figure(value, range.unit(), packet.assumed().contains(figure) ? Origin.DEFAULT : Origin.MEASURED),
                Optional.of(range),
                to -> packet.with(figure, to));
    }

    private Ingredient<PacketGrounds> ingredient(
            What.Part part, Figure figure, Optional<Range> range, DoubleFunction<Packet> with) {
        return new Ingredient<>(
                What.Other.of(part, packet.position()), figure, range, value -> new PacketGrounds(with.apply(value)));
    }
}
