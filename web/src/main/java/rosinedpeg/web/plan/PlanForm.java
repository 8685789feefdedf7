package rosinedpeg.web.plan;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Reason;

/** The choices of a plan. */
class PlanForm {
    private Set<Position> strings = EnumSet.noneOf(Position.class);
    private Map<Position, UUID> kinds = new EnumMap<>(Position.class);
    private Map<Position, Position> asides = new EnumMap<>(Position.class);
    private Map<Position, PegCondition> pegs = new EnumMap<>(Position.class);
    private Reason reason = Reason.WORN;
    private Schools.Off off = Schools.USUAL.off();
    private Schools.Begin begin = Schools.USUAL.begin();
    private Schools.FirstEnd firstEnd = Schools.USUAL.firstEnd();
    private Schools.Lock lock = Schools.USUAL.lock();
    private Schools.Wall wall = Schools.USUAL.wall();
    private Schools.Treatment treatment = Schools.USUAL.treatment();
    private Schools.OldStrings oldStrings = Schools.USUAL.oldStrings();

    Schools schools() {
        return new Schools(off, begin, firstEnd, lock, wall, treatment, oldStrings);
    }

    public Set<Position> getStrings() {
        return strings;
    }

    public void setStrings(Set<Position> strings) {
        this.strings = strings;
    }

    public Map<Position, UUID> getKinds() {
        return kinds;
    }

    public void setKinds(Map<Position, UUID> kinds) {
        this.kinds = kinds;
    }

    public Map<Position, Position> getAsides() {
        return asides;
    }

    public void setAsides(Map<Position, Position> asides) {
        this.asides = asides;
    }

    public Map<Position, PegCondition> getPegs() {
        return pegs;
    }

    public void setPegs(Map<Position, PegCondition> pegs) {
        this.pegs = pegs;
    }

    public Reason getReason() {
        return reason;
    }

    public void setReason(Reason reason) {
        this.reason = reason;
    }

    public Schools.Off getOff() {
        return off;
    }

    public void setOff(Schools.Off off) {
        this.off = off;
    }

    public Schools.Begin getBegin() {
        return begin;
    }

    public void setBegin(Schools.Begin begin) {
        this.begin = begin;
    }

    public Schools.FirstEnd getFirstEnd() {
        return firstEnd;
    }

    public void setFirstEnd(Schools.FirstEnd firstEnd) {
        this.firstEnd = firstEnd;
    }

    public Schools.Lock getLock() {
        return lock;
    }

    public void setLock(Schools.Lock lock) {
        this.lock = lock;
    }

    public Schools.Wall getWall() {
        return wall;
    }

    public void setWall(Schools.Wall wall) {
        this.wall = wall;
    }

    public Schools.Treatment getTreatment() {
        return treatment;
    }

    public void setTreatment(Schools.Treatment treatment) {
        this.treatment = treatment;
    }

    public Schools.OldStrings getOldStrings() {
        return oldStrings;
    }

    public void setOldStrings(Schools.OldStrings oldStrings) {
        this.oldStrings = oldStrings;
    }
}
