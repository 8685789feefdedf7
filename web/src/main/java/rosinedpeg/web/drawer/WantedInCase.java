package rosinedpeg.web.drawer;

import java.util.UUID;
import rosinedpeg.core.strings.Position;

/**
 * Strings that are to lie in the case of an instrument.
 *
 * @param kindId what they are: what is on there
 * @param instrumentId the instrument
 * @param instrument what it is called
 * @param position which string
 * @param strings how many
 */
public record WantedInCase(UUID kindId, UUID instrumentId, String instrument, Position position, int strings) {}
