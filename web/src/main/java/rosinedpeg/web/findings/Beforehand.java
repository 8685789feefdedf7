package rosinedpeg.web.findings;

import java.util.List;
import rosinedpeg.core.finding.Finding;

/**
 * What somebody who is about to work on an instrument has to know of it first.
 *
 * @param referrals what was noticed and is a repairer's work, not yet seen to
 * @param findings what has to be put right first, what stops the work first
 */
public record Beforehand(List<Referral> referrals, List<Finding> findings) {

    /** {@return whether there is nothing} */
    public boolean isEmpty() {
        return referrals.isEmpty() && findings.isEmpty();
    }

    /** {@return whether work begins only when somebody says that it can be done all the same} */
    public boolean asks() {
        return !referrals.isEmpty() || findings.stream().anyMatch(Finding::stops);
    }
}
