package rosinedpeg.web;

import static java.util.stream.Collectors.toMap;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.transaction.support.TransactionTemplate;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.bench.PacketUse;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.Held;
import rosinedpeg.web.drawer.InDrawer;
import rosinedpeg.web.drawer.Laid;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;

/** The drawer of a workshop that begins with nothing: what is laid in, what changes take, and what becomes of it. */
class DrawerIT extends InRequests {

    private static final int DPI = 300;

    @Autowired
    Benches benches;

    @Autowired
    Instruments instruments;

    @Autowired
    Drawer drawer;

    @Autowired
    TransactionTemplate transaction;

    private SignedIn keeper;
    private UUID second;
    private UUID third;

    @BeforeEach
    void begin() throws Exception {
        keeper = stranger();
        enterKind(keeper, "II");
        enterKind(keeper, "III");
        second = kind(keeper, "II");
        third = kind(keeper, "III");
    }

    private <T> T in(Supplier<T> work) {
        return CurrentWorkshop.in(keeper, work);
    }

    private void lay(UUID kind, int many) {
        in(() -> {
            drawer.lay(new Laid(kind, "shelf", null, null, null), many, UUID.randomUUID());
            return many;
        });
    }

    private UUID start(UUID violin, Map<Position, UUID> replacements) {
        return start(violin, replacements, ChangePlanner::plan);
    }

    private UUID start(UUID violin, Map<Position, UUID> replacements, Function<ChangeRequest, ChangePlan> planner) {
        return in(() -> {
            replacements.keySet().stream()
                    .filter(position -> instruments.get(violin).string(position).isEmpty())
                    .forEach(position -> instruments.fit(
                            violin, position, position.in(replacements), Instant.now(), Before.NOTHING, false));
            Instrument instrument = instruments.get(violin);
            Map<Position, StringSpec> specs = replacements.keySet().stream()
                    .collect(toMap(position -> position, position -> position.in(instrument.specs())));
            ChangePlan plan = planner.apply(ChangeRequest.usual(instrument.setUp(), instrument.specs(), specs));
            return benches.start(violin, plan, replacements, Reason.WORN, true);
        });
    }

    private BenchState state(UUID run) {
        return in(() -> benches.get(run)).state();
    }

    private void record(UUID run, BenchEntry entry) {
        in(() -> benches.record(run, Press.now(UUID.randomUUID(), state(run).lastSequence()), entry));
    }

    private void goOn(UUID run, int steps) {
        for (int i = 0; i < steps && !state(run).over(); i++) {
            BenchState now = state(run);
            if (now.heldByBridge() || now.gapMm() == null) {
                record(run, new BenchEntry.Gap(0.2));
            }
            record(run, new BenchEntry.Done(state(run).now().orElseThrow().index()));
        }
    }

    private int lying(UUID kind) {
        return (int) in(() -> drawer.lying(List.of(kind))).getOrDefault(kind, List.of()).stream()
                .filter(string -> !string.old())
                .count();
    }

    private int gone(UUID kind, String how) {
        return database.sql("select count(*) from drawer_string where kind_id = ? and left_how = ?")
                .params(kind, how)
                .query(Integer.class)
                .single();
    }

    private String waiting(String table) {
        MvcTestResult sent = send(keeper, "/drawer/import", table);
        assertThat(sent).hasStatus(302);
        return sent.getResponse().getRedirectedUrl();
    }

