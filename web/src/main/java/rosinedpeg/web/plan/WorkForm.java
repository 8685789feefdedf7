package rosinedpeg.web.plan;

import java.util.EnumMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;

/** The choices of work that is not a plain change. */
class WorkForm extends RunStartForm {
    private PlanKind kind = PlanKind.GRAPHITE;
    private Position string = Position.I;
    private @Nullable UUID newKind;
    private boolean broken;
    private Map<Position, PegCondition> pegs = new EnumMap<>(Position.class);
    private Schools.Treatment treatment = Schools.USUAL.treatment();
    private Schools.Raising raising = Schools.USUAL.bridge().raising();

    public PlanKind getKind() {
        return kind;
    }

    public void setKind(PlanKind kind) {
        this.kind = kind;
    }

    public Position getString() {
        return string;
    }

    public void setString(Position string) {
        this.string = string;
    }

    public @Nullable UUID getNewKind() {
        return newKind;
    }

    public void setNewKind(@Nullable UUID newKind) {
        this.newKind = newKind;
    }

    public boolean isBroken() {
        return broken;
    }

    public void setBroken(boolean broken) {
        this.broken = broken;
    }

    public Map<Position, PegCondition> getPegs() {
        return pegs;
    }

    public void setPegs(Map<Position, PegCondition> pegs) {
        this.pegs = pegs;
    }

    public Schools.Treatment getTreatment() {
        return treatment;
    }

    public void setTreatment(Schools.Treatment treatment) {
        this.treatment = treatment;
    }

    public Schools.Raising getRaising() {
        return raising;
    }

    public void setRaising(Schools.Raising raising) {
        this.raising = raising;
    }
}
