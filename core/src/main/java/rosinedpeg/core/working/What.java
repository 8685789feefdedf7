package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import org.jspecify.annotations.Nullable;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.strings.Position;

/** What a number is that goes into a figure. */
public sealed interface What {

    /** {@return whether a figure is no better known than this number} */
    boolean weighs();

    /**
     * Something that is measured on the instrument.
     *
     * @param measurable what
     */
    record Measured(Measurable measurable) implements What {
        /** Checks the part. */
        public Measured {
            requireNonNull(measurable, "measurable");
        }

        @Override
        public boolean weighs() {
            return true;
        }
    }

    /**
     * Anything else.
     *
     * @param part what
     * @param position the string it belongs to, none for the whole instrument
     * @param number which of several, from 1; 0 where there is one
     */
    record Other(Part part, @Nullable Position position, int number) implements What {
        /** Checks the parts. */
        public Other {
            requireNonNull(part, "part");
        }

        static Other of(Part part) {
            return new Other(part, null, 0);
        }

        static Other of(Part part, Position position) {
            return new Other(part, position, 0);
        }

        @Override
        public boolean weighs() {
            return part.weighs;
        }
    }

    /** What is not measured on the instrument. */
    enum Part {
        /** What a maker says of a string makes no figure weaker, nor does what was worked out from known figures. */
        DESIGN_LENGTH(false),
        TENSION(false),
        DIAMETER(false),
        AXIAL_STIFFNESS(false),
        TOTAL_LENGTH(false),
        TAIL_SILK_END(false),
        TOP_SILK_START(false),
        /** What a metre of it weighs. */
        MASS_PER_METRE(false),
        /** What scales showed of it. */
        WEIGHED(false),
        /** The length that was on them. */
        WEIGHED_LENGTH(false),
        /** Of all it is made of. */
        MEAN_DENSITY(false),
        /** What it carries at the moment that is asked about. */
        CARRIED(false),
        /** What it carries at pitch. */
        AT_PITCH(false),
        /** To what share of its tension it is raised. */
        RAISED_TO(false),
        /** How much of it sticks in a dry groove. */
        STUCK_DRY(true),
        /** How much of it sticks in a groove with graphite. */
        STUCK_GRAPHITED(true),
        /** How much body and neck give. */
        COUPLING(true),
        HOURS_BEFORE(false),
        AGE(false),
        /** Since its hours were counted, without holidays. */
        PLAYING_TIME(false),
        /** Since its hours were counted, beyond the usual ones, by the dates in the diary. */
        DIARY_HOURS(false),
        HOURS_PER_WEEK(false),
        SIGNS_OF_WEAR(false),
        LIFE_HOURS(true),
        LIFE_MONTHS(true),
        /** The worn share at which it is changed. */
        DEMAND(false),
        /** Everything a string of this core usually loses. */
        USUAL_TOTAL(true),
        /** How long it usually takes for most of it. */
        USUAL_TAU(true),
        /** What a string was found at while it settled. */
        SETTLING_READING(true),
        /** How far a peg's collar stood from the wall. */
        COLLAR_READING(true),
        HOURS_SINCE_PITCH(false),
        TUNED_AT(false),
        TOLERANCE(false),
        /** The usual minutes of what is done to one string. */
        MINUTES_AT_STRING(true),
        /** The usual minutes of what is done to the instrument. */
        MINUTES_FOR_ALL(true);

        private final boolean weighs;

        Part(boolean weighs) {
            this.weighs = weighs;
        }

        /** {@return whether a packet may say it of a string} */
        public boolean isOfString() {
            return compareTo(MEAN_DENSITY) <= 0;
        }
    }
}
