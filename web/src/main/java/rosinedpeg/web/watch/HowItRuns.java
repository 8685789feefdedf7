package rosinedpeg.web.watch;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import io.micrometer.core.instrument.distribution.ValueAtPercentile;
import java.lang.management.ManagementFactory;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** How this instance does, from the figures it keeps of itself. */
@Service
class HowItRuns {

    private static final String REQUESTS = "http.server.requests";
    private static final String SERVER_ERROR = "SERVER_ERROR";
    /** What no page of ours answers: styles, pictures, programs that ask whether it is well, what is no address. */
    private static final Pattern NOT_OURS =
            Pattern.compile("/\\*\\*|/(assets|webjars|actuator|error|favicon|away)\\b.*|[A-Z_]+");

    private static final int PERCENT = 100;
    private static final int HALF = 50;
    private static final int NINETEEN_OF_TWENTY = 95;

    private final MeterRegistry figures;
    private final JdbcClient database;
    private final Clock clock;

    HowItRuns(MeterRegistry figures, JdbcClient database, Clock clock) {
        this.figures = figures;
        this.database = database;
        this.clock = clock;
    }

    /**
     * How it does.
     *
     * @param since since when this instance runs
     * @param now when it was asked
     * @param answered how its parts answer, the slowest first
     * @param database how long PostgreSQL took to answer
     * @param databaseBytes how large the database is
     * @param connections how many connections to it are in use
     * @param mostConnections how many there can be
     * @param waiting how many requests wait for one
     * @param heapBytes how much memory is in use
     * @param mostHeapBytes how much there can be
     */
    record Now(
            Instant since,
            Instant now,
            List<Answered> answered,
            Duration database,
            long databaseBytes,
            int connections,
            int mostConnections,
            int waiting,
            long heapBytes,
            long mostHeapBytes) {

        /** Slower, and every page is. */
        private static final Duration SLOW_DATABASE = Duration.ofMillis(50);

        /** {@return how many pages could not be answered since the start} */
        public long failed() {
            return answered.stream().mapToLong(Answered::failed).sum();
        }

        /** {@return the parts for which people wait} */
        public List<Answered> slow() {
            return answered.stream().filter(Answered::slow).toList();
        }

        /** {@return whether the database itself is slow} */
        public boolean slowDatabase() {
            return database.compareTo(SLOW_DATABASE) > 0;
        }

        /** {@return whether nothing is slow or failing} */
        public boolean well() {
            return failed() == 0 && slow().isEmpty() && !slowDatabase() && waiting == 0;
        }
    }

    Now now() {
        long began = System.nanoTime();
        long bytes = database.sql("select pg_database_size(current_database())")
                .query(Long.class)
                .single();
        Duration took = Duration.ofNanos(System.nanoTime() - began);
        Runtime memory = Runtime.getRuntime();
        return new Now(
                Instant.ofEpochMilli(ManagementFactory.getRuntimeMXBean().getStartTime()),
                clock.instant(),
                answered(),
                took,
                bytes,
                gauge("hikaricp.connections.active"),
                gauge("hikaricp.connections.max"),
                gauge("hikaricp.connections.pending"),
                memory.totalMemory() - memory.freeMemory(),
                memory.maxMemory());
    }

    private int gauge(String name) {
        return figures.find(name).gauges().stream().mapToInt(HowItRuns::whole).sum();
    }

    private static int whole(Gauge gauge) {
        return (int) Math.round(gauge.value());
    }

    private List<Answered> answered() {
        Map<String, Answered> parts = new TreeMap<>();
        for (Timer timer : figures.find(REQUESTS).timers()) {
            String address = String.valueOf(timer.getId().getTag("uri"));
            if (!NOT_OURS.matcher(address).matches()) {
                parts.merge(part(address), of(part(address), timer), HowItRuns::together);
            }
        }
        List<Answered> slowestFirst = new ArrayList<>(parts.values());
        slowestFirst.sort(Comparator.comparing(Answered::most)
                .thenComparing(Answered::count)
                .reversed());
        return slowestFirst;
    }

    /** {@return the first word of an address} */
    private static String part(String address) {
        return address.replaceFirst("^/?([^/{.]*).*", "$1");
    }

    private static Answered of(String part, Timer timer) {
        Duration half = Duration.ZERO;
        Duration most = Duration.ZERO;
        for (ValueAtPercentile at : timer.takeSnapshot().percentileValues()) {
            Duration within = Duration.ofNanos((long) at.value(TimeUnit.NANOSECONDS));
            switch ((int) Math.round(at.percentile() * PERCENT)) {
                case HALF -> half = within;
                case NINETEEN_OF_TWENTY -> most = within;
                default -> {
                    // Nobody asked for it.
                }
            }
        }
        boolean failed = SERVER_ERROR.equals(timer.getId().getTag("outcome"));
        return new Answered(part, timer.count(), half, most, failed ? timer.count() : 0);
    }

    /** Times of several pages cannot be put together; what is told is the slowest of them. */
    private static Answered together(Answered one, Answered other) {
        Answered slower = one.most().compareTo(other.most()) >= 0 ? one : other;
        return new Answered(
                one.part(), one.count() + other.count(), slower.half(), slower.most(), one.failed() + other.failed());
    }
}
