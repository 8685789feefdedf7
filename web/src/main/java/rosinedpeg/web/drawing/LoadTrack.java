package rosinedpeg.web.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.stream.IntStream;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Step;

/**
 * The load left on both feet, step by step through a plan.
 *
 * @param width of the drawing
 * @param height of the drawing
 * @param treble the line of the treble foot
 * @param bass the line of the bass foot
 * @param bands where the bands of the post's load end
 * @param dots one for every step, those that are done, the one in hand and those to come each in one line
 * @param numbers of the first step and every fifth; of every tenth or fewer where those would run into each other
 */
public record LoadTrack(
        double width,
        double height,
        String treble,
        String bass,
        List<BandLine> bands,
        List<Stroke> dots,
        List<StepNumber> numbers) {

    private static final double LEFT = 54;
    private static final double RIGHT = 16;
    private static final double TOP = 12;
    private static final double DOTS = 44;
    private static final double TEXT = 13;
    private static final int FIFTH = 5;
    private static final double NUMBERS_APART = 2 * TEXT;
    private static final double HIGHEST_SHARE = 1.25;

    /**
     * Draws the track of a plan.
     *
     * @param plan the plan
     * @param now the index of the step in hand, or −1
     * @param width of the drawing
     * @param height of the drawing
     * @return the drawing
     */
    public static LoadTrack of(ChangePlan plan, int now, double width, double height) {
        double across = (width - LEFT - RIGHT) / plan.steps().size();
        double row = height - DOTS + 14;
        int apart = IntStream.iterate(FIFTH, fewer -> 2 * fewer)
                .filter(steps -> steps * across >= NUMBERS_APART)
                .findFirst()
                .orElseThrow();
        Map<String, StringBuilder> dots = new LinkedHashMap<>();
        List<StepNumber> numbers = new ArrayList<>();
        for (Step step : plan.steps()) {
            double from = LEFT + step.index() * across;
            String state = step.index() < now ? "done" : step.index() == now ? "now" : "to-come";
            double radius = Math.min(4.2, across * 0.34) * (state.equals("now") ? 1.55 : 1);
            dots.computeIfAbsent(state, none -> new StringBuilder())
                    .append(Stroke.circle(from + across / 2, row, radius));
            if (step.index() == 0 || (step.index() + 1) % apart == 0) {
                numbers.add(new StepNumber(from + across / 2, row + 20, step.index() + 1));
            }
        }
        return new LoadTrack(
                width,
                height,
                stair(plan, step -> step.sharesAfter().treble(), across, height),
                stair(plan, step -> step.sharesAfter().bass(), across, height),
                List.of(
                        new BandLine(1, y(1, height)),
                        new BandLine(plan.bands().heldFrom(), y(plan.bands().heldFrom(), height)),
                        new BandLine(plan.bands().thinFrom(), y(plan.bands().thinFrom(), height))),
                dots.entrySet().stream()
                        .map(each -> new Stroke(each.getValue().toString(), 1, each.getKey()))
                        .toList(),
                numbers);
    }

    /** What one foot carries: level from step to step, with a corner on either side where it changes. */
    private static String stair(ChangePlan plan, Function<Step, Double> share, double across, double height) {
        double level = y(1, height);
        StringBuilder path = new StringBuilder(Stroke.move(LEFT, level));
        for (Step step : plan.steps()) {
            double after = y(share.apply(step), height);
            if (after != level) {
                double from = LEFT + step.index() * across;
                path.append(Stroke.line(from, level)).append(Stroke.line(from, after));
                level = after;
            }
        }
        return path.append(Stroke.line(LEFT + plan.steps().size() * across, level))
                .toString();
    }

    /** {@return what is drawn, as SVG; a share is written as that says} */
    public String svg(DoubleFunction<String> said) {
        Pen pen = new Pen();
        for (BandLine band : bands) {
            pen.line("band", 1, LEFT, band.y(), width - RIGHT, band.y());
            pen.text("label", LEFT - 8, band.y() + 4, TEXT, "end", said.apply(band.share()));
        }
        pen.path("bass", 1.6, bass).path("treble", 2.6, treble);
        numbers.forEach(
                number -> pen.text("label", number.x(), number.y(), TEXT, "middle", String.valueOf(number.step())));
        dots.forEach(line -> pen.path("dot " + line.state(), line.width(), line.path()));
        return pen.view(0, 0, width, height).svg();
    }

    private static double y(double share, double height) {
        double clamped = Math.max(-0.05, Math.min(share, HIGHEST_SHARE));
        return TOP + (HIGHEST_SHARE - clamped) / HIGHEST_SHARE * (height - TOP - DOTS - 6);
    }

    /** The end of a band. */
    public record BandLine(double share, double y) {}

    /** Which step, from 1, stands there. */
    public record StepNumber(double x, double y, int step) {}
}
