package rosinedpeg.web.plan;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Way;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.instrument.Instrument;

/** The choices of a plan. */
class PlanForm extends RunStartForm {
    private Set<Position> strings = EnumSet.noneOf(Position.class);
    private Map<Position, UUID> kinds = new EnumMap<>(Position.class);
    private Map<Position, UUID> packets = new EnumMap<>(Position.class);
    private Map<Position, Set<Position>> over = new EnumMap<>(Position.class);
    private Map<Position, PegCondition> pegs = new EnumMap<>(Position.class);
    private Set<Position> broken = EnumSet.noneOf(Position.class);
    private Reason reason = Reason.WORN;
    private Schools.Off off = Schools.USUAL.order().off();
    private Schools.Begin begin = Schools.USUAL.order().begin();
    private Schools.FirstEnd firstEnd = Schools.USUAL.atPeg().firstEnd();
    private Lock lock = Schools.USUAL.atPeg().lock();
    private Schools.AtWall wall = Schools.USUAL.atPeg().wall();
    private Schools.Treatment treatment = Schools.USUAL.treatment();
    private Way lowestWay = Schools.USUAL.bass().lowestWay();
    private Schools.SpareTip spareTip = Schools.USUAL.bass().spareTip();
    private Schools.Felts felts = Schools.USUAL.bass().felts();
    private Schools.Stance stance = Schools.USUAL.bridge().stance();
    private Schools.Evening evening = Schools.USUAL.bridge().evening();
    private Schools.OldStrings oldStrings = Schools.USUAL.oldStrings();

    Schools schools() {
        return Schools.USUAL
                .with(off, begin)
                .with(firstEnd, lock, wall)
                .with(treatment)
                .with(lowestWay, spareTip, felts)
                .with(stance, Schools.USUAL.bridge().raising())
                .with(evening)
                .with(oldStrings);
    }

    /** Begins with how somebody likes to work, what is known of the pegs, and what lies over which of them. */
    void begin(Instrument instrument, Map<Position, PegCondition> known, Set<Position> due, Schools schools) {
        strings = due;
        pegs = known;
        off = schools.order().off();
        begin = schools.order().begin();
        firstEnd = schools.atPeg().firstEnd();
        lock = schools.atPeg().lock();
        wall = schools.atPeg().wall();
        treatment = schools.treatment();
        lowestWay = schools.bass().lowestWay();
        spareTip = schools.bass().spareTip();
        felts = schools.bass().felts();
        stance = schools.bridge().stance();
        evening = schools.bridge().evening();
        oldStrings = schools.oldStrings();
        over = new EnumMap<>(ChangeRequest.covering(instrument.setUp(), instrument.specs(), schools));
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

    public Map<Position, UUID> getPackets() {
        return packets;
    }

    public void setPackets(Map<Position, UUID> packets) {
        this.packets = packets;
    }

    public Map<Position, Set<Position>> getOver() {
        return over;
    }

    public void setOver(Map<Position, Set<Position>> over) {
        this.over = over;
    }

    public Map<Position, PegCondition> getPegs() {
        return pegs;
    }

    public void setPegs(Map<Position, PegCondition> pegs) {
        this.pegs = pegs;
    }

    public Set<Position> getBroken() {
        return broken;
    }

    public void setBroken(Set<Position> broken) {
        this.broken = broken;
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

    public Lock getLock() {
        return lock;
    }

    public void setLock(Lock lock) {
        this.lock = lock;
    }

    public Schools.AtWall getWall() {
        return wall;
    }

    public void setWall(Schools.AtWall wall) {
        this.wall = wall;
    }

    public Schools.Treatment getTreatment() {
        return treatment;
    }

    public void setTreatment(Schools.Treatment treatment) {
        this.treatment = treatment;
    }

    public Schools.Evening getEvening() {
        return evening;
    }

    public void setEvening(Schools.Evening evening) {
        this.evening = evening;
    }

    public Schools.OldStrings getOldStrings() {
        return oldStrings;
    }

    public void setOldStrings(Schools.OldStrings oldStrings) {
        this.oldStrings = oldStrings;
    }

    public Way getLowestWay() {
        return lowestWay;
    }

    public void setLowestWay(Way lowestWay) {
        this.lowestWay = lowestWay;
    }

    public Schools.SpareTip getSpareTip() {
        return spareTip;
    }

    public void setSpareTip(Schools.SpareTip spareTip) {
        this.spareTip = spareTip;
    }

    public Schools.Felts getFelts() {
        return felts;
    }

    public void setFelts(Schools.Felts felts) {
        this.felts = felts;
    }

    public Schools.Stance getStance() {
        return stance;
    }

    public void setStance(Schools.Stance stance) {
        this.stance = stance;
    }
}
