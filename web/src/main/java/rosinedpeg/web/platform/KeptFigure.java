package rosinedpeg.web.platform;

import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;

/**
 * The form a figure is kept in. Its members are part of every form that has figures in it.
 *
 * @param value the number
 * @param unit its unit
 * @param origin where it is from
 */
public record KeptFigure(double value, String unit, String origin) {

    /** {@return a figure as it is kept} */
    public static KeptFigure of(Figure figure) {
        return new KeptFigure(
                figure.value(), figure.unit().name(), figure.origin().name());
    }

    /**
     * The figure that was kept so.
     *
     * @throws IllegalArgumentException when unit or origin are not known
     */
    public Figure figure() {
        return new Figure(value, KeptNames.of(Unit.class, unit), KeptNames.of(Origin.class, origin));
    }
}
