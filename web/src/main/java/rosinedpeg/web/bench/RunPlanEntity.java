package rosinedpeg.web.bench;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;

/** The plan of a run as it was when the run began, in the form of its version. */
@Entity
@Immutable
@Table(name = "run_plan")
class RunPlanEntity {

    @Id
    private UUID runId;

    @TenantId
    private UUID workshopId;

    private int version;

    @JdbcTypeCode(SqlTypes.JSON)
    private String form;

    protected RunPlanEntity() {}

    RunPlanEntity(UUID runId, String form) {
        this.runId = runId;
        this.version = KeptPlan.VERSION;
        this.form = form;
    }

    UUID runId() {
        return runId;
    }

    int version() {
        return version;
    }

    String form() {
        return form;
    }
}
