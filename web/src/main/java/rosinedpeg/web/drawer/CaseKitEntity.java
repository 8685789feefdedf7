package rosinedpeg.web.drawer;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import rosinedpeg.core.strings.Position;

/** How many strings for one place are to lie in the case of an instrument. */
@Entity
@Table(name = "case_kit")
class CaseKitEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID instrumentId;

    @Enumerated(EnumType.STRING)
    private Position position;

    @JdbcTypeCode(SqlTypes.SMALLINT)
    private int strings;

    protected CaseKitEntity() {}

    CaseKitEntity(UUID instrumentId, Position position, int strings) {
        this.id = UUID.randomUUID();
        this.instrumentId = instrumentId;
        this.position = position;
        this.strings = strings;
    }

    Position position() {
        return position;
    }

    int strings() {
        return strings;
    }

    void strings(int many) {
        this.strings = many;
    }
}
