package rosinedpeg.web.lend;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.inspection.Seen;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.platform.KeptFinding;
import rosinedpeg.web.platform.KeptNames;

/**
 * What was found when an instrument was looked over on its way.
 *
 * @param seen what was seen
 * @param gapMm the gap at the top of the bridge, where somebody measured it, in mm
 * @param findings what all of that comes to
 * @param text what else there is to say; may be empty
 */
public record Look(Seen seen, Optional<Double> gapMm, List<Finding> findings, String text) {

    /** The form it is kept in. */
    record Kept(
            List<String> missing,
            Map<String, List<String>> wear,
            Map<String, List<String>> pegs,
            List<String> tunersIn,
            List<String> signs,
            @Nullable Double gapMm,
            List<KeptFinding> findings,
            String text) {

        static Kept of(Look look) {
            Seen seen = look.seen();
            return new Kept(
                    names(seen.missing()),
                    names(seen.wear()),
                    names(seen.pegs()),
                    names(seen.tunersIn()),
                    names(seen.signs()),
                    look.gapMm().orElse(null),
                    look.findings().stream().map(KeptFinding::of).toList(),
                    look.text());
        }

        private static List<String> names(Set<? extends Enum<?>> some) {
            return some.stream().map(Enum::name).toList();
        }

        private static <E extends Enum<E>> Map<String, List<String>> names(Map<Position, Set<E>> some) {
            Map<String, List<String>> names = new TreeMap<>();
            some.forEach((position, signs) -> names.put(position.name(), names(signs)));
            return names;
        }

        Look look() {
            return new Look(
                    new Seen(
                            read(Position.class, missing),
                            read(WearSign.class, wear),
                            read(PegSign.class, pegs),
                            read(Position.class, tunersIn),
                            read(Seen.Sign.class, signs)),
                    Optional.ofNullable(gapMm),
                    findings.stream().map(KeptFinding::read).toList(),
                    text);
        }

        private static <E extends Enum<E>> Set<E> read(Class<E> type, List<String> names) {
            return names.stream().map(name -> KeptNames.of(type, name)).collect(Collectors.toSet());
        }

        private static <E extends Enum<E>> Map<Position, Set<E>> read(Class<E> type, Map<String, List<String>> names) {
            Map<Position, Set<E>> read = new EnumMap<>(Position.class);
            names.forEach((position, signs) -> read.put(KeptNames.of(Position.class, position), read(type, signs)));
            return read;
        }
    }
}
