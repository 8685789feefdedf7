package rosinedpeg.web.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import rosinedpeg.core.setup.Family;

/** How somebody likes to work on a family of instruments. */
@Entity
@Immutable
@Table(name = "habit")
class HabitEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID accountId;

    @Enumerated(EnumType.STRING)
    private Family family;

    @JdbcTypeCode(SqlTypes.JSON)
    private String schools;

    protected HabitEntity() {}

    String schools() {
        return schools;
    }
}
