package rosinedpeg.web.sound;

import jakarta.persistence.Embeddable;
import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.sound.SoundScale;

/** The place on each scale, in a column of its own; null on a scale of which nothing was said. */
@Embeddable
class SoundColumns {

    private @Nullable Short darkBright;
    private @Nullable Short softFirm;
    private @Nullable Short slowQuick;
    private @Nullable Short apartEven;
    private @Nullable Short smallPowerful;

    protected SoundColumns() {}

    SoundColumns(Map<SoundScale, Integer> places) {
        this.darkBright = kept(places.get(SoundScale.DARK_BRIGHT));
        this.softFirm = kept(places.get(SoundScale.SOFT_FIRM));
        this.slowQuick = kept(places.get(SoundScale.SLOW_QUICK));
        this.apartEven = kept(places.get(SoundScale.APART_EVEN));
        this.smallPowerful = kept(places.get(SoundScale.SMALL_POWERFUL));
    }

    private static @Nullable Short kept(@Nullable Integer place) {
        return place == null ? null : place.shortValue();
    }

    /** {@return the place on a scale; null where nothing was said} */
    @Nullable
    Short at(SoundScale scale) {
        return switch (scale) {
            case DARK_BRIGHT -> darkBright;
            case SOFT_FIRM -> softFirm;
            case SLOW_QUICK -> slowQuick;
            case APART_EVEN -> apartEven;
            case SMALL_POWERFUL -> smallPowerful;
        };
    }

    /** {@return where it stands on each scale of which something was said} */
    Map<SoundScale, Integer> places() {
        Map<SoundScale, Integer> places = new EnumMap<>(SoundScale.class);
        for (SoundScale scale : SoundScale.values()) {
            Short place = at(scale);
            if (place != null) {
                places.put(scale, place.intValue());
            }
        }
        return places;
    }
}
