package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.Reading;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Runs as every release wrote them, {@code src/test/resources/kept/}, are read for ever after: plan, ledger, and where they
 * stood. A release adds its own by {@code -Dpeg.keep=FILE}, and none is ever changed.
 */
class KeptRunsIT extends InRequests {

    private static final Path KEPT = Path.of("src/test/resources/kept");

    private final JsonMapper json = JsonMapper.shared();

    @Autowired
    Benches benches;

    @Autowired
    Instruments instruments;

    static Stream<Path> releases() throws IOException {
        try (Stream<Path> files = Files.list(KEPT)) {
            return files.sorted().toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("releases")
    void runsOfEveryReleaseAreRead(Path release) throws IOException {
        for (String line : Files.readAllLines(release)) {
            ObjectNode kept = (ObjectNode) json.readTree(line);
            insert(kept);
            UUID id = UUID.fromString(kept.get("run").get("id").asString());
            BenchState state = at(() -> benches.get(id).state());
            assertThat(written(state))
                    .as("%s of %s", kept.get("work").asString(), release)
                    .isEqualTo(kept.get("state").asString());
        }
    }

    private List<UUID> everyInstrument() {
        return database.sql("select id from instrument").query(UUID.class).list();
    }

    /** A workshop's other runs are not disturbed by one that is from a later release, or spoilt. */
    @Test
    void aRunThatCannotBeReadSaysSoAndDisturbsNobody() throws Exception {
        UUID viola = openRun("Pit 5 viola");
        List<UUID> readable = at(() -> benches.open(everyInstrument()).runs().stream()
                .map(run -> run.id())
                .toList());
        UUID spoilt = at(() -> start("Pit 11 bass", change(instruments.get(instrument("Pit 11 bass")))));
        database.sql("update run_plan set form = jsonb_set(form, '{steps,3,kind}', '\"FLY\"') where run_id = ?")
                .param(spoilt)
                .update();
        assertThat(at(() -> benches.open(everyInstrument()).runs()))
                .extracting(run -> run.id())
                .containsExactlyElementsOf(readable)
                .contains(viola);
        assertThat(at(() -> benches.open(everyInstrument()).unreadable()))
                .singleElement()
                .satisfies(run -> {
                    assertThat(run.id()).isEqualTo(spoilt);
                    assertThat(run.why()).contains("FLY");
                });
        pagesOf(spoilt);
        assertThatThrownBy(() -> at(() -> benches.giveUp(viola))).hasMessageContaining("can be read");
        assertThat(at(() -> benches.giveUp(spoilt))).isEqualTo(instrument("Pit 11 bass"));
        assertThat(at(() -> benches.openFor(instrument("Pit 11 bass")))).isEmpty();
        assertThat(database.sql("select count(*) from run_plan where run_id = ?")
                        .param(spoilt)
                        .query(Long.class)
                        .single())
                .as("nothing of it is lost")
                .isEqualTo(1);
    }

    /** Its page says so, every other way to it leads there, and nobody else's page is touched. */
    private void pagesOf(UUID spoilt) throws Exception {
        SignedIn bench = account("bench");
        assertThat(page(bench, "/bench/" + spoilt)).contains("This run cannot be read", "FLY");
        assertThat(post(
                        bench,
                        "/bench/" + spoilt + "/done",
                        "press",
                        UUID.randomUUID().toString(),
                        "step",
                        "0"))
                .hasRedirectedUrl("/bench/" + spoilt);
        for (String page : List.of("/", "/bench")) {
            assertThat(page(bench, page)).contains("cannot be read", "Pit 5 viola");
        }
    }

    @Test
    @EnabledIfSystemProperty(named = "peg.keep", matches = ".+")
    void keepsTheRunsOfThisRelease() throws IOException {
        List<String> lines = new ArrayList<>();
        for (String name : List.of("Pit 1 violin", "Pit 6 viola", "Pit 8 cello", "Pit 11 bass")) {
            database.sql("update run set outcome = 'ENDED', ended_at = now() where outcome = 'OPEN'")
                    .update();
            for (Map.Entry<String, ChangePlan> work :
                    at(() -> works(instruments.get(instrument(name)))).entrySet()) {
                UUID run = at(() -> start(name, work.getValue()));
                at(() -> lead(run, lines.size()));
                lines.add(line(name + ", " + work.getKey(), run));
                database.sql("update run set outcome = 'ENDED', ended_at = now() where id = ?")
                        .param(run)
                        .update();
            }
        }
        Files.write(KEPT.resolve(System.getProperty("peg.keep") + ".jsonl"), lines);
    }

    private <T> T at(Supplier<T> work) {
        return CurrentWorkshop.in(account("bench"), work);
    }

    private void insert(ObjectNode kept) {
        String workshop = account("bench").workshopId().toString();
        String instrument = instrument("Pit 1 violin").toString();
        List<JsonNode> rows = new ArrayList<>();
        kept.get("events").forEach(rows::add);
        ((ObjectNode) kept.get("run")).put("instrument_id", instrument);
        if (kept.get("run").get("outcome").asString().equals("OPEN")) {
            ((ObjectNode) kept.get("run")).put("outcome", "ENDED").put("ended_at", "2026-11-26T08:00:00Z");
        }
        insert("run", kept.get("run"), workshop);
        insert("run_plan", kept.get("plan"), workshop);
        rows.forEach(row -> insert("run_event", row, workshop));
    }

    private void insert(String table, JsonNode row, String workshop) {
        // What was kept is the plan and the ledger; who signs it here is of this workshop.
        String person = account("bench").personId().toString();
        ((ObjectNode) row)
                .put("workshop_id", workshop)
                .put("started_by", person)
                .put("recorded_by", person);
        database.sql("insert into " + table + " select * from jsonb_populate_record(null::" + table + ", ?::jsonb)")
                .param(row.toString())
                .update();
    }

    private static ChangePlan change(Instrument instrument) {
        Map<Position, StringSpec> set = instrument.specs();
        return ChangePlanner.plan(ChangeRequest.usual(
                        instrument.setUp(),
                        set,
                        Map.of(Position.I, set.get(Position.I), Position.IV, set.get(Position.IV)))
                .on(instrument.particulars()));
    }

    private static Map<String, ChangePlan> works(Instrument instrument) {
        Map<Position, StringSpec> set = instrument.specs();
        RepairPlanner repairs = new RepairPlanner(
                instrument.setUp(), set, Schools.usual(instrument.setUp().family()), instrument.particulars());
        Map<String, ChangePlan> works = new LinkedHashMap<>();
        works.put("change", change(instrument));
        works.put(
                "emergency",
                RepairPlanner.emergency(
                        ChangeRequest.usual(instrument.setUp(), set, Map.of(Position.II, set.get(Position.II)))));
        works.put("bridge down", repairs.bridgeDown());
        works.put("tailpiece", repairs.tailpieceChange());
        works.put("graphite", repairs.graphite());
        works.put("pegs", repairs.pegService(Map.of(Position.II, PegCondition.SLIPS)));
        return works;
    }

    private UUID start(String name, ChangePlan plan) {
        Instrument instrument = instruments.get(instrument(name));
        Map<Position, UUID> kinds = new EnumMap<>(Position.class);
        plan.order()
                .forEach(position -> kinds.put(
                        position,
                        instrument.string(position).orElseThrow().kind().id()));
        return benches.start(instrument.id(), plan, kinds, Reason.WORN, true);
    }

    /** Presses on for two thirds of the work, with readings, a note, a step left out, one taken back, and two mishaps. */
    private UUID lead(UUID run, int variant) {
        Mishap.Kind[] kinds = Mishap.Kind.values();
        boolean skipped = false;
        int wanted = benches.get(run).steps() * 2 / 3;
        for (int press = 0; press < wanted; press++) {
            BenchState state = benches.get(run).state();
            Step step = state.now().orElseThrow();
            Position position = step.position() == null ? Position.II : step.position();
            if (step.readings().contains(Reading.GAP) || state.heldByBridge()) {
                press(run, new BenchEntry.Gap(0.2));
            }
            if (step.readings().contains(Reading.PITCH)) {
                press(run, new BenchEntry.Pitch(position, -12));
            }
            if (press == 3) {
                press(run, new BenchEntry.Note("The seam at the lower bout looks dry."));
            }
            if (press == 6 || press == wanted - 3) {
                press(
                        run,
                        new BenchEntry.Wrong(
                                new Mishap(kinds[(variant + press) % kinds.length], position, BreakPlace.NUT)));
            } else if (press == 5) {
                press(run, new BenchEntry.Back());
            } else if (!skipped && step.kind().mayBeSkipped()) {
                skipped = true;
                press(run, new BenchEntry.Skip(step.index()));
            } else {
                press(run, new BenchEntry.Done(state.askedAgain() >= 0 ? state.askedAgain() : step.index()));
            }
            if (benches.get(run).state().over()) {
                break;
            }
        }
        return run;
    }

    private void press(UUID run, BenchEntry entry) {
        benches.record(run, Press.now(UUID.randomUUID(), benches.lastSequence(run)), entry);
    }

    private String line(String work, UUID run) {
        ObjectNode line = json.createObjectNode().put("work", work);
        line.set("run", row("select to_jsonb(r) from run r where id = ?", run));
        line.set("plan", row("select to_jsonb(p) from run_plan p where run_id = ?", run));
        line.set(
                "events",
                row("select jsonb_agg(to_jsonb(e) order by e.sequence) from run_event e where run_id = ?", run));
        line.put("state", at(() -> written(benches.get(run).state())));
        return line.toString();
    }

    private JsonNode row(String sql, UUID run) {
        return json.readTree(database.sql(sql).param(run).query(String.class).single());
    }

    /** Everything that a run's page rests on. */
    private static String written(BenchState state) {
        return String.format(
                Locale.ROOT,
                "%d of %s; changed %s, missing %s, owed %s; %s, treble %.4f bass %.4f, least %.4f; %s; %s; %s; order %s",
                state.reached(),
                state.plan().steps().stream()
                        .map(step -> step.kind() + (step.position() == null ? "" : " " + step.position())
                                + " " + step.materials() + step.cautions() + figures(step)
                                + String.format(
                                        Locale.ROOT, " %.4f", step.sharesAfter().treble()))
                        .toList(),
                state.changed(),
                state.missing(),
                state.owed(),
                state.tensionsN().entrySet().stream()
                        .map(at -> String.format(Locale.ROOT, "%s %.3f N", at.getKey(), at.getValue()))
                        .toList(),
                state.shares().treble(),
                state.shares().bass(),
                state.thinnest(),
                state.looks().stream()
                        .map(look -> look.step() + " " + look.gapMm())
                        .toList(),
                state.mishaps(),
                state.over() ? "over" : "open",
                state.plan().order());
    }

    private static String figures(Step step) {
        return step.figures().entrySet().stream()
                .map(figure -> String.format(
                        Locale.ROOT,
                        "%s %.3f %s",
                        figure.getKey(),
                        figure.getValue().value(),
                        figure.getValue().origin()))
                .collect(Collectors.joining(", ", "{", "}"));
    }
}