    /** As it is saved it is taken in again, packet by packet; sent twice once; a row that is wrong keeps all of it out. */
    @Test
    void packetsComeFromATable() throws Exception {
        violin(keeper, "Case");
        String heading = "maker,line,string,strings,place,in the case of,bought on,price,currency\r\n";
        String wrong = waiting(heading + "Harrow,Tarn,II,1,,,,,\r\nHarrow,Torn,II,1,,,,,\r\nHarrow,Tarn,III,0,,Nobody,"
                + "2026-13-01,x,\r\n");
        assertThat(page(keeper, wrong))
                .contains("One packet", "2 rows cannot be taken", "No kind of string is called so", "1 to 200");
        assertThat(post(keeper, wrong)).hasRedirectedUrl(wrong);
        assertThat(lying(second)).isZero();

        String right = waiting(
                heading + "harrow,TARN,II,198,shelf,,2026-01-15,21.5,eur\r\n" + "Harrow,Tarn,III,,,Case,,,\r\n");
        assertThat(page(keeper, right)).contains("199 packets", "Lay all 199 in");
        assertThat(post(keeper, right)).hasRedirectedUrl("/drawer");
        assertThat(post(keeper, right)).hasRedirectedUrl("/drawer");
        assertThat(lying(second)).isEqualTo(198);
        assertThat(lying(third)).isEqualTo(1);

        String saved = page(keeper, "/drawer/table.csv");
        assertThat(page(keeper, waiting(saved))).contains("199 packets");
        assertThat(send(keeper, "/drawer/import", heading + "Harrow,Tarn,II,1,,,,,\r\n".repeat(5001)))
                .hasStatusOk()
                .bodyText()
                .contains("5000");
        assertThat(page(keeper, waiting(heading + ("Harrow,Tarn,II,1" + " ".repeat(370) + ",,,,,\r\n").repeat(5000))))
                .contains("5000 packets");
        assertThat(page(keeper, waiting(heading + "Harrow,Tarn,II,200,,,,,\r\n".repeat(26))))
                .contains("5000 packets", "One row cannot be taken", "more than 5000 packets");
    }

    /** A long table is laid in after the answer, whole, once however often it is asked for, and it is told when it is. */
    @Test
    void aLongTableIsLaidInAfterTheAnswer() throws Exception {
        String waits = waiting("maker,line,string\r\n" + "Harrow,Tarn,II\r\n".repeat(5000));
        ExecutorService hands = Executors.newFixedThreadPool(4);
        List<Callable<MvcTestResult>> presses = Collections.nCopies(8, () -> post(keeper, waits));
        for (Future<MvcTestResult> press : hands.invokeAll(presses)) {
            assertThat(press.get()).hasStatus(302);
        }
        hands.shutdown();
        while (isBeingLaidIn(waits)) {
            assertThat(lying(second)).isIn(0, 5000);
        }
        assertThat(post(keeper, waits)).hasRedirectedUrl("/drawer").flash().containsEntry("noticeOf", 5000);
        assertThat(lying(second)).isEqualTo(5000);
        assertThat(database.sql("select distinct entered_by from drawer_string where kind_id = ?")
                        .param(second)
                        .query(UUID.class)
                        .list())
                .containsExactly(keeper.personId());
    }

    /** A server that stopped after the answer, or whose database refused, loses nothing and lays nothing in by halves. */
    @Test
    void whatWasToBeLaidInWaitsForTheServer() throws Exception {
        String heading = "maker,line,string,strings,place\r\n";
        String waits = waiting(heading + "Harrow,Tarn,II,199,shelf\r\nHarrow,Tarn,II,2,cursed\r\n");
        String nothing = waiting(heading + "Harrow,Torn,II,1,\r\n");
        database.sql("alter table drawer_string add constraint no_curse check (place <> 'cursed')")
                .update();
        layWhatWasAskedFor(waits, nothing);
        assertThat(page(keeper, waits)).contains("could not be laid in", "Lay all 201 in");
        assertThat(page(keeper, nothing)).contains("could not be laid in", "One row cannot be taken");
        assertThat(lying(second)).isZero();

        database.sql("alter table drawer_string drop constraint no_curse").update();
        layWhatWasAskedFor(waits);
        assertThat(get(keeper, waits)).hasRedirectedUrl("/drawer");
        assertThat(lying(second)).isEqualTo(201);
    }

    /** As after a start: tables that were asked for are found, however many came after them. */
    private void layWhatWasAskedFor(String... tables) throws Exception {
        for (String table : tables) {
            in(() -> transaction.execute(status -> {
                database.sql("update waiting_file set state = 'ASKED', asked_by = ?, asked_on = current_date"
                                + " where id = ?")
                        .param(keeper.personId())
                        .param(UUID.fromString(table.substring(table.lastIndexOf('/') + 1)))
                        .update();
                assertThat(get(keeper, table))
                        .containsHeader("Refresh")
                        .bodyText()
                        .contains("are being laid in");
                return status;
            }));
        }
        String another = "";
        for (int i = 0; i < 12; i++) {
            another = waiting("maker,line,string,strings\r\nHarrow,Tarn,III,200\r\nHarrow,Tarn,III,1\r\n");
        }
        assertThat(post(keeper, another)).hasStatus(302);
        while (isBeingLaidIn(another)) {
            Thread.onSpinWait();
        }
    }

