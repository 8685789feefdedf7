package rosinedpeg.web.platform;

import java.util.List;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.strings.Position;

/**
 * The form a finding is kept in. Its members are part of every form that has findings in it.
 *
 * @param finding what was found
 * @param severity what it asks for
 * @param position the string it concerns; null for the whole instrument
 * @param refer whether it is work for a repairer
 * @param figures what it rests on
 */
public record KeptFinding(
        String finding, String severity, @Nullable String position, boolean refer, List<KeptFigure> figures) {

    /** {@return a finding as it is kept} */
    public static KeptFinding of(Finding finding) {
        return new KeptFinding(
                finding.kind().name(),
                finding.severity().name(),
                finding.concerns().map(Enum::name).orElse(null),
                finding.refer(),
                finding.figures().stream().map(KeptFigure::of).toList());
    }

    /**
     * The finding that was kept so. It has a name of its own, so that it is not taken for one of the members.
     *
     * @throws IllegalArgumentException when one of its names is not known
     */
    public Finding read() {
        return new Finding(
                KeptNames.of(FindingKind.class, finding),
                KeptNames.of(Severity.class, severity),
                position == null ? null : KeptNames.of(Position.class, position),
                figures.stream().map(KeptFigure::figure).toList(),
                refer);
    }
}
