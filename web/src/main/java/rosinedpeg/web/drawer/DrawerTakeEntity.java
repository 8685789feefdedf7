package rosinedpeg.web.drawer;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;

/** A packet that a run needs: which string of the drawer it is, or that there was none. */
@Entity
@Table(name = "drawer_take")
@IdClass(DrawerTakeEntity.Key.class)
class DrawerTakeEntity {

    /**
     * What tells one from the other.
     *
     * @param runId the run
     * @param position the place it is for
     * @param turn the how manieth for that place, from 1
     */
    record Key(UUID runId, Position position, int turn) implements Serializable {}

    @Id
    private UUID runId;

    @Id
    @Enumerated(EnumType.STRING)
    private Position position;

    @Id
    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int turn;

    @TenantId
    private UUID workshopId;

    private UUID kindId;
    private @Nullable UUID stringId;
    private Instant takenAt;

    protected DrawerTakeEntity() {}

    DrawerTakeEntity(UUID runId, Position position, int turn, UUID kindId, @Nullable UUID stringId, Instant takenAt) {
        this.runId = runId;
        this.position = position;
        this.turn = turn;
        this.kindId = kindId;
        this.stringId = stringId;
        this.takenAt = takenAt;
    }

    /** Another string is in hand instead. */
    void is(UUID otherStringId) {
        this.stringId = otherStringId;
    }

    Position position() {
        return position;
    }

    int turn() {
        return turn;
    }

    UUID kindId() {
        return kindId;
    }

    @Nullable
    UUID stringId() {
        return stringId;
    }
}