    private boolean isBeingLaidIn(String table) throws Exception {
        MvcTestResult answer = get(keeper, table);
        assertThat(answer.getResponse().getContentAsString()).doesNotContain("could not be laid in");
        return answer.getResponse().getStatus() == 200;
    }

    /** What a run says of the strings it took off is what lives are learned from. */
    @Test
    void aRunSaysWhyAndWhereAStringCameOff() {
        UUID violin = violin(keeper, "Wear");
        UUID run = start(violin, Map.of(Position.II, second, Position.III, third));
        record(run, new BenchEntry.Wrong(new Mishap(Mishap.Kind.STRING_BROKE, Position.III, BreakPlace.NUT)));
        goOn(run, 300);
        assertThat(database.sql("select position || came_off || coalesce(broke_where, '') from fitted_string"
                                + " where instrument_id = ? and removed_at is not null order by position")
                        .param(violin)
                        .query(String.class)
                        .list())
                .containsExactly("IIWORN", "IIIBROKENUT");
    }

    /**
     * Whatever happens, in whatever order, the drawer holds what a heap of pebbles would: as many as were laid in, without those in
     * hand, on instruments, broken and missing.
     */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void holdsWhatAHeapOfPebblesWould(long seed) {
        Random random = new Random(seed);
        UUID violin = violin(keeper, "Pebble");
        int heap = 0;
        int fitted = 0;
        int broken = 0;
        int missing = 0;
        Optional<UUID> open = Optional.empty();
        List<Boolean> taken = new ArrayList<>();
        for (int turn = 0; turn < 45; turn++) {
            int what = random.nextInt(9);
            if (what == 0 && heap < 4) {
                int many = 1 + random.nextInt(2);
                lay(second, many);
                heap += many;
            } else if (what == 1 && heap > 0) {
                InDrawer string =
                        in(() -> drawer.lying(List.of(second))).get(second).get(0);
                assertThat(post(
                                keeper,
                                "/drawer/" + string.code() + "/leave",
                                "how",
                                "MISSING",
                                "version",
                                String.valueOf(string.version())))
                        .hasStatus(302);
                heap--;
                missing++;
            } else if (open.isEmpty()) {
                open = Optional.of(start(violin, Map.of(Position.II, second)));
            } else {
                UUID run = open.get();
                if (what < 5) {
                    goOn(run, 1 + random.nextInt(12));
                } else if (what == 5) {
                    record(
                            run,
                            new BenchEntry.Wrong(new Mishap(Mishap.Kind.STRING_BROKE, Position.II, BreakPlace.PEG)));
                } else if (what == 6) {
                    record(run, new BenchEntry.Back());
                } else if (what == 7) {
                    record(run, new BenchEntry.End());
                } else {
                    goOn(run, 200);
                }
            }
            if (open.isPresent()) {
                BenchState state = state(open.get());
                PacketUse use = PacketUse.of(state.plan()).getOrDefault(Position.II, new PacketUse(0, 0));
                while (taken.size() < use.taken()) {
                    taken.add(heap > 0);
                    heap -= heap > 0 ? 1 : 0;
                }
                while (taken.size() > use.taken()) {
                    heap += taken.remove(taken.size() - 1) ? 1 : 0;
                }
                if (state.over()) {
                    for (int i = 0; i < taken.size(); i++) {
                        if (taken.get(i) && i < use.broken()) {
                            broken++;
                        } else if (taken.get(i) && state.changed().contains(Position.II)) {
                            fitted++;
                        } else if (taken.get(i)) {
                            heap++;
                        }
                    }
                    open = Optional.empty();
                    taken.clear();
                }
            }
            assertThat(lying(second)).as("after turn %d, %d", turn, what).isEqualTo(heap);
        }
        assertThat(gone(second, "FITTED")).isEqualTo(fitted);
        assertThat(gone(second, "MISSING")).isEqualTo(missing);
        if (open.isEmpty()) {
            assertThat(gone(second, "BROKE")).isEqualTo(broken);
        }
    }

    private Optional<UUID> caseOfTheOneInHand(UUID run) {
        return Optional.ofNullable(in(() -> drawer.inHand(run)).get(Position.II))
                .flatMap(string -> Optional.ofNullable(string.caseOf()));
    }

