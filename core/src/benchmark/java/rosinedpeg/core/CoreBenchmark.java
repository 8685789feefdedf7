package rosinedpeg.core;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.PricedMinutes;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;

/** How long the larger calculations take, and how that grows with their size. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 1)
public class CoreBenchmark {

    private static SetUp violin(int strings) {
        List<Pitch> pitches = new ArrayList<>(Examples.VIOLIN.openStrings());
        if (strings == 5) {
            pitches.add(Pitch.of("C3"));
        }
        return new SetUp(
                Examples.VIOLIN.size(),
                false,
                Examples.VIOLIN.referenceA(),
                pitches,
                Map.of(),
                Examples.VIOLIN.tailEnds());
    }

    /** A change of so many strings. */
    @State(Scope.Benchmark)
    public static class Change {
        @Param({"1", "2", "4", "5"})
        public int strings;

        private ChangeRequest request;

        @Setup
        public void prepare() {
            SetUp setUp = violin(strings);
            Map<Position, StringSpec> set = Examples.set(setUp);
            Map<Position, StringSpec> replacements = new EnumMap<>(set);
            replacements.keySet().removeIf(position -> position.number() > strings);
            request = ChangeRequest.usual(setUp, set, replacements);
        }
    }

    /** One plan, by the usual schools. */
    @Benchmark
    public ChangePlan plan(Change change) {
        return ChangePlanner.plan(change.request);
    }

    /** Every school compared. */
    @Benchmark
    public Map<Schools, ChangePlan> compareSchools(Change change) {
        return ChangePlanner.compare(change.request);
    }

    /** A pegbox with so many strings. */
    @State(Scope.Benchmark)
    public static class Strings {
        @Param({"4", "5"})
        public int strings;

        private SetUp setUp;
        private Map<Position, StringSpec> set;

        @Setup
        public void prepare() {
            setUp = violin(strings);
            set = Examples.set(setUp);
        }
    }

    /** Every clearance of every string. */
    @Benchmark
    public List<Clearance> clearances(Strings strings) {
        StrungPegbox pegbox = new StrungPegbox(strings.setUp, strings.set, Map.of());
        List<Clearance> all = new ArrayList<>();
        strings.set.keySet().forEach(position -> all.addAll(pegbox.clearances(position)));
        return all;
    }

    /** So many pitch readings of one string. */
    @State(Scope.Benchmark)
    public static class Readings {
        @Param({"0", "3", "10", "30", "100"})
        public int readings;

        private List<SettlingReading> all;

        @Setup
        public void prepare() {
            SettlingForecast truth = new SettlingForecast(330, 16);
            Random random = new Random(3);
            all = new ArrayList<>();
            for (int i = 0; i < readings; i++) {
                double hours = 96.0 * (i + 1) / readings;
                all.add(new SettlingReading(hours, -truth.lostCents(hours) + random.nextGaussian(), false));
            }
        }
    }

    /** The forecast of a string corrected by its readings. */
    @Benchmark
    public SettlingFit settlingFit(Readings readings) {
        return SettlingFit.of(StringCore.SYNTHETIC, readings.all);
    }

    /** A made-up shelf of so many jobs, with that share of the bench's minutes wanted. */
    @State(Scope.Benchmark)
    public static class Fleet {
        @Param({"40", "120", "500"})
        public int jobs;

        @Param({"0.8", "1.2"})
        public double wanted;

        private MadeUpShelf shelf;

        @Setup
        public void prepare() {
            shelf = MadeUpShelf.of(11, jobs, wanted).plannedBefore();
        }
    }

    /** A bench planned again after one job was pinned. */
    @Benchmark
    public BenchSchedule plannedAgain(Fleet fleet) {
        return new PricedMinutes().plan(fleet.shelf.withPin(), fleet.shelf.times());
    }
}
