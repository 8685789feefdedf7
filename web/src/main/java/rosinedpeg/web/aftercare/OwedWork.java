package rosinedpeg.web.aftercare;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;

/**
 * Something that is left to do on an instrument.
 *
 * @param id its id
 * @param step a step that was left out; none when the case kit is to be restocked
 * @param strings the strings it concerns
 * @param materials what was used up, when the case kit is to be restocked
 * @param since since when it is owed
 */
public record OwedWork(
        UUID id, @Nullable StepKind step, List<Position> strings, List<Material> materials, Instant since) {

    /** {@return whether what was used is to be put back into the case} */
    public boolean restocks() {
        return step == null;
    }
}