    /** What is to lie in a case is bought for, put there, taken on stage before anything else, and by a plan after all else. */
    @Test
    void aCaseIsFilledAndServesAnEmergency() throws Exception {
        UUID violin = violin(keeper, "Pit");
        UUID other = violin(keeper, "Other");
        in(() -> instruments.fit(violin, Position.II, second, Instant.now(), Before.NOTHING, false));
        String itsCase = "/instruments/" + violin + "/case";
        assertThat(post(keeper, itsCase, "wanted[II]", "x", "wanted[I]", "2"))
                .hasStatusOk()
                .bodyText()
                .contains("A whole number from 0 to 9", "value=\"2\"");
        for (int twice = 0; twice < 2; twice++) {
            assertThat(post(keeper, itsCase, filled(keeper, itsCase, itsCase, "wanted[II]", "1", "wanted[I]", "")))
                    .hasStatus(302);
        }
        assertThat(post(keeper, itsCase, "wanted[II]", "2"))
                .as("where it is not seen what is to lie there")
                .hasStatusOk()
                .bodyText()
                .contains("Somebody else has changed it");
        assertThat(page(keeper, itsCase)).contains("none in the drawer").doesNotContain("Put one in");
        assertThat(page(keeper, "/kit")).contains(itsCase, "one string", "one missing");
        assertThat(page(keeper, "/buying")).contains("One is to lie in the case of Pit", "3 missing");
        assertThat(post(keeper, itsCase + "/put", "kind", second.toString())).hasStatus(302);
        lay(second, 2);
        assertThat(page(keeper, itsCase)).contains("Put one in");
        for (int twice = 0; twice < 2; twice++) {
            assertThat(post(keeper, itsCase + "/put", "kind", second.toString()))
                    .hasStatus(302);
        }
        String others = "/instruments/" + other + "/case";
        assertThat(post(keeper, others, filled(keeper, others, others, "wanted[II]", "1")))
                .hasStatus(302);
        assertThat(post(keeper, "/instruments/" + other + "/case/put", "kind", second.toString()))
                .hasStatus(302);
        assertThat(page(keeper, itsCase)).doesNotContain("Put one in").contains("state good");
        assertThat(page(keeper, "/kit")).contains("all there");
        lay(second, 1);

        UUID stage = start(violin, Map.of(Position.II, second), RepairPlanner::emergency);
        assertThat(caseOfTheOneInHand(stage)).contains(violin);
        record(stage, new BenchEntry.End());
        UUID planned = start(violin, Map.of(Position.II, second));
        assertThat(caseOfTheOneInHand(planned)).isEmpty();
        UUID afterwards = start(other, Map.of(Position.II, second));
        assertThat(caseOfTheOneInHand(afterwards)).contains(other);
        assertThat(post(stranger(), itsCase, "wanted[II]", "1")).hasStatus(404);
    }

    @Test
    void theLastPacketGoesToOneOfTwo() throws Exception {
        List<UUID> violins =
                List.of(violin(keeper, "One"), violin(keeper, "Two"), violin(keeper, "Three"), violin(keeper, "Four"));
        lay(second, 1);
        ExecutorService hands = Executors.newFixedThreadPool(4);
        List<Callable<UUID>> starts = violins.stream()
                .map(violin -> (Callable<UUID>) () -> start(violin, Map.of(Position.II, second)))
                .toList();
        List<UUID> runs = new ArrayList<>();
        for (Future<UUID> run : hands.invokeAll(starts)) {
            runs.add(run.get());
        }
        hands.shutdown();
        assertThat(runs.stream().filter(run -> !in(() -> drawer.inHand(run)).isEmpty()))
                .hasSize(1);
        assertThat(lying(second)).isZero();
    }

