package rosinedpeg.core.finding;

import static java.util.Objects.requireNonNull;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.strings.Position;

/**
 * One judgement.
 *
 * @param kind what was found
 * @param severity what it asks for
 * @param position the string it concerns, none when it concerns the whole instrument
 * @param figures what it rests on, in the order its kind gives
 * @param refer whether it is work for a violin maker or repairer
 */
public record Finding(
        FindingKind kind, Severity severity, @Nullable Position position, List<Figure> figures, boolean refer) {

    /** Checks that nothing needed is missing. */
    public Finding {
        requireNonNull(kind, "kind");
        requireNonNull(severity, "severity");
        figures = List.copyOf(figures);
    }

    /** {@return a finding on one string that needs no repairer} */
    public static Finding on(@Nullable Position position, FindingKind kind, Severity severity, Figure... figures) {
        return new Finding(kind, severity, position, List.of(figures), false);
    }

    /** {@return the string it concerns, empty when it concerns the whole instrument} */
    public Optional<Position> concerns() {
        return Optional.ofNullable(position);
    }

    /** {@return whether the work must not go on like this} */
    public boolean stops() {
        return severity == Severity.STOPS;
    }
}
