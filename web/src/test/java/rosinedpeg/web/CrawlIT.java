package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.net.URI;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import rosinedpeg.core.causes.Symptom;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.setup.Area;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NewInstrument;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/**
 * Goes through every door: whatever a page links to is there, for everybody whom it is shown to, and every page of every
 * instrument answers, whatever its family and size, and however little is recorded of it.
 */
class CrawlIT extends InRequests {

    /** Pages of one kind differ by their numbers; so many of a kind are opened on one walk. */
    private static final int OF_A_KIND = 3;

    @Autowired
    Instruments instruments;

    @Autowired
    StringKinds kinds;

    @Autowired
    Benches benches;

    private final List<String> broken = Collections.synchronizedList(new ArrayList<>());

    private static SignedIn as(Role role, RunningApplication application) {
        return application.account(
                switch (role) {
                    case KEEPER -> "keeper";
                    case TECHNICIAN -> "bench";
                    case PLAYER -> "pit";
                });
    }

    @ParameterizedTest
    @EnumSource
    void everyLinkThatIsShownIsThere(Role role) {
        SignedIn who = as(role, this);
        walk(who, "/", OF_A_KIND);
        assertThat(broken).isEmpty();
    }

    /** How much of an instrument is strung. */
    private enum Strung {
        BARE,
        HALF,
        WHOLE
    }

    /** Any two of size, a fifth string or none, and how much is strung meet on some instrument. */
    @ParameterizedTest
    @EnumSource
    void everyPageOfEveryInstrumentAnswers(Family family) {
        int turn = 0;
        for (Size size : Size.of(family)) {
            boolean first = size.equals(Size.of(family).get(0));
            for (Strung strung : Strung.values()) {
                boolean five = turn % 2 == 1;
                int other = turn / Strung.values().length;
                SignedIn who = as(Role.values()[(turn++ + other) % Role.values().length], this);
                UUID id = in(() -> instrument(size, five, strung));
                Instrument instrument = in(() -> instruments.get(id));
                open(who, pages(instrument));
                if (strung == Strung.WHOLE && first) {
                    UUID run = in(() -> halfDone(instrument));
                    open(who, List.of("/bench/" + run));
                    open(who, pages(instrument));
                }
            }
        }
        assertThat(broken).isEmpty();
    }

    /** Opens pages, as many at once as there are cores. */
    private List<Document> open(SignedIn who, List<String> addresses) {
        return addresses.parallelStream()
                .flatMap(address -> Stream.ofNullable(open(who, address)))
                .toList();
    }

    private List<String> pages(Instrument instrument) {
        List<String> pages = new ArrayList<>(List.of(
                "",
                "/plan",
                "/plan/card",
                "/plan/card.pdf",
                "/work",
                "/bridge",
                "/pegbox",
                "/pegbox.svg",
                "/pegs",
                "/tailpiece",
                "/tailpiece.svg",
                "/fit",
                "/fit.svg",
                "/post",
                "/measure",
                "/symptoms",
                "/referral",
                "/log",
                "/passport",
                "/sound",
                "/case",
                "/choose",
                "/strings-missing"));
        for (String work : List.of("EMERGENCY", "BRIDGE_DOWN", "TAILPIECE_CHANGE", "GRAPHITE", "PEG_SERVICE")) {
            pages.add("/work?kind=" + work);
        }
        for (Area area : Area.values()) {
            pages.add("/measure/" + area);
        }
        for (Symptom symptom : Symptom.values()) {
            pages.add("/symptoms?symptom=" + symptom);
        }
        int last = instrument.setUp().positions().size() - 1;
        pages.add("/fit?string=" + instrument.setUp().positions().get(last));
        pages.add("/choose?string=" + instrument.setUp().positions().get(last));
        return pages.stream()
                .map(page -> "/instruments/" + instrument.id() + page)
                .toList();
    }

