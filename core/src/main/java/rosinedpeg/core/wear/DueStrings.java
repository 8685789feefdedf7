package rosinedpeg.core.wear;

import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.strings.Position;

/** Which strings of an instrument are due. */
public final class DueStrings {

    private DueStrings() {}

    /**
     * Picks the strings that are due.
     *
     * @param worn how far each string is used up; empty when nobody knows how old it is, which counts as due
     * @param demand how fresh they have to be
     * @return their positions
     */
    public static Set<Position> of(Map<Position, Optional<Wear>> worn, Demand demand) {
        Set<Position> due = EnumSet.noneOf(Position.class);
        worn.forEach((position, wear) -> {
            if (wear.isEmpty() || wear.get().worn() >= demand.threshold()) {
                due.add(position);
            }
        });
        return due;
    }
}
