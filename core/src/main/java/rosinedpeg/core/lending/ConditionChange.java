package rosinedpeg.core.lending;

import static java.util.Objects.requireNonNull;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.strings.Position;

/**
 * What became of an instrument between two looks, by its findings. One of the same kind on the same string is the same one, if it has
 * not grown worse.
 *
 * @param worse what was not there before, or not so bad
 * @param same what was there before and is there still
 * @param gone what was there before and is not there any more, nor anything worse of its part
 */
public record ConditionChange(List<Finding> worse, List<Finding> same, List<Finding> gone) {

    /** Copies the lists. */
    public ConditionChange {
        worse = List.copyOf(worse);
        same = List.copyOf(same);
        gone = List.copyOf(gone);
    }

    private record What(FindingKind kind, @Nullable Position position) {

        static What of(Finding finding) {
            return new What(finding.kind(), finding.position());
        }
    }

    /**
     * Compares two looks.
     *
     * @param out what was found when it went out
     * @param back what was found when it came back
     * @return what became of it
     */
    public static ConditionChange between(Collection<Finding> out, Collection<Finding> back) {
        requireNonNull(back, "back");
        List<Finding> worse = back.stream()
                .filter(finding -> before(out, finding)
                        .filter(known -> known.severity().compareTo(finding.severity()) >= 0)
                        .isEmpty())
                .toList();
        List<Finding> same =
                back.stream().filter(finding -> !worse.contains(finding)).toList();
        List<Finding> gone = out.stream()
                .filter(finding -> before(back, finding).isEmpty())
                .filter(finding -> worse.stream().noneMatch(other -> takesItsPlace(other, finding)))
                .toList();
        return new ConditionChange(worse, same, gone);
    }

    private static Optional<Finding> before(Collection<Finding> some, Finding finding) {
        return some.stream()
                .filter(one -> What.of(one).equals(What.of(finding)))
                .findFirst();
    }

    private static boolean takesItsPlace(Finding worse, Finding known) {
        return worse.kind().part() == known.kind().part()
                && worse.concerns().equals(known.concerns())
                && worse.severity().compareTo(known.severity()) > 0;
    }
}
