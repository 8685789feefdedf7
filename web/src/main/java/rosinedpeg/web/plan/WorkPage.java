package rosinedpeg.web.plan;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.kinds.StringKind;

/**
 * The page on which work is planned that is not a plain change.
 *
 * @param instrument the instrument
 * @param beforehand what has to be known before anybody works on it
 * @param choices what can be chosen
 * @param usual the usual choice of each school
 * @param cardAddress where the plan's bench card is
 * @param fits how the string fits that goes on, where one does
 * @param course the plan; empty while something is missing
 */
record WorkPage(
        Instrument instrument,
        Beforehand beforehand,
        Choices choices,
        Set<Enum<?>> usual,
        String cardAddress,
        List<Finding> fits,
        Optional<Course> course) {

    /**
     * What can be chosen.
     *
     * @param setUp the instrument's
     * @param offered the kinds of string that can go on at the chosen position
     */
    record Choices(SetUp setUp, List<StringKind> offered) {

        public List<PlanKind> workKinds() {
            return Arrays.stream(PlanKind.values())
                    .filter(kind -> kind != PlanKind.CHANGE && kind != PlanKind.SERVICE)
                    .toList();
        }

        /** {@return the key of what such work is for} */
        public String why(PlanKind kind) {
            return "work." + kind + (kind == PlanKind.PEG_SERVICE && !friction() ? ".gears" : ".why");
        }

        public PegCondition[] pegConditions() {
            return PegCondition.values();
        }

        public boolean friction() {
            return setUp.pegKind().holdsByFriction();
        }

        public Schools.Treatment[] treatments() {
            return Schools.Treatment.values();
        }

        public Schools.Raising[] raisings() {
            return Schools.Raising.values();
        }
    }
}
