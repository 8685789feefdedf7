package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pegs.CollarTrend;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.core.pegs.PegWood;

/**
 * What the way of a peg into its hole rests on.
 *
 * @param logged how far its collar stood from the wall
 * @param wood what it is made of, empty when nobody recorded it
 * @param today the day that months are counted from
 */
public record CollarGrounds(List<Collar> logged, Optional<PegWood> wood, LocalDate today)
        implements Grounds<CollarGrounds> {

    private static final double HUNDRED_YEARS = 1200;

    /** Checks the parts and copies the list. */
    public CollarGrounds {
        requireNonNull(wood, "wood");
        requireNonNull(today, "today");
        logged = List.copyOf(logged);
    }

    double mmPerYear() {
        return new CollarTrend(logged, wood)
                .pace()
                .orElseThrow(() -> new IllegalArgumentException(
                        "logged is " + logged + "; two days or the wood tell how fast a peg moves in"))
                .value();
    }

    double monthsToWall() {
        mmPerYear();
        return new CollarTrend(logged, wood).monthsLeft(today).orElse(HUNDRED_YEARS);
    }

    /** {@inheritDoc} */
    @Override
    public List<Ingredient<CollarGrounds>> ingredients() {
        List<Ingredient<CollarGrounds>> all = new ArrayList<>();
        for (int i = 0; i < logged.size(); i++) {
            int at = i;
            all.add(Ingredient.of(
                    new What.Other(What.Part.COLLAR_READING, null, i + 1),
                    Figure.measured(logged.get(i).distanceMm(), Unit.MILLIMETRE),
                    Collar.DISTANCE,
                    value -> with(at, value)));
        }
        return List.copyOf(all);
    }

    private CollarGrounds with(int at, double distanceMm) {
        List<Collar> moved = new ArrayList<>(logged);
        moved.set(at, new Collar(moved.get(at).on(), distanceMm));
        return new CollarGrounds(moved, wood, today);
    }
}
