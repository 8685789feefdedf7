package rosinedpeg.web.findings;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.KeptFinding;
import rosinedpeg.web.platform.KeptNames;
import tools.jackson.databind.json.JsonMapper;

/** The form notes are kept in: plain words and numbers, apart from the core's own records. */
@Component
class NoteForms {

    private final JsonMapper json;

    NoteForms(JsonMapper json) {
        this.json = json;
    }

    /** {@return what a note says beside its kind, as it is kept; nothing for what somebody wrote} */
    @Nullable
    String arguments(Note note) {
        Object form = form(note);
        return form instanceof KeptText ? null : json.writeValueAsString(form);
    }

    /** {@return the note that was kept so} */
    Note read(Note.Kind kind, @Nullable String text, @Nullable String arguments) {
        return switch (kind) {
            case WRITTEN -> new Note.Written(requireNonNull(text));
            case WENT_WRONG -> note(json.readValue(arguments, KeptMishap.class));
            case WORK_DONE -> note(json.readValue(arguments, KeptWork.class));
            case LOOKED_OVER ->
                new Note.LookedOver(json.readValue(arguments, KeptLook.class).findings().stream()
                        .map(KeptFinding::read)
                        .toList());
            case BEGUN_ALL_THE_SAME -> note(json.readValue(arguments, KeptBeginning.class));
        };
    }

    // --- into the form -----------------------------------------------------------------------------------------------

    private static Object form(Note note) {
        if (note instanceof Note.Written written) {
            return new KeptText(written.text());
        }
        if (note instanceof Note.WentWrong wrong) {
            Mishap mishap = wrong.mishap();
            return new KeptMishap(
                    mishap.kind().name(), name(mishap.position()), name(mishap.place()), wrong.instrumentAtFault());
        }
        if (note instanceof Note.WorkDone done) {
            return new KeptWork(done.work().name());
        }
        if (note instanceof Note.LookedOver looked) {
            return new KeptLook(looked.findings().stream().map(KeptFinding::of).toList());
        }
        Note.BegunAllTheSame begun = (Note.BegunAllTheSame) note;
        return new KeptBeginning(
                begun.referrals().stream().map(NoteForms::referral).toList(),
                begun.findings().stream().map(KeptFinding::of).toList());
    }

    /** A note within a note; work that was begun all the same is no referral. */
    private static KeptReferral referral(Note note) {
        Object form = form(note);
        return new KeptReferral(
                form instanceof KeptText text ? text.text() : null, form instanceof KeptMishap mishap ? mishap : null);
    }

    private static @Nullable String name(@Nullable Enum<?> constant) {
        return constant == null ? null : constant.name();
    }

    // --- out of the form ---------------------------------------------------------------------------------------------

    private static Note note(KeptMishap kept) {
        return new Note.WentWrong(
                new Mishap(
                        KeptNames.of(Mishap.Kind.class, kept.mishap()),
                        of(Position.class, kept.position()),
                        of(BreakPlace.class, kept.place())),
                kept.instrumentAtFault());
    }

    private static Note note(KeptWork kept) {
        return new Note.WorkDone(KeptNames.of(PlanKind.class, kept.work()));
    }

    private static Note note(KeptBeginning kept) {
        List<Note> referrals = new ArrayList<>();
        kept.referrals()
                .forEach(one -> referrals.add(
                        one.mishap() == null ? new Note.Written(requireNonNull(one.text())) : note(one.mishap())));
        return new Note.BegunAllTheSame(
                referrals, kept.findings().stream().map(KeptFinding::read).toList());
    }

    private static <E extends Enum<E>> @Nullable E of(Class<E> type, @Nullable String name) {
        return name == null ? null : KeptNames.of(type, name);
    }

    private record KeptText(String text) {}

    private record KeptMishap(
            String mishap,
            @Nullable String position,
            @Nullable String place,
            boolean instrumentAtFault) {}

    private record KeptWork(String work) {}

    private record KeptReferral(
            @Nullable String text, @Nullable KeptMishap mishap) {}

    private record KeptLook(List<KeptFinding> findings) {}

    private record KeptBeginning(List<KeptReferral> referrals, List<KeptFinding> findings) {}
}
