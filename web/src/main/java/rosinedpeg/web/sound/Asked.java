package rosinedpeg.web.sound;

import java.time.Instant;
import java.util.UUID;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.kinds.StringKind;

/**
 * A string of which it is asked how it sounds.
 *
 * @param question what is asked
 * @param instrumentId on which instrument it is, or was
 * @param instrument what that is called
 * @param position which string
 * @param kind what it is
 * @param since when it had settled, or came off
 */
record Asked(
        Question question, UUID instrumentId, String instrument, Position position, StringKind kind, Instant since) {}
