package rosinedpeg.web.measure;

import java.util.Arrays;
import java.util.List;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.setup.Area;
import rosinedpeg.core.setup.SetUp;

/**
 * How much of an area has been measured.
 *
 * @param area the area
 * @param measured how many figures somebody measured
 * @param all how many there are
 */
public record MeasuredArea(Area area, long measured, long all) {

    /** {@return every area of an instrument, in the order of a sitting} */
    public static List<MeasuredArea> of(SetUp setUp) {
        return Arrays.stream(Area.values())
                .map(area -> new MeasuredArea(
                        area,
                        setUp.figures().entrySet().stream()
                                .filter(entry -> entry.getKey().quantity().area() == area)
                                .filter(entry -> entry.getValue().origin() != Origin.DEFAULT)
                                .count(),
                        setUp.figures().keySet().stream()
                                .filter(measurable -> measurable.quantity().area() == area)
                                .count()))
                .toList();
    }
}
