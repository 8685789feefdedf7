package rosinedpeg.core.causes;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.causes.Check.ASK_WHEN_IT_WENT_ON;
import static rosinedpeg.core.causes.Check.COMPARE_WITH_FORECAST;
import static rosinedpeg.core.causes.Check.LOOK_AT_BANDS;
import static rosinedpeg.core.causes.Check.LOOK_AT_GEARS;
import static rosinedpeg.core.causes.Check.LOOK_AT_SCREW;
import static rosinedpeg.core.causes.Check.LOOK_INTO_PEGBOX;
import static rosinedpeg.core.causes.Check.LOOK_INTO_SOUND_HOLE;
import static rosinedpeg.core.causes.Check.MEASURE_GAP;
import static rosinedpeg.core.causes.Check.MEASURE_GROOVE;
import static rosinedpeg.core.causes.Check.PRESS_BESIDE_FEET;
import static rosinedpeg.core.causes.Check.RUB_GRAPHITE_AND_LISTEN;
import static rosinedpeg.core.causes.Check.TOUCH_PARTS_WHILE_IT_SOUNDS;
import static rosinedpeg.core.causes.Check.TURN_PEG_A_LITTLE;
import static rosinedpeg.core.causes.Check.WIPE_AND_PLAY;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.SetUp;

/** What a player complains of, with what can be behind it, the likelier first. */
public enum Symptom {
    SLIPS(
            Place.PEG,
            new Suspicion(Cause.POLISHED_BANDS, LOOK_AT_BANDS, false),
            new Suspicion(Cause.PEG_NOT_PUSHED_IN, TURN_PEG_A_LITTLE, false),
            new Suspicion(Cause.TAPER_MISMATCH, LOOK_AT_BANDS, true),
            new Suspicion(Cause.GEARS_LOOSE, LOOK_AT_GEARS, false),
            new Suspicion(Cause.GEARS_WORN, TURN_PEG_A_LITTLE, true)),
    STICKS(
            Place.PEG,
            new Suspicion(Cause.DAMP_OR_DRY_WOOD, TURN_PEG_A_LITTLE, false),
            new Suspicion(Cause.GEARS_DRY, LOOK_AT_GEARS, false),
            new Suspicion(Cause.WOUND_HARD_TO_WALL, LOOK_INTO_PEGBOX, false),
            new Suspicion(Cause.TAPER_MISMATCH, LOOK_AT_BANDS, true),
            new Suspicion(Cause.SHAFT_BENT, TURN_PEG_A_LITTLE, true)),
    BUZZES(
            Place.FINGERBOARD,
            new Suspicion(Cause.LOOSE_PART, TOUCH_PARTS_WHILE_IT_SOUNDS, false),
            new Suspicion(Cause.STRING_LOW_AT_NUT, MEASURE_GROOVE, true),
            new Suspicion(Cause.OPEN_WINDING, WIPE_AND_PLAY, false)),
    PINGS_WHILE_TUNING(
            Place.NUT,
            new Suspicion(Cause.DRY_GROOVE, RUB_GRAPHITE_AND_LISTEN, false),
            new Suspicion(Cause.TIGHT_GROOVE, MEASURE_GROOVE, true)),
    BRIDGE_WALKS(
            Place.BRIDGE,
            new Suspicion(Cause.DRY_GROOVE, RUB_GRAPHITE_AND_LISTEN, false),
            new Suspicion(Cause.BRIDGE_LEANS, MEASURE_GAP, false),
            new Suspicion(Cause.FEET_DO_NOT_FIT, PRESS_BESIDE_FEET, true)),
    TUNING_ONE_MOVES_ANOTHER(
            Place.PEG,
            new Suspicion(Cause.TOUCHES_IN_PEGBOX, LOOK_INTO_PEGBOX, false),
            new Suspicion(Cause.BODY_GIVES, COMPARE_WITH_FORECAST, false)),
    TUNER_OUT_OF_TRAVEL(Place.TAIL, new Suspicion(Cause.SCREW_AT_ITS_END, LOOK_AT_SCREW, false)),
    NEVER_HOLDS(
            Place.FINGERBOARD,
            new Suspicion(Cause.STILL_SETTLING, COMPARE_WITH_FORECAST, false),
            new Suspicion(Cause.POLISHED_BANDS, LOOK_AT_BANDS, false),
            new Suspicion(Cause.GEARS_LOOSE, LOOK_AT_GEARS, false),
            new Suspicion(Cause.TURNS_BEDDING_IN, LOOK_INTO_PEGBOX, false),
            new Suspicion(Cause.WORN_OUT, ASK_WHEN_IT_WENT_ON, false)),
    DULL(
            Place.WHOLE,
            new Suspicion(Cause.ROSIN_ON_STRING, WIPE_AND_PLAY, false),
            new Suspicion(Cause.WORN_OUT, ASK_WHEN_IT_WENT_ON, false),
            new Suspicion(Cause.POST_MOVED, LOOK_INTO_SOUND_HOLE, true));

