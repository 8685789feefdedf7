package rosinedpeg.web.findings;

import java.time.Instant;
import java.util.UUID;

/**
 * Work for a violin maker or repairer that nobody has seen to yet.
 *
 * @param id its id
 * @param note what was noticed
 * @param text the same in words
 * @param at when it was recorded
 * @param by who recorded it
 */
public record Referral(UUID id, Note note, String text, Instant at, UUID by) {}
