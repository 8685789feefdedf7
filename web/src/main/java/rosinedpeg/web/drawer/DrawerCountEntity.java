package rosinedpeg.web.drawer;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** What was found of one kind when the drawer was counted. */
@Entity
@Table(name = "drawer_count")
class DrawerCountEntity {

    @Id
    private UUID id;

    @TenantId
    private UUID workshopId;

    private UUID kindId;
    private int expected;
    private int found;
    private UUID press;
    private Instant countedAt;
    private UUID countedBy;

    protected DrawerCountEntity() {}

    DrawerCountEntity(UUID kindId, int expected, int found, UUID press, Instant at, UUID by) {
        this.id = UUID.randomUUID();
        this.kindId = kindId;
        this.expected = expected;
        this.found = found;
        this.press = press;
        this.countedAt = at;
        this.countedBy = by;
    }

    Counted view() {
        return new Counted(kindId, expected, found, countedAt, countedBy);
    }
}
