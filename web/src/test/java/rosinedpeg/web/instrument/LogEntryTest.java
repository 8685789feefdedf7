package rosinedpeg.web.instrument;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.CurrentWorkshop;

class LogEntryTest {

    @ParameterizedTest
    @ValueSource(strings = {"Pacific/Kiritimati", "Europe/London", "Pacific/Niue"})
    void whatHappenedOnADayIsToldOfThatDayWhereverTheWorkshopStands(ZoneId zone) {
        LocalDate day = LocalDate.of(2026, 12, 1);
        UUID somebody = UUID.randomUUID();
        LogEntry entry = CurrentWorkshop.in(
                UUID.randomUUID(), somebody, zone, () -> LogEntry.on(day, "PEG_LOOKED", Position.II, somebody));
        assertThat(LocalDate.ofInstant(entry.at(), zone)).isEqualTo(day);
    }
}
