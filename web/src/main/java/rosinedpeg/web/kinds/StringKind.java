package rosinedpeg.web.kinds;

import java.util.Comparator;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.LearnedLife;
import rosinedpeg.core.wear.Life;

/**
 * A kind of string as the workshop knows it. {@link KindWords} says what it is called.
 *
 * @param id its id
 * @param source who says what it is
 * @param maker who makes it; empty for a usual one
 * @param line what the maker calls it; for a usual one what tells it from others
 * @param family the instruments it is for
 * @param spec its figures
 * @param size the size it is made for, as 4/4, where that was said
 * @param note what somebody notes of it
 * @param price what it costs, if it is known
 * @param life how long it was found to last, if it is known
 * @param learned how many times that life its strings have, if the workshop's own say
 * @param ready how many are to lie ready in the drawer, if somebody said
 * @param version how often it has been changed, which a form that changes it sends along
 */
public record StringKind(
        UUID id,
        Source source,
        String maker,
        String line,
        Family family,
        StringSpec spec,
        Optional<String> size,
        String note,
        Optional<Price> price,
        Optional<Life> life,
        Optional<LearnedFactors> learned,
        Optional<Integer> ready,
        int version) {

    /** Who says what a kind of string is. */
    public enum Source {
        /** Its packet. */
        PACKET,
        /** Nobody: it is as such strings usually are. */
        USUAL
    }

    /** {@return how long it is thought to last before any string of it is heard: as somebody says, or as such strings usually do} */
    public Life thought() {
        return life.orElseGet(() -> Life.usual(family, spec));
    }

    /** {@return how long it lasts for players who want it so fresh: as the workshop's own strings say, or as it is thought to} */
    public Life lasts(Demand demand) {
        return times(learned.map(factors -> factors.of(demand)));
    }

    /** {@return the same, whoever plays it} */
    public Life lasts() {
        return times(learned.map(LearnedFactors::all));
    }

    private Life times(Optional<Double> factor) {
        return factor.map(one -> LearnedLife.times(thought(), one)).orElseGet(this::thought);
    }

    /** {@return the size it is made for; where that was not said, the one of its family that is nearest in length} */
    public Size madeFor() {
        return size.map(code -> Size.of(family, code))
                .orElseGet(() -> Size.of(family).stream()
                        .min(Comparator.comparingDouble(
                                one -> Math.abs(one.vibratingLengthMm() - spec.designLengthMm())))
                        .orElseThrow());
    }

    /** {@return what its packet must have said} */
    public Packet packet() {
        return Packet.of(madeFor(), spec);
    }

    /** {@return whether every figure of it is only what is usual} */
    public boolean isUsual() {
        return source == Source.USUAL;
    }
}
