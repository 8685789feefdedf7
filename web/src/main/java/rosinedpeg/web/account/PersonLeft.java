package rosinedpeg.web.account;

import java.util.UUID;

/**
 * Somebody of the present workshop was removed.
 *
 * @param personId who; without a name from now on
 */
public record PersonLeft(UUID personId) {}
