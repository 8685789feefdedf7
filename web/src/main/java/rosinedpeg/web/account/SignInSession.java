package rosinedpeg.web.account;

import java.time.Instant;

/**
 * A device on which somebody is signed in.
 *
 * @param since when they signed in
 * @param lastUsed when they used it last
 * @param present whether it is the one they use now
 */
record SignInSession(Instant since, Instant lastUsed, boolean present) {}
