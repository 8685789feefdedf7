package rosinedpeg.web.occasions;

import java.util.Set;
import java.util.UUID;

/**
 * Some instruments are played on other dates than was said before, told within the transaction that records it.
 *
 * @param instrumentIds which
 */
public record PlayedOtherwise(Set<UUID> instrumentIds) {}
