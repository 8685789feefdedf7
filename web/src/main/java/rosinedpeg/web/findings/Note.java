package rosinedpeg.web.findings;

import java.util.List;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.web.instrument.Instruments;

/** Something noted on an instrument: as somebody wrote it, or as what it is, to be put into words when it is shown. */
public sealed interface Note {

    /** {@return the name it is kept by} */
    Kind kind();

    /** What kinds there are. */
    enum Kind {
        WRITTEN,
        WENT_WRONG,
        WORK_DONE,
        LOOKED_OVER,
        BEGUN_ALL_THE_SAME
    }

    /**
     * In somebody's own words.
     *
     * @param text at most {@value Instruments#LONGEST_NOTE} characters
     */
    record Written(String text) implements Note {
        @Override
        public Kind kind() {
            return Kind.WRITTEN;
        }
    }

    /**
     * Something went wrong at the bench.
     *
     * @param mishap what
     * @param instrumentAtFault whether it has happened there so often that the string is not to blame
     */
    record WentWrong(Mishap mishap, boolean instrumentAtFault) implements Note {
        @Override
        public Kind kind() {
            return Kind.WENT_WRONG;
        }
    }

    /**
     * Work that changes no string is done.
     *
     * @param work what
     */
    record WorkDone(PlanKind work) implements Note {
        @Override
        public Kind kind() {
            return Kind.WORK_DONE;
        }
    }

    /**
     * An instrument was looked over by eye and hand.
     *
     * @param findings what was seen
     */
    record LookedOver(List<Finding> findings) implements Note {
        /** Copies the list. */
        public LookedOver {
            findings = List.copyOf(findings);
        }

        @Override
        public Kind kind() {
            return Kind.LOOKED_OVER;
        }
    }

    /**
     * Work was begun although something stood against it, and somebody said that it was looked at.
     *
     * @param referrals what a repairer had not seen to yet
     * @param findings what was found
     */
    record BegunAllTheSame(List<Note> referrals, List<Finding> findings) implements Note {
        /** Copies the lists. */
        public BegunAllTheSame {
            referrals = List.copyOf(referrals);
            findings = List.copyOf(findings);
        }

        @Override
        public Kind kind() {
            return Kind.BEGUN_ALL_THE_SAME;
        }
    }
}
