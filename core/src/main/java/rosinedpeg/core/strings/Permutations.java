package rosinedpeg.core.strings;

import java.util.ArrayList;
import java.util.List;

/** Every order in which strings can be taken. */
public final class Permutations {

    private Permutations() {}

    /**
     * All orders of some positions; at most 120, there being at most five strings.
     *
     * @param positions the positions, each once
     * @return every order, the given one first
     */
    public static List<List<Position>> of(List<Position> positions) {
        if (positions.isEmpty()) {
            return List.of(List.of());
        }
        List<List<Position>> all = new ArrayList<>();
        for (Position first : positions) {
            List<Position> rest = new ArrayList<>(positions);
            rest.remove(first);
            for (List<Position> tail : of(rest)) {
                List<Position> order = new ArrayList<>(positions.size());
                order.add(first);
                order.addAll(tail);
                all.add(List.copyOf(order));
            }
        }
        return all;
    }
}
