package rosinedpeg.core.inspection;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearSign;

/**
 * What eye, ear and fingers found on an instrument that was looked over, without anything being measured.
 *
 * @param missing the strings that are not there, or in two pieces
 * @param wear what was seen on strings; a string without signs may be missing
 * @param pegs what was noticed at pegs; a peg without signs may be missing
 * @param tunersIn the strings whose fine tuner is screwed all the way in
 * @param signs what was seen on the rest of it
 */
public record Seen(
        Set<Position> missing,
        Map<Position, Set<WearSign>> wear,
        Map<Position, Set<PegSign>> pegs,
        Set<Position> tunersIn,
        Set<Sign> signs) {

    /** Nothing that is not as it should be. */
    public static final Seen NOTHING = new Seen(Set.of(), Map.of(), Map.of(), Set.of(), Set.of());

    /** Copies what is mutable. */
    public Seen {
        missing = copy(missing, Position.class);
        wear = Position.inOrder(wear);
        pegs = Position.inOrder(pegs);
        tunersIn = copy(tunersIn, Position.class);
        signs = copy(signs, Sign.class);
    }

    private static <E extends Enum<E>> Set<E> copy(Set<E> some, Class<E> type) {
        EnumSet<E> copy = EnumSet.noneOf(type);
        copy.addAll(some);
        return Collections.unmodifiableSet(copy);
    }

    /** Something seen that is not on one string or at one peg, with the stop of the look at which it is seen. */
    public enum Sign {
        BRIDGE_DOWN(LookOver.Stop.BRIDGE),
        /** Its top leans, towards the fingerboard mostly. */
        BRIDGE_LEANS(LookOver.Stop.BRIDGE),
        /** Light is seen under a foot. */
        BRIDGE_FOOT_OPEN(LookOver.Stop.BRIDGE),
        POST_RATTLES(LookOver.Stop.POST),
        POST_NOT_SEEN(LookOver.Stop.POST),
        TUNER_LEVER_ON_TOP(LookOver.Stop.FINE_TUNERS),
        CRACK(LookOver.Stop.BODY),
        SEAM_OPEN(LookOver.Stop.BODY),
        /** Chin rest, end button or end pin. */
        FITTING_LOOSE(LookOver.Stop.BODY),
        BOW_DAMAGED(LookOver.Stop.BOW),
        BOW_HAIR_THIN(LookOver.Stop.BOW);

        private final LookOver.Stop stop;

        Sign(LookOver.Stop stop) {
            this.stop = stop;
        }

        /** {@return where one looks for it} */
        public LookOver.Stop stop() {
            return stop;
        }
    }
}