    /** The new string breaks: in hand is the packet that takes its place, or none where the drawer has no other. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    void whatTakesThePlaceOfABrokenOneIsInHand(int packets) {
        lay(second, packets);
        UUID run = start(violin(keeper, "Snap"), Map.of(Position.II, second));
        UUID first = Position.II.in(in(() -> drawer.inHand(run))).id();
        while (state(run).now().orElseThrow().kind() != StepKind.BRING_UP) {
            goOn(run, 1);
        }
        record(run, new BenchEntry.Wrong(new Mishap(Mishap.Kind.STRING_BROKE, Position.II, BreakPlace.PEG)));
        assertThat(PacketUse.of(state(run).plan()).get(Position.II).taken()).isEqualTo(2);
        assertThat(in(() -> drawer.inHand(run)).values())
                .hasSize(packets - 1)
                .extracting(InDrawer::id)
                .doesNotContain(first);
    }

    /** Half-way the strings that are on have left the drawer, the others lie there again; what came off is kept with its hours. */
    @Test
    void aRunThatIsEndedHalfWayGivesBackWhatIsNotOn() throws Exception {
        UUID violin = violin(keeper, "Half");
        in(() -> instruments.fit(
                violin, Position.II, second, Instant.now().minus(Duration.ofDays(70)), Before.NOTHING, false));
        lay(second, 2);
        lay(third, 1);
        UUID run = start(violin, Map.of(Position.II, second, Position.III, third));
        assertThat(lying(second)).isEqualTo(1);
        assertThat(lying(third)).isZero();
        Position first = state(run).plan().order().get(0);
        while (!state(run).changed().contains(first)) {
            goOn(run, 1);
        }
        record(run, new BenchEntry.End());
        assertThat(state(run).over()).isTrue();
        boolean secondFirst = first == Position.II;
        assertThat(lying(second)).isEqualTo(secondFirst ? 1 : 2);
        assertThat(lying(third)).isEqualTo(secondFirst ? 1 : 0);
        assertThat(gone(secondFirst ? second : third, "FITTED")).isEqualTo(1);
        if (secondFirst) {
            assertThat(page(keeper, "/drawer/kinds/" + second)).contains("from Half, 50 h in 2 months");
        }
    }

    @Test
    void thePacketInHandIsHeldAgainstWhatTheRunNeeds() throws Exception {
        UUID violin = violin(keeper, "Held");
        lay(second, 2);
        lay(third, 1);
        UUID run = start(violin, Map.of(Position.II, second));
        InDrawer mine = Position.II.in(in(() -> drawer.inHand(run)));
        InDrawer other = in(() -> drawer.lying(List.of(second))).get(second).get(0);
        InDrawer wrong = in(() -> drawer.lying(List.of(third))).get(third).get(0);
        assertThat(in(() -> drawer.hold(run, " " + mine.written().toLowerCase()))
                        .verdict())
                .isEqualTo(Held.Verdict.RIGHT);
        assertThat(in(() -> drawer.hold(run, "http://bench.example/drawer/" + other.code()))
                        .verdict())
                .isEqualTo(Held.Verdict.INSTEAD);
        assertThat(in(() -> drawer.inHand(run)).get(Position.II).code()).isEqualTo(other.code());
        assertThat(lying(second)).as("the first lies there again").isEqualTo(1);
        assertThat(in(() -> drawer.hold(run, wrong.code())).verdict()).isEqualTo(Held.Verdict.WRONG);
        assertThat(in(() -> drawer.hold(run, "QQQ QQQ")).verdict()).isEqualTo(Held.Verdict.UNKNOWN);
        assertThat(mvcPacket(run, wrong.code())).bodyText().contains("Wrong string: that is Harrow Tarn III");
    }

    private MvcTestResult mvcPacket(UUID run, String code) {
        return mvc.post()
                .uri("/bench/" + run + "/packet")
                .with(user(keeper))
                .with(csrf())
                .header("HX-Request", "true")
                .param("code", code)
                .exchange();
    }

