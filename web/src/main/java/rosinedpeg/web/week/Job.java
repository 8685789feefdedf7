package rosinedpeg.web.week;

import static java.util.stream.Collectors.joining;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.week.JobKind;
import rosinedpeg.web.aftercare.OwedWork;
import rosinedpeg.web.buying.PacketDays;
import rosinedpeg.web.occasions.Occasion;

/**
 * Work on one instrument that waits for the bench.
 *
 * @param key what it is known by, from one planning to the next
 * @param kind why it wants to be done
 * @param instrumentId on which instrument
 * @param instrument what that is called
 * @param strings which strings it concerns; none for the whole instrument
 * @param core what the slowest of its new strings to settle is made of, if there are new ones
 * @param kit what is used on it
 * @param minutes how long it takes each person at this bench
 * @param earliest the first day it can be done
 * @param latest the last day it is in time
 * @param away the days between on which the instrument is not at hand
 * @param closed the days between on which new strings would not hold for what is played
 * @param played what new strings are played at first, if anything
 * @param packet the packet that comes last, if it needs any
 * @param owed what is owed, if it is that
 * @param wish what was asked for, if it is that
 */
record Job(
        String key,
        JobKind kind,
        UUID instrumentId,
        String instrument,
        List<Position> strings,
        Optional<StringCore> core,
        Set<Material> kit,
        Map<String, Interval> minutes,
        LocalDate earliest,
        LocalDate latest,
        Set<LocalDate> away,
        Set<LocalDate> closed,
        Optional<Occasion> played,
        Optional<PacketDays.Packet> packet,
        Optional<OwedWork> owed,
        Optional<Wish> wish) {

    /** {@return the page on which it is done} */
    public String address() {
        String page = "/instruments/" + instrumentId;
        return switch (kind) {
            case STRINGS_PLAYED, STRINGS_DUE, AGE_UNKNOWN -> page + plan();
            case SETS_IN_TURN -> page + "/two-sets/next";
            case BRIDGE -> page + "/bridge";
            case PEGS -> page + "/work?kind=PEG_SERVICE";
            case OWED, BACK -> page;
            case WISHED ->
                page
                        + wish.map(one -> switch (one.kind()) {
                                    case STRINGS -> plan();
                                    case PEG_SERVICE -> "/work?kind=PEG_SERVICE";
                                    case OTHER -> "";
                                })
                                .orElse("");
        };
    }

    /** {@return the page on which it is begun as the next of a day's list: there the button that begins it is at hand} */
    public String begin() {
        String address = address();
        return address + (address.contains("?") ? "&" : "?") + "list=1";
    }

    private String plan() {
        return "/plan" + strings.stream().map(one -> "strings=" + one).collect(joining("&", "?", ""));
    }

    /** {@return how long its new strings take to hold for what is played first, or else for a concert; empty where it puts none on} */
    public Optional<Duration> settles() {
        Steadiness steadiness = played.map(Occasion::steadiness).orElse(Steadiness.CONCERT);
        return core.map(one -> ChangeWindow.settles(one, steadiness));
    }

    /** {@return whether it puts new strings on, which settle afterwards} */
    public boolean changesStrings() {
        return core.isPresent();
    }
}
