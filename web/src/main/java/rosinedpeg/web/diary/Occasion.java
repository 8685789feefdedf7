package rosinedpeg.web.diary;

import java.time.Instant;
import rosinedpeg.core.settling.Steadiness;

/**
 * A rehearsal or a concert.
 *
 * @param name what it is
 * @param steadiness how well strings have to hold by then
 * @param beginsAt when it begins
 */
public record Occasion(String name, Steadiness steadiness, Instant beginsAt) {}
