package rosinedpeg.web.demonstration;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Off;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.sound.InWords;
import rosinedpeg.web.sound.Question;
import rosinedpeg.web.sound.SoundMoment;
import rosinedpeg.web.sound.Sounds;

/**
 * Seasons that the theatre has behind it: strings that went on and came off before those that are on now, worn out most of them, some
 * broken, some changed before a night that mattered. The same ones for every demonstration, told from today.
 */
final class Seasons {

    private static final double SCATTER = 0.2;
    private static final double BROKE_SHARE = 0.1;
    private static final double GOOD_SHARE = 0.28;
    /** How far through its life one is that breaks, or is taken off while it is good. */
    private static final double CUT_SHORT = 0.65;

    private static final Duration SAID_AFTER = Duration.ofDays(9);
    private static final double UNSAID_SHARE = 0.25;
    private static final double NOTED_SHARE = 0.3;
    private static final double INSTRUMENTS = 0.5;
    private static final double JUDGEMENT = 0.5;

    private static final Map<String, Map<SoundScale, Double>> SOUNDS = Map.of(
            "Sluice", Map.of(SoundScale.DARK_BRIGHT, 0.6, SoundScale.SLOW_QUICK, 0.8, SoundScale.SMALL_POWERFUL, 0.6),
            "Weir", Map.of(SoundScale.DARK_BRIGHT, -0.5, SoundScale.SOFT_FIRM, -0.9, SoundScale.APART_EVEN, 0.7),
            "Ember", Map.of(SoundScale.DARK_BRIGHT, -1.3, SoundScale.SOFT_FIRM, -1.2, SoundScale.SLOW_QUICK, -0.9),
            "Reed", Map.of(SoundScale.DARK_BRIGHT, 0.5, SoundScale.SOFT_FIRM, 0.7),
            "Heron", Map.of(SoundScale.DARK_BRIGHT, -0.6, SoundScale.SLOW_QUICK, -0.4),
            "Barge", Map.of(SoundScale.SMALL_POWERFUL, 0.9, SoundScale.SOFT_FIRM, 0.8),
            "Anchor", Map.of(SoundScale.DARK_BRIGHT, -0.5, SoundScale.APART_EVEN, 0.6));

    private static final Map<String, List<String>> NOTES = Map.of(
            "Sluice",
                    List.of(
                            "Carries to the back row.",
                            "A little glassy in the first week.",
                            "Harsh when pushed in the slow number."),
            "Weir", List.of("Sits under the singers.", "Weak when plucked low down.", "Kind to a cold hand."),
            "Ember", List.of("Warm, and slow to wake up.", "Lovely until the damp comes in."),
            "Barge", List.of("Growls when it should.", "Too much for the ballad."),
            "Anchor", List.of("Blends with the basses."));

    private final Instruments instruments;
    private final Sounds sounds;
    private final Instant now;
    private final Random random = new Random(20260612);
    /** What is said comes of chances of its own, so that it changes nothing of what lasted how long. */
    private final Random said = new Random(20261127);

    Seasons(Instruments instruments, Sounds sounds, Instant now) {
        this.instruments = instruments;
        this.sounds = sounds;
        this.now = now;
    }

    private record Past(StringKind kind, Instant from, Off off) {}

    /**
     * Strings an instrument, after what was on it before.
     *
     * @param instrumentId the instrument, bare
     * @param before what was on it before, the last first
     * @param set what is on it now
     * @param daysAgo since how many days
     * @param truth how many times the life that is thought of such strings they truly have
     */
    void fit(
            UUID instrumentId,
            List<Map<Position, StringKind>> before,
            Map<Position, StringKind> set,
            Map<Position, Integer> daysAgo,
            double truth) {
        Instrument instrument = instruments.get(instrumentId);
        new TreeMap<>(daysAgo).forEach((position, days) -> {
            Instant since = now.minus(Duration.ofDays(days));
            List<Past> past = new ArrayList<>();
            Instant until = since;
            for (Map<Position, StringKind> kinds : before) {
                StringKind kind = position.in(kinds);
                double roll = random.nextDouble();
                CameOff why =
                        roll < BROKE_SHARE ? CameOff.BROKE : roll < GOOD_SHARE ? CameOff.STILL_GOOD : CameOff.WORN;
                double lives =
                        truth * Math.exp(random.nextGaussian() * SCATTER) * (why == CameOff.WORN ? 1 : CUT_SHORT);
                double months = new Wear(0, 0, 0, kind.thought())
                        .monthsLeft(instrument.demand().threshold() * lives, instrument.hoursPerWeek());
                Instant from = until.minusSeconds(Math.round(months * Wear.HOURS_PER_MONTH * 3600));
                past.add(0, new Past(kind, from, new Off(why, why == CameOff.BROKE ? place() : null)));
                until = from;
            }
            @Nullable Off off = null;
            double stands = said.nextGaussian() * INSTRUMENTS;
            for (Past one : past) {
                say(
                        instrumentId,
                        fit(instrumentId, position, one.kind(), one.from(), off),
                        one.kind(),
                        one.from(),
                        stands);
                off = one.off();
            }
            StringKind kind = position.in(set);
            say(instrumentId, fit(instrumentId, position, kind, since, off), kind, since, stands);
        });
    }

    private UUID fit(UUID instrumentId, Position position, StringKind kind, Instant since, @Nullable Off before) {
        return instruments.fit(instrumentId, position, kind.id(), since, Before.NOTHING, false, before);
    }

    /** Somebody said how it sounded once it had settled, more often than not. */
    private void say(UUID instrumentId, UUID fittedId, StringKind kind, Instant since, double stands) {
        Instant at = since.plus(SAID_AFTER);
        if (said.nextDouble() < UNSAID_SHARE || at.isAfter(now)) {
            return;
        }
        Map<SoundScale, Integer> places = new EnumMap<>(SoundScale.class);
        for (SoundScale scale : SoundScale.values()) {
            if (said.nextDouble() > UNSAID_SHARE) {
                places.put(scale, (int) Math.max(
                        SoundScale.LOWEST,
                        Math.min(
                                SoundScale.HIGHEST,
                                Math.rint(soundsLike(kind, scale) + stands + said.nextGaussian() * JUDGEMENT))));
            }
        }
        List<String> notes = NOTES.getOrDefault(kind.line(), List.of());
        String note = notes.isEmpty() || said.nextDouble() > NOTED_SHARE ? "" : notes.get(said.nextInt(notes.size()));
        sounds.say(
                instrumentId,
                UUID.randomUUID(),
                at,
                Map.of(new Question(fittedId, SoundMoment.ON), new InWords(places, note)));
    }

    /** Where a kind truly stands on a scale: gut darker and softer than the rest, light strings quicker and smaller. */
    private static double soundsLike(StringKind kind, SoundScale scale) {
        return SOUNDS.getOrDefault(kind.line(), Map.of()).getOrDefault(scale, 0.0);
    }

    private BreakPlace place() {
        return BreakPlace.values()[random.nextInt(BreakPlace.values().length)];
    }
}