    @Test
    void whatIsBoughtIsLaidInOnceHoweverOftenItIsSent() throws Exception {
        assertThat(page(keeper, "/drawer")).contains("Nothing lies here yet");
        String[] bought = {
            "kind",
            second.toString(),
            "many",
            "3",
            "place",
            "blue box",
            "boughtOn",
            "2026-01-15",
            "price",
            "21,5",
            "currency",
            "eur",
            "press",
            UUID.randomUUID().toString()
        };
        assertThat(post(keeper, "/drawer/new", bought)).hasRedirectedUrl("/drawer/kinds/" + second);
        post(keeper, "/drawer/new", bought);
        assertThat(lying(second)).isEqualTo(3);
        assertThat(page(keeper, "/drawer/kinds/" + second)).contains("blue box · bought Jan 2026", "21.50 EUR");
        assertThat(page(keeper, "/drawer")).contains("3 there", "oldest Jan 2026");
        assertThat(page(keeper, "/drawer/table.csv").lines().skip(1).map(row -> row.replaceFirst("^\\w{6},", "")))
                .hasSize(3)
                .containsOnly("Harrow,Tarn,violin,4/4,II,ball,blue box,,2026-01-15,21.50,EUR,,,");

        UUID violin = violin(keeper, "Bought");
        assertThat(page(keeper, "/instruments/" + violin + "/plan?strings=II&kinds[II]=" + second))
                .contains("From the drawer", "blue box");
        assertThat(page(keeper, "/instruments/" + violin + "/plan?strings=III&kinds[III]=" + third))
                .contains("No Harrow Tarn in the drawer");

        String count = UUID.randomUUID().toString();
        String[] found = {
            "found[" + second + "]",
            "1",
            "shown[" + second + "]",
            "3",
            "found[" + third + "]",
            "2",
            "shown[" + third + "]",
            "0",
            "press",
            count
        };
        assertThat(post(keeper, "/drawer/count", found)).hasStatus(302);
        post(keeper, "/drawer/count", found);
        assertThat(lying(second)).isEqualTo(1);
        assertThat(gone(second, "MISSING")).isEqualTo(2);
        assertThat(lying(third)).isEqualTo(2);
        assertThat(page(keeper, "/drawer/kinds/" + second)).contains("1 found, 3 on record, by Stranger");
    }

    @ParameterizedTest
    @CsvSource({
        "many, 0, A whole number from 1 to 200",
        "many, 201, A whole number from 1 to 200",
        "boughtOn, 2199-01-01, A day from",
        "price, -3, from 0 to 100000",
        "currency, EURO, three letters",
        "caseOf, Nobody, No instrument is called Nobody",
    })
    void whatCannotBeIsSaidBesideItsField(String field, String typed, String said) throws Exception {
        Map<String, String> form = new LinkedHashMap<>(
                Map.of("kind", second.toString(), "many", "2", "price", "5", "currency", "EUR", "boughtOn", ""));
        form.put(field, typed);
        String[] fields = form.entrySet().stream()
                .flatMap(one -> Stream.of(one.getKey(), one.getValue()))
                .toArray(String[]::new);
        assertThat(post(keeper, "/drawer/new", fields))
                .hasStatus(200)
                .bodyText()
                .contains(said, "value=\"" + typed);
        assertThat(lying(second)).isZero();
    }

    /** What is printed is read again as a camera reads it, and opens the string. */
    @Test
    void aCameraReadsTheLabelAndComesToTheString() throws Exception {
        lay(second, 1);
        InDrawer string = in(() -> drawer.lying(List.of(second))).get(second).get(0);
        String sheet =
                "/drawer/labels.pdf?of=KIND&kind=" + second + "&rows=13&columns=5&width=38&height=21&top=12&left=10";
        byte[] pdf = mvc.get()
                .uri(sheet + "&first=8")
                .with(user(keeper))
                .exchange()
                .getResponse()
                .getContentAsByteArray();
        String read;
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document)).contains("II A", string.written(), "Harrow Tarn");
            // The camera is held over the eighth label, the third of the second row.
            BufferedImage picture = new PDFRenderer(document)
                    .renderImageWithDPI(0, DPI)
                    .getSubimage(pixels(10 + 2 * 38), pixels(12 + 21), pixels(38), pixels(21));
            int[] seen = picture.getRGB(0, 0, picture.getWidth(), picture.getHeight(), null, 0, picture.getWidth());
            // The picture is lit evenly everywhere.
            read = new QRCodeReader()
                    .decode(new BinaryBitmap(new GlobalHistogramBinarizer(
                            new RGBLuminanceSource(picture.getWidth(), picture.getHeight(), seen))))
                    .getText();
        }
        assertThat(read).endsWith("/drawer/" + string.code());
        assertThat(page(keeper, read.replaceFirst("^http://[^/]*", ""))).contains(string.written(), "in the drawer");
        assertThat(page(keeper, sheet + "&first=66")).contains("A whole number from 1 to 65");
        assertThat(page(keeper, sheet.replace("width=38", "width=80"))).contains("wider than the sheet");
    }

    private static int pixels(int mm) {
        return Math.round(mm * DPI / 25.4f);
    }
}
