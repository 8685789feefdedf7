package rosinedpeg.web.drawer;

import java.util.Map;
import java.util.UUID;
import rosinedpeg.core.strings.Position;

/**
 * What a run needs from the drawer.
 *
 * @param instrumentId the instrument
 * @param emergency whether it goes on now, on stage: what lies in the case is there for that
 * @param kinds the kind each place takes
 */
public record RunNeeds(UUID instrumentId, boolean emergency, Map<Position, UUID> kinds) {}