    private UUID instrument(Size size, boolean five, Strung strung) {
        Family family = size.family();
        List<Pitch> openStrings = new ArrayList<>(family.openStrings());
        if (five) {
            int lowest = openStrings.get(openStrings.size() - 1).midi();
            openStrings.add(new Pitch(lowest - (family == Family.BASS ? 5 : 7)));
        }
        TailEnd[] tailEnds = new TailEnd[openStrings.size()];
        Arrays.fill(tailEnds, TailEnd.SLOT);
        UUID id = instruments.add(new NewInstrument(
                family + " " + size.code() + " " + openStrings.size() + " " + strung,
                size,
                false,
                ReferenceA.STANDARD,
                openStrings,
                List.of(tailEnds),
                false,
                family.usualPegs(),
                5,
                Demand.STUDY));
        SetUp setUp = instruments.get(id).setUp();
        Map<Position, StringKind> set = kinds.usual(setUp).values().iterator().next();
        int on = strung == Strung.BARE ? 0 : strung == Strung.HALF ? 2 : openStrings.size();
        Instant since = Instant.now().minus(3, ChronoUnit.DAYS);
        for (Position position : setUp.positions().subList(0, on)) {
            UUID kind = set.get(position).id();
            instruments.fit(id, position, kind, position == Position.II ? null : since, Before.NOTHING, false);
        }
        return id;
    }

    /** {@return a run in the middle of which the strings are being changed} */
    private UUID halfDone(Instrument instrument) {
        ChangePlan plan =
                ChangePlanner.plan(ChangeRequest.usual(instrument.setUp(), instrument.specs(), instrument.specs()));
        Map<Position, UUID> replacements = new HashMap<>();
        instrument
                .strings()
                .forEach(string ->
                        replacements.put(string.position(), string.kind().id()));
        UUID run = benches.start(instrument.id(), plan, replacements, Reason.WORN, false);
        for (int step = 0; step < plan.steps().size() / 2; step++) {
            long seen = benches.get(run).state().lastSequence();
            benches.record(run, Press.now(UUID.randomUUID(), seen), new BenchEntry.Done(step));
        }
        return run;
    }

    private <T> T in(Supplier<T> work) {
        return CurrentWorkshop.in(account("bench"), work);
    }

    private void walk(SignedIn who, String begin, int ofAKind) {
        Set<String> known = new HashSet<>(Set.of(begin));
        Map<String, Integer> opened = new HashMap<>();
        List<String> toOpen = List.of(begin);
        while (!toOpen.isEmpty()) {
            List<String> next = new ArrayList<>();
            List<String> chosen = toOpen.stream()
                    .filter(address -> opened.merge(kindOf(address), 1, Integer::sum) <= ofAKind)
                    .toList();
            for (Document page : open(who, chosen)) {
                for (Element link : page.select("a[href], [hx-get], img[src], link[href], script[src]")) {
                    for (String attribute : List.of("href", "hx-get", "src")) {
                        String to = link.attr(attribute).replaceAll("#.*", "");
                        if (to.startsWith("?")) {
                            to = page.location().replaceAll("\\?.*", "") + to;
                        }
                        if (to.startsWith("/") && known.add(to)) {
                            next.add(to);
                        }
                    }
                }
            }
            toOpen = next;
        }
    }

    private static String kindOf(String address) {
        return address.replaceAll("[0-9a-f]{8}-[0-9a-f-]{27}|(?<=/drawer/)[0-9A-Z]{6}\\b", "{id}")
                .replaceAll("(?<=/day/)[-0-9]+", "{day}")
                .replaceAll("=[-0-9.,]+", "=0");
    }

    /** {@return the page; null when there is none to go on from} */
    private Document open(SignedIn who, String address) {
        MockHttpServletResponse answer;
        try {
            answer = mvc.get()
                    .uri(URI.create(address.replace(" ", "%20")))
                    .with(user(who))
                    .exchange()
                    .getResponse();
            if (answer.getStatus() >= 400) {
                broken.add(answer.getStatus() + " " + address);
                return null;
            }
            String redirected = answer.getRedirectedUrl();
            if (redirected != null) {
                return open(who, redirected.replaceFirst("^https?://[^/]+", ""));
            }
            String type = String.valueOf(answer.getContentType());
            if (!type.startsWith("text/html")) {
                return null;
            }
            Document page = Jsoup.parse(answer.getContentAsString(), address);
            page.select("select").stream()
                    .filter(select -> select.select("option[selected]").size() > 1)
                    .forEach(select -> broken.add("several are chosen of " + select.id() + " on " + address));
            return page;
        } catch (Exception thrown) {
            broken.add(thrown + " " + address);
            return null;
        }
    }
}
