package rosinedpeg.web.demonstration;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import rosinedpeg.core.inspection.Seen;
import rosinedpeg.core.lending.Loan;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.lend.Lending;
import rosinedpeg.web.lend.Look;
import rosinedpeg.web.lend.WithIt;

/**
 * The lending shelf of the village at the turn of a term: most of it comes back within days and goes out again, one is late, and earlier
 * terms have shown what children's instruments suffer from.
 */
final class LendingShelf {

    private static final List<WithIt> WITH_IT = List.of(WithIt.CASE, WithIt.BOW, WithIt.SHOULDER_REST);
    private static final Seen NOTHING = Seen.NOTHING;

    private final Lending lending;
    private final LocalDate today;
    private final Map<String, UUID> instruments;

    /**
     * The shelf.
     *
     * @param lending where it is kept
     * @param today the day
     * @param instruments what stands on it, by its name after "Lending"
     */
    LendingShelf(Lending lending, LocalDate today, Map<String, UUID> instruments) {
        this.lending = lending;
        this.today = today;
        this.instruments = instruments;
    }

    /** What stands on the shelf beside what the workshop has anyway. */
    static List<String> more() {
        return List.of("½ violin 1", "½ violin 2", "½ violin 4", "¼ violin 2", "¼ violin 3");
    }

    static Size size(String name) {
        return Size.of(Family.VIOLIN, name.startsWith("½") ? "1/2" : "1/4");
    }

    void load() {
        instruments.values().forEach(lending::putOnShelf);
        earlier();
        LocalDate turn = today.plusDays(6);
        UUID comes = out("½ violin 1", "Village 2", -80, turn, NOTHING);
        out("½ violin 2", "Village 5", -80, turn, tuners());
        out("¼ violin 2", "Village 4", -80, turn, NOTHING);
        out("¼ violin 1", "Village 1", -110, today.minusDays(4), NOTHING);
        out("½ violin 4", "Village 8", -30, turn.plusWeeks(14), NOTHING);
        lending.comesBack(comes, looked("½ violin 1", back()), today);
        promise("½ violin 1", "Village 9", turn.plusDays(3), turn.plusWeeks(14));
        promise("½ violin 2", "Village 7", turn.plusDays(1), turn.plusWeeks(14));
        promise("½ violin 3", "Village 6", turn.plusDays(2), turn.plusWeeks(14));
    }

    /** What came back today has suffered as they do. */
    private static Seen back() {
        return new Seen(
                Set.of(),
                Map.of(Position.I, Set.of(WearSign.CORROSION)),
                Map.of(Position.III, Set.of(PegSign.CREEPS_BACK)),
                Set.of(Position.I),
                Set.of(Seen.Sign.BRIDGE_LEANS));
    }

    private void earlier() {
        List<Seen> backs = List.of(
                tuners(),
                pegs(PegSign.CREEPS_BACK),
                NOTHING,
                new Seen(Set.of(), Map.of(), Map.of(), Set.of(Position.I), Set.of(Seen.Sign.BRIDGE_LEANS)),
                pegs(PegSign.STICKS),
                NOTHING,
                tuners(),
                new Seen(Set.of(), Map.of(), Map.of(), Set.of(), Set.of(Seen.Sign.FITTING_LOOSE)));
        List<String> names = new ArrayList<>(instruments.keySet());
        for (int i = 0; i < backs.size(); i++) {
            String name = names.get(i % (names.size() - 1));
            int from = -300 + 95 * (i / (names.size() - 1)) + i;
            UUID loan = out(name, "Village " + (i % 6 + 1), from, today.plusDays(from + 84), NOTHING);
            LocalDate on = today.plusDays(from + 80 + i % 5);
            lending.comesBack(loan, looked(name, backs.get(i)), on);
        }
    }

    private static Seen tuners() {
        return new Seen(Set.of(), Map.of(), Map.of(), Set.of(Position.I), Set.of());
    }

    private static Seen pegs(PegSign sign) {
        return new Seen(Set.of(), Map.of(), Map.of(Position.IV, Set.of(sign)), Set.of(), Set.of());
    }

    private UUID out(String name, String borrower, int from, LocalDate until, Seen seen) {
        LocalDate day = today.plusDays(from);
        UUID loan = promise(name, borrower, day, until);
        lending.goesOut(loan, looked(name, seen), day, WITH_IT);
        return loan;
    }

    private UUID promise(String name, String borrower, LocalDate from, LocalDate until) {
        UUID loan = UUID.randomUUID();
        lending.lend(loan, instrument(name), borrower, Loan.of(from, until), WITH_IT, "", false);
        return loan;
    }

    private Look looked(String name, Seen seen) {
        return lending.look(instrument(name), seen, Optional.empty(), "");
    }

    private UUID instrument(String name) {
        return Optional.ofNullable(instruments.get(name)).orElseThrow();
    }
}
