package rosinedpeg.web.bench;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.web.platform.Fragments;
import rosinedpeg.web.platform.Wording;

/**
 * Lays out the steps that a device is sent before their turn, and keeps them: with every press it is sent all but one of those it was
 * sent before, and a plan never changes. What is another on every page, the press and the token of its forms, the device puts in when
 * the turn of a step has come. In templates: {@code @aheadSteps}.
 */
@Component("aheadSteps")
class AheadSteps {

    /** As many plans as are in hand at a time. */
    private static final int PLANS = 200;

    private final Fragments fragments;

    /** By the very plan, not by what is in it: of a run in hand it is read once. */
    private final Cache<ChangePlan, Map<Look, String>> laidOut =
            Caffeine.newBuilder().weakKeys().maximumSize(PLANS).build();

    AheadSteps(Fragments fragments) {
        this.fragments = fragments;
    }

    /**
     * What a step of a plan looks like.
     *
     * @param index which step
     * @param run the run it is of
     * @param instrument what its instrument is called
     * @param wording how much is said
     * @param locale in which language
     */
    private record Look(int index, UUID run, String instrument, Wording wording, Locale locale) {}

    /** {@return steps of a run as HTML, one after the other} */
    public String html(Run run, String instrument, List<BenchPage.Ahead> steps, Wording wording) {
        ChangePlan plan = run.state().plan();
        Map<Look, String> ofPlan = laidOut.get(plan, none -> new ConcurrentHashMap<>());
        Locale locale = LocaleContextHolder.getLocale();
        return steps.stream()
                .map(later -> ofPlan.computeIfAbsent(
                        new Look(later.step().index(), run.id(), instrument, wording, locale),
                        look -> layOut(run, instrument, plan, later, wording)))
                .collect(Collectors.joining());
    }

    private String layOut(Run run, String instrument, ChangePlan plan, BenchPage.Ahead later, Wording wording) {
        return fragments.layOut(
                "bench/ahead",
                Map.of(
                        "address",
                        "/bench/" + run.id(),
                        "steps",
                        run.steps(),
                        "instrument",
                        instrument,
                        "plan",
                        plan,
                        "then",
                        later.step(),
                        "before",
                        later.before(),
                        "full",
                        wording == Wording.FULL));
    }
}
