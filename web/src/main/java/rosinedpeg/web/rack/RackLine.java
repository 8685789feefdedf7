package rosinedpeg.web.rack;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.web.drawing.Strands;

/**
 * An instrument on the rack as a line in words. A page has fifty of them: each is worded once, before the page is laid out.
 *
 * @param id the instrument
 * @param name what it is called
 * @param size its size, as 4/4
 * @param length its vibrating length, with its unit
 * @param origin how that is known
 * @param strands its drawing
 * @param strandsTold what the drawing shows
 * @param style how its state is marked
 * @param state how it stands
 * @param stateWorking where that is worked out; null where it rests on nothing but a record
 * @param reason the figure or the day that rests on
 * @param reasonWorking where that is worked out
 * @param action what is offered to do
 * @param actionAddress where that is done
 * @param strong whether that comes before everything else
 */
record RackLine(
        UUID id,
        String name,
        String size,
        String length,
        String origin,
        Strands strands,
        String strandsTold,
        String style,
        String state,
        @Nullable String stateWorking,
        String reason,
        @Nullable String reasonWorking,
        String action,
        String actionAddress,
        boolean strong) {}
