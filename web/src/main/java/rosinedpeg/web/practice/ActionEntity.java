package rosinedpeg.web.practice;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** Something that was done, under the press that did it; taken back by another press, it is left out and kept. */
@Entity
@Table(name = "practice_action")
class ActionEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID attemptId;
    private int sequence;

    @JdbcTypeCode(SqlTypes.JSON)
    private String action;

    private Instant doneAt;
    private @Nullable UUID undonePress;

    protected ActionEntity() {}

    ActionEntity(UUID press, UUID attemptId, int sequence, String action, Instant at) {
        this.id = press;
        this.attemptId = attemptId;
        this.sequence = sequence;
        this.action = action;
        this.doneAt = at;
    }

    void takeBack(UUID press) {
        this.undonePress = press;
    }

    int sequence() {
        return sequence;
    }

    String action() {
        return action;
    }

    Instant doneAt() {
        return doneAt;
    }
}
