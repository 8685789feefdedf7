package rosinedpeg.web.instrument;

import java.time.Instant;
import java.util.UUID;
import rosinedpeg.core.setup.Family;

/**
 * An instrument that has left the rack.
 *
 * @param id its id
 * @param name what it is called
 * @param family its family
 * @param size its size, as 4/4
 * @param retiredAt when it left
 */
public record Retired(UUID id, String name, Family family, String size, Instant retiredAt) {}
