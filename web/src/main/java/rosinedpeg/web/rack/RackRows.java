package rosinedpeg.web.rack;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.Fragments;
import rosinedpeg.web.rack.RackEntry.Look;

/**
 * Lays rows of the rack out, and keeps them: most instruments look today as they did at the last look, and to find that out and
 * to draw them again is most of what the rack takes. In templates: {@code @rackRows}.
 */
@Component("rackRows")
class RackRows {

    /** So many letters are kept, some 4 000 rows; the least looked at make way. */
    private static final long KEPT_LETTERS = 16_000_000;

    private final Fragments fragments;
    private final RackWords words;
    private final Cache<Look, String> kept = Caffeine.newBuilder()
            .maximumWeight(KEPT_LETTERS)
            .weigher((Look look, String html) -> html.length())
            .build();

    RackRows(Fragments fragments, RackWords words) {
        this.fragments = fragments;
        this.words = words;
    }

    /** {@return a row as it was laid out for that look before} */
    Optional<String> kept(Look look) {
        return Optional.ofNullable(kept.getIfPresent(look));
    }

    /** {@return a row as HTML} */
    public String html(RackEntry entry) {
        return entry.html().orElseGet(() -> layOut(entry.look(), entry.row().orElseThrow()));
    }

    private String layOut(Look look, RackRow row) {
        String html =
                fragments.layOut("rack/row", Map.of("line", words.line(row, look.zone()), "focused", look.focused()));
        kept.put(look, html);
        return html;
    }
}
