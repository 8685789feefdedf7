package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.strings.Position;

/** Everything that an instrument of some make can have measured: the measured figure, or else the usual one. */
final class Figures implements Known {

    private final Size size;
    private final PegKind pegKind;
    private final Map<Position, TailEnd> tailEnds;
    private final Map<Measurable, Figure> figures = new LinkedHashMap<>();

    /** Fills in the usual figures, each from those before it. */
    Figures(Size size, PegKind pegKind, Map<Position, TailEnd> tailEnds, Map<Measurable, Figure> measured) {
        this.size = size;
        this.pegKind = pegKind;
        this.tailEnds = tailEnds;
        for (Quantity quantity : Quantity.values()) {
            List<Position> positions = quantity.ofEachString()
                    ? List.of(Position.values()).subList(0, strings())
                    : Collections.singletonList(null);
            for (@Nullable Position position : positions) {
                if (quantity.isOn(this, ofString(position))) {
                    Measurable measurable = Measurable.of(quantity, position);
                    Figure figure = measured.get(measurable);
                    figures.put(
                            measurable,
                            figure != null
                                    ? figure
                                    : Figure.byDefault(quantity.usual(this, ofString(position)), quantity.unit()));
                }
            }
        }
    }

    /** What the whole instrument has never asks for a string. */
    @SuppressWarnings("NullAway")
    private static Position ofString(@Nullable Position position) {
        return position;
    }

    Map<Measurable, Figure> all() {
        return Collections.unmodifiableMap(figures);
    }

    Range range(Measurable measurable) {
        return measurable.quantity().range(this, ofString(measurable.position()));
    }

    @Override
    public Size size() {
        return size;
    }

    @Override
    public int strings() {
        return tailEnds.size();
    }

    @Override
    public PegKind pegKind() {
        return pegKind;
    }

    @Override
    public TailEnd tailEnd(Position position) {
        return position.in(tailEnds);
    }

    @Override
    public double value(Quantity quantity) {
        return requireNonNull(figures.get(Measurable.of(quantity)), "quantity").value();
    }

    @Override
    public double value(Quantity quantity, Position position) {
        return requireNonNull(figures.get(Measurable.of(quantity, position)), "quantity")
                .value();
    }
}
