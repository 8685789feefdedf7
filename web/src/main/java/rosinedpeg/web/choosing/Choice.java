package rosinedpeg.web.choosing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.choosing.Option;
import rosinedpeg.core.choosing.Ranked;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.sound.SoundPlaces;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.wear.Life;
import rosinedpeg.web.drawing.SoundDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.KindPast;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.sound.Heard;

/**
 * A kind of string that fits a place, with all that is on record of it.
 *
 * @param kind the kind
 * @param figures its figures on the instrument
 * @param more by how much harder it pulls than the string that is on, in N; below 0 for less
 * @param loadRise by how much more the strings press the top with this one changed, as a share; below 0 for less
 * @param watch what is to be watched of how it fits
 * @param life how long it lasts for the player of the instrument
 * @param price what one costs, if that is known
 * @param past what became of the strings of it there were
 * @param heard how often it was spoken of on each scale
 * @param scales how it is said to sound against the string that is on
 * @param here what was said of it on this very instrument, the latest first
 */
record Choice(
        StringKind kind,
        Option<UUID> figures,
        double more,
        double loadRise,
        List<Finding> watch,
        Life life,
        Optional<Price> price,
        KindPast past,
        Map<SoundScale, SoundPlaces.Count> heard,
        List<SoundDrawing.Scale> scales,
        List<Heard> here) {

    /** {@return how it is said to sound against the string that is on, drawn} */
    public View drawing() {
        return SoundDrawing.of(scales);
    }

    /** {@return what an hour of playing costs, if that is known} */
    public Optional<Double> pricePerHour() {
        return figures.pricePerHour().isPresent()
                ? Optional.of(figures.pricePerHour().getAsDouble())
                : Optional.empty();
    }

    /** {@return how often it was spoken of on other instruments, on the scale on which it was most} */
    public int timesElsewhere() {
        return heard.values().stream()
                .mapToInt(SoundPlaces.Count::elsewhere)
                .max()
                .orElse(0);
    }

    /** {@return whether anybody ever said how it sounds} */
    public boolean isHeard() {
        return heard.values().stream().anyMatch(count -> count.all() > 0);
    }

    /**
     * A choice with its rank.
     *
     * @param choice the choice
     * @param rank from 1
     * @param ranked why
     */
    record InOrder(Choice choice, int rank, Ranked<UUID> ranked) {}
}
