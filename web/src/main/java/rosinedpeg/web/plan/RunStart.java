package rosinedpeg.web.plan;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.validation.BindingResult;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.findings.Note;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.findings.Referral;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Role;

/**
 * Takes a plan to the bench. Two presses, or two devices, at the same moment come to the same run. What a repairer has to
 * see to, or what stops the work, stands in front of it until somebody says that they have looked at it. An instrument that had
 * left the rack is on it again with its run.
 */
@Component
class RunStart {

    private final Notes notes;
    private final Benches benches;
    private final Instruments instruments;
    private final TransactionTemplate transaction;

    RunStart(Notes notes, Benches benches, Instruments instruments, PlatformTransactionManager transactions) {
        this.notes = notes;
        this.instruments = instruments;
        this.benches = benches;
        this.transaction = new TransactionTemplate(transactions);
    }

    /**
     * Whether the work may begin; if it has to be looked at first and was not, that is said. What waits for a repairer, or stops the
     * work, players leave to a technician or a keeper.
     */
    static boolean mayBegin(Beforehand beforehand, RunStartForm form, BindingResult result) {
        if (!beforehand.asks()) {
            return true;
        }
        boolean player = CurrentWorkshop.account()
                .filter(account -> account.role() == Role.PLAYER)
                .isPresent();
        if (player || !form.isLookedAt()) {
            result.rejectValue("lookedAt", player ? "plan.lookedAt.others" : "plan.lookedAt.missing");
            return false;
        }
        return true;
    }

    /** {@return the run that follows the plan, or the one that was opened first} */
    UUID run(
            UUID id,
            Beforehand beforehand,
            ChangePlan plan,
            Schools schools,
            Map<Position, UUID> replacements,
            Reason reason,
            boolean keepOld,
            Map<Position, UUID> chosen) {
        Optional<UUID> open = benches.openFor(id);
        if (open.isPresent()) {
            return open.get();
        }
        try {
            return transaction.execute(begun -> {
                if (beforehand.asks()) {
                    notes.write(id, told(beforehand), false);
                }
                instruments.bringBack(id);
                return benches.start(id, plan, schools, replacements, reason, keepOld, chosen);
            });
        } catch (DataIntegrityViolationException pressedTwice) {
            if (!Constraint.ONE_OPEN_RUN_FOR_AN_INSTRUMENT.isViolatedBy(pressedTwice)) {
                throw pressedTwice;
            }
            return benches.openFor(id).orElseThrow(() -> pressedTwice);
        }
    }

    private static Note told(Beforehand beforehand) {
        return new Note.BegunAllTheSame(
                beforehand.referrals().stream().map(Referral::note).toList(),
                beforehand.findings().stream().filter(Finding::stops).toList());
    }
}
