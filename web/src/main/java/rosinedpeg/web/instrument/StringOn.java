package rosinedpeg.web.instrument;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.DiaryHours;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.PlayingTime;
import rosinedpeg.core.wear.Span;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.wear.WearRate;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.core.wear.WearState;
import rosinedpeg.core.working.WearGrounds;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.kinds.StringKind;

/**
 * A string that is on an instrument now.
 *
 * @param fittedId the id of this very string
 * @param position where it is
 * @param kind what it is
 * @param fittedAt since when; empty when nobody knows
 * @param signs what was seen or heard
 * @param hoursCountedAt when somebody counted the hours played on it; empty when they are reckoned from the day it went on
 * @param wornBy what its wear rests on; nothing but the signs when its age is unknown
 * @param state what that asks for
 * @param monthsLeft until it is due; 0 when it is due or its age is unknown
 * @param version of what is recorded of it: a change of it says which one was seen
 */
public record StringOn(
        UUID fittedId,
        Position position,
        StringKind kind,
        Optional<Instant> fittedAt,
        Set<WearSign> signs,
        Optional<Instant> hoursCountedAt,
        WearGrounds wornBy,
        WearState state,
        double monthsLeft,
        int version) {

    /**
     * How the instrument is played.
     *
     * @param hoursPerWeek usually
     * @param demand how fresh its strings are wanted
     * @param holidays when nobody plays
     * @param dates when it is played, by the dates that name it
     * @param zone where a week begins on Monday
     */
    record Playing(double hoursPerWeek, Demand demand, List<Span> holidays, List<Span> dates, ZoneId zone) {}

    static StringOn of(FittedNow fitted, StringKind kind, Playing playing, Instant now) {
        double hoursPerWeek = playing.hoursPerWeek();
        Demand demand = playing.demand();
        Life life = kind.lasts(demand);
        Instant since = fitted.fittedAt();
        double ageHours = fitted.ageHours(now);
        Instant counted = fitted.countedFrom();
        double playingHours = counted == null ? 0 : PlayingTime.hours(counted, now, playing.holidays());
        double diaryHours = counted == null
                ? 0
                : DiaryHours.beyondUsual(
                        counted, now, hoursPerWeek, playing.holidays(), playing.dates(), playing.zone());
        WearGrounds wornBy = new WearGrounds(
                fitted.hoursBefore(),
                ageHours,
                playingHours,
                diaryHours,
                hoursPerWeek,
                Wear.shareOf(fitted.signs()),
                life,
                demand.threshold());
        Wear wear = wornBy.wear();
        double monthsLeft = since == null ? 0 : Math.max(0, wear.monthsLeft(demand.threshold(), hoursPerWeek));
        WearState state =
                WearState.of(Optional.ofNullable(since).map(known -> wear), fitted.signs(), demand, hoursPerWeek);
        return new StringOn(
                fitted.id(),
                fitted.position(),
                kind,
                Optional.ofNullable(since),
                fitted.signs(),
                Optional.ofNullable(fitted.hoursCountedAt()),
                wornBy,
                state,
                monthsLeft,
                fitted.version());
    }

    /** {@return how far it is used up} */
    public Wear wear() {
        return wornBy.wear();
    }

    /** {@return hours played on it, reckoned from the hours a week the instrument is played} */
    public double hours() {
        return wear().hours();
    }

    /** {@return the one of some strings that most wants changing} */
    static Optional<StringOn> mostWorn(Collection<StringOn> strings) {
        return strings.stream()
                .max(Comparator.comparing(StringOn::state)
                        .thenComparing(string -> string.wear().worn()));
    }

    /** {@return the day it is due, by the hours a week it is played} */
    public Instant dueAt(Instant now) {
        return now.plusSeconds(Math.round(monthsLeft * Wear.HOURS_PER_MONTH * 3600));
    }

    /** {@return the moment from which its age alone makes its state another; empty when only hands do} */
    public Optional<Instant> stateUntil(Instant now) {
        if (fittedAt.isEmpty() || state == WearState.CHANGE_NOW) {
            return Optional.empty();
        }
        OptionalDouble hours = WearState.hoursUntilNext(wear(), wornBy.demandShare(), wornBy.hoursPerWeek());
        return hours.isEmpty()
                ? Optional.empty()
                : Optional.of(now.plusSeconds((long) Math.ceil(hours.getAsDouble() * 3600)));
    }

    /** {@return how it is used up from now on, while it is played as usual or nobody plays} */
    public WearRate rate(boolean holiday) {
        boolean counted = fittedAt.isPresent() || hoursCountedAt.isPresent();
        return WearRate.of(wear(), fittedAt.isPresent(), counted && !holiday ? wornBy.hoursPerWeek() : 0);
    }

    /** {@return how it is drawn; a string of unknown age as one that is nearly spent} */
    public Strands.Strand strand(String drawnAs) {
        double worn = wear().shown(fittedAt.isPresent());
        return new Strands.Strand(
                kind.spec().diameterMm(), drawnAs.equals("off") ? 0 : worn, fittedId.getMostSignificantBits(), drawnAs);
    }

    /** {@return how long it has been on} */
    public Optional<Duration> age(Instant now) {
        return fittedAt.map(since -> Duration.between(since, now));
    }
}