    private final Place place;
    private final List<Suspicion> suspicions;

    Symptom(Place place, Suspicion... suspicions) {
        this.place = place;
        this.suspicions = List.of(suspicions);
    }

    /** {@return where on the instrument a player points to; the whole of it for its sound} */
    public Place place() {
        return place;
    }

    /** {@return what such an instrument can do: a fine tuner that it does not have is never at its end} */
    public static List<Symptom> of(SetUp setUp) {
        return Arrays.stream(values())
                .filter(symptom -> symptom != TUNER_OUT_OF_TRAVEL || setUp.hasFineTuners())
                .toList();
    }

    /** {@return what can be behind it, the likelier first; on tapered pegs nothing that is the matter with gears, and the other way round} */
    public List<Suspicion> suspicions(PegKind pegs) {
        Set<Cause> others = pegs.holdsByFriction() ? Cause.OF_GEARS : Cause.OF_TAPERED_PEGS;
        return suspicions.stream()
                .filter(suspicion -> !others.contains(suspicion.cause()))
                .toList();
    }

    /** What can be behind a symptom, each with what cures it. */
    public enum Cause {
        POLISHED_BANDS(Cure.TREAT_PEG),
        PEG_NOT_PUSHED_IN(Cure.PUSH_PEG_IN),
        TAPER_MISMATCH(Cure.REPAIRER),
        DAMP_OR_DRY_WOOD(Cure.TREAT_PEG),
        /** A screw of the gears, or what holds them to the pegbox. */
        GEARS_LOOSE(Cure.SEE_TO_GEARS),
        GEARS_WORN(Cure.REPAIRER),
        /** Or dirty. */
        GEARS_DRY(Cure.SEE_TO_GEARS),
        SHAFT_BENT(Cure.REPAIRER),
        WOUND_HARD_TO_WALL(Cure.REWIND),
        LOOSE_PART(Cure.TIGHTEN_PART),
        STRING_LOW_AT_NUT(Cure.REPAIRER),
        OPEN_WINDING(Cure.CHANGE_STRING),
        DRY_GROOVE(Cure.GRAPHITE),
        TIGHT_GROOVE(Cure.REPAIRER),
        BRIDGE_LEANS(Cure.GRAPHITE),
        FEET_DO_NOT_FIT(Cure.REPAIRER),
        TOUCHES_IN_PEGBOX(Cure.REWIND),
        /** Every string that rises lets the others sink. */
        BODY_GIVES(Cure.TUNE_IN_ROUNDS),
        SCREW_AT_ITS_END(Cure.BACK_OUT_TUNER),
        STILL_SETTLING(Cure.WAIT),
        TURNS_BEDDING_IN(Cure.WAIT),
        WORN_OUT(Cure.CHANGE_STRING),
        ROSIN_ON_STRING(Cure.WIPE_STRING),
        POST_MOVED(Cure.REPAIRER);

        private static final Set<Cause> OF_TAPERED_PEGS =
                EnumSet.of(POLISHED_BANDS, PEG_NOT_PUSHED_IN, TAPER_MISMATCH, DAMP_OR_DRY_WOOD);

        private static final Set<Cause> OF_GEARS = EnumSet.of(GEARS_LOOSE, GEARS_WORN, GEARS_DRY, SHAFT_BENT);

        private final Cure cure;

        Cause(Cure cure) {
            this.cure = cure;
        }

        /** {@return what cures it} */
        public Cure cure() {
            return cure;
        }
    }

    /** What cures a cause. */
    public enum Cure {
        TREAT_PEG,
        PUSH_PEG_IN,
        /** No compound; as their maker says. */
        SEE_TO_GEARS,
        REWIND,
        GRAPHITE,
        CHANGE_STRING,
        TUNE_IN_ROUNDS,
        BACK_OUT_TUNER,
        TIGHTEN_PART,
        WIPE_STRING,
        /** Retune and give it time. */
        WAIT,
        /** A violin maker or repairer. */
        REPAIRER
    }

    /**
     * A cause that is suspected.
     *
     * @param cause what may be behind it
     * @param check what tells it from the others
     * @param refer whether curing it is a repairer's work
     */
    public record Suspicion(Cause cause, Check check, boolean refer) {

        /**
         * Checks that the cure agrees.
         *
         * @throws IllegalArgumentException when a repairer's work has another cure
         */
        public Suspicion {
            requireNonNull(check, "check");
            if (refer != (cause.cure() == Cure.REPAIRER)) {
                throw new IllegalArgumentException("refer is " + refer + " for " + cause + ", which is cured by "
                        + cause.cure() + "; both must name a repairer, or neither");
            }
        }
    }
}
