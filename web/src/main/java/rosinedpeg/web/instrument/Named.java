package rosinedpeg.web.instrument;

import java.util.UUID;
import rosinedpeg.core.setup.Family;

/**
 * What tells an instrument from others where there are hundreds of them.
 *
 * @param id its id
 * @param name its name
 * @param family of which family it is
 */
public record Named(UUID id, String name, Family family) {}
