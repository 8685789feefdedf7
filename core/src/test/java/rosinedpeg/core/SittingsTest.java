package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.dates.SafeChange.Performance;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.week.Sittings;

/** A set changed in two or three sittings: playable all the while, held by the load, soonest whole. */
class SittingsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);
    private static final ZoneId ZONE = ZoneOffset.UTC;

    private static Sittings.Asked asked(
            Map<Position, StringSpec> replacements, int sittings, Optional<LocalDate> by, Performance... performances) {
        return new Sittings.Asked(
                Examples.VIOLIN,
                Examples.violinSet(),
                replacements,
                sittings,
                DAY,
                by,
                Set.of(DAY),
                List.of(performances),
                ZONE);
    }

    private static Performance at(int day, Steadiness steadiness) {
        return new Performance(
                steadiness, DAY.plusDays(day).atTime(19, 30).atZone(ZONE).toInstant());
    }

    private static Map<Position, StringSpec> only(StringCore core, Position... positions) {
        Map<Position, StringSpec> some = new EnumMap<>(Position.class);
        for (Position position : positions) {
            StringSpec string = position.in(Examples.violinSet());
            some.put(position, Examples.with(string, core, string.totalLengthMm()));
        }
        return some;
    }

    /** Whatever is played, a sitting begins when the last one holds, and nothing goes on that would not hold. */
    @Property(tries = 300)
    void theInstrumentIsPlayableAllTheWhile(
            @ForAll @Size(max = 6) List<@IntRange(max = 60) Integer> days,
            @ForAll List<Steadiness> steadiness,
            @ForAll @IntRange(min = 2, max = 3) int sittings) {
        List<Performance> played = new ArrayList<>();
        for (int i = 0; i < days.size(); i++) {
            played.add(at(days.get(i), i < steadiness.size() ? steadiness.get(i) : Steadiness.CONCERT));
        }
        Optional<Sittings> found = Sittings.of(
                asked(Examples.violinSet(), sittings, Optional.empty(), played.toArray(Performance[]::new)));
        assertThat(found).isPresent();
        List<Sittings.Sitting> all = found.get().sittings();
        assertThat(all).hasSize(sittings);
        Set<Position> strings = EnumSet.noneOf(Position.class);
        LocalDate earliest = DAY;
        for (Sittings.Sitting sitting : all) {
            assertThat(sitting.strings()).noneMatch(strings::contains).hasSizeLessThanOrEqualTo(2);
            strings.addAll(sitting.strings());
            assertThat(sitting.day()).isAfterOrEqualTo(earliest);
            earliest = sitting.holdsFor().get(Steadiness.REHEARSAL).atZone(ZONE).toLocalDate();
            for (Performance performance : played) {
                if (!sitting.day().isAfter(LocalDate.ofInstant(performance.beginsAt(), ZONE))) {
                    assertThat(sitting.holdsFor().get(performance.steadiness()))
                            .isBeforeOrEqualTo(performance.beginsAt());
                }
            }
        }
        assertThat(strings).isEqualTo(Examples.violinSet().keySet());
    }

    /** Plain steel holds in hours: it goes on last, and the whole set holds soonest. */
    @Test
    void whatSettlesLongestGoesOnFirst() {
        List<Sittings.Sitting> all = Sittings.of(asked(Examples.violinSet(), 3, Optional.empty()))
                .orElseThrow()
                .sittings();
        assertThat(all.get(2).strings()).containsExactly(Position.I);
        // On the first day nobody is at the bench.
        assertThat(all.get(0).day()).isEqualTo(DAY.plusDays(1));
        assertThat(all.get(1).holdsFor().get(Steadiness.CONCERT))
                .isAfter(all.get(1).holdsFor().get(Steadiness.REHEARSAL));
    }

    /** A set that pulls harder goes on from both sides at once, so that old and new are mixed alike on both feet. */
    @Test
    void aHarderSetGoesOnFromBothSides() {
        Map<Position, StringSpec> harder = new EnumMap<>(Position.class);
        only(StringCore.SYNTHETIC, Position.I, Position.II, Position.III, Position.IV)
                .forEach((position, string) -> harder.put(
                        position,
                        Examples.with(
                                string,
                                string.core(),
                                string.tensionN() * 1.1,
                                string.diameterMm(),
                                string.tailSilkEndMm(),
                                string.topSilkStartMm(),
                                string.totalLengthMm())));
        Sittings found = Sittings.of(asked(harder, 2, Optional.empty())).orElseThrow();
        Set<Position> first = found.sittings().get(0).strings();
        assertThat(first)
                .isNotEqualTo(EnumSet.of(Position.I, Position.II))
                .isNotEqualTo(EnumSet.of(Position.III, Position.IV));
        assertThat(found.sittings().get(1).load().treble()).isBetween(1.09, 1.11);
    }

    @Test
    void whetherItIsInTimeIsSaid() {
        assertThat(Sittings.of(asked(Examples.violinSet(), 2, Optional.of(DAY.plusDays(40))))
                        .orElseThrow()
                        .inTime())
                .isTrue();
        assertThat(Sittings.of(asked(Examples.violinSet(), 3, Optional.of(DAY.plusDays(1))))
                        .orElseThrow()
                        .inTime())
                .isFalse();
    }

    @Test
    void whatIsPlayedEveryEveningLeavesNoDay() {
        Performance[] every = new Performance[Sittings.FURTHEST_DAYS + 2];
        for (int day = 0; day < every.length; day++) {
            every[day] = at(day, Steadiness.CONCERT);
        }
        assertThat(ChangeWindow.settles(StringCore.GUT, Steadiness.CONCERT)).isGreaterThan(Duration.ofDays(1));
        assertThat(Sittings.of(asked(only(StringCore.GUT, Position.II, Position.III), 2, Optional.empty(), every)))
                .isEmpty();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> asked(only(StringCore.GUT, Position.II), 2, Optional.empty()));
        assertThatIllegalArgumentException().isThrownBy(() -> asked(Examples.violinSet(), 4, Optional.empty()));
    }
}
