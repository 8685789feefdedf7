package rosinedpeg.web.platform;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Whether the database answers, told within a second also when it only hangs. */
@Component
class DatabaseHealth implements HealthIndicator {

    private static final long PATIENCE_MS = 800;

    private final JdbcClient database;

    DatabaseHealth(JdbcClient database) {
        this.database = database;
    }

    @Override
    public Health health() {
        return CompletableFuture.supplyAsync(
                        () -> database.sql("select 1").query(Integer.class).single())
                .orTimeout(PATIENCE_MS, TimeUnit.MILLISECONDS)
                .handle((one, failed) ->
                        failed == null ? Health.up().build() : Health.down().build())
                .join();
    }
}
