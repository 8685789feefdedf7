package rosinedpeg.web.drawer;

import java.time.Instant;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.WaitingFiles;

/**
 * Lays in long tables of packets after the answer. That they are to be laid in is written down before it, so that a server that stops
 * meanwhile does it when it starts again, or another does.
 */
@Component
class LaidLater {

    private static final Logger LOG = LoggerFactory.getLogger(LaidLater.class);

    private final DrawerImport imports;
    private final WaitingFiles waiting;
    private final TaskScheduler scheduler;

    LaidLater(DrawerImport imports, WaitingFiles waiting, TaskScheduler scheduler) {
        this.imports = imports;
        this.waiting = waiting;
        this.scheduler = scheduler;
    }

    /** Lays in what was asked for, as soon as what is laid in now is done. */
    void layNow() {
        scheduler.schedule(this::lay, Instant.EPOCH);
    }

    /** Lays in what was asked for, in every workshop. Of several servers one does it. */
    @Scheduled(fixedDelay = 1, initialDelay = 0, timeUnit = TimeUnit.MINUTES)
    void lay() {
        for (WaitingFiles.Asked asked : waiting.asked(WaitingFiles.Purpose.DRAWER)) {
            CurrentWorkshop.in(asked.workshopId(), asked.by(), () -> lay(asked.id()));
        }
    }

    private boolean lay(UUID id) {
        try {
            imports.lay(id);
            return true;
        } catch (RuntimeException complaint) {
            // Only of what sort it is: what the database says of a row holds what people typed.
            LOG.error(
                    "Packets of the waiting file {} were not laid in: {}",
                    id,
                    NestedExceptionUtils.getMostSpecificCause(complaint)
                            .getClass()
                            .getName());
            waiting.failed(id);
            return false;
        }
    }
}
