package rosinedpeg.web.kinds;

import java.util.UUID;

/**
 * What is on record of a kind of string has been put right.
 *
 * @param kindId the kind
 */
public record KindDescribed(UUID kindId) {}
