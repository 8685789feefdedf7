package rosinedpeg.web.instrument;

import java.util.Set;
import java.util.UUID;

/**
 * Strings came here from elsewhere with what happened to them.
 *
 * @param kindIds what they are
 * @param amongOthers whether others of these kinds may have been here before
 */
public record HistoryArrived(Set<UUID> kindIds, boolean amongOthers) {}
