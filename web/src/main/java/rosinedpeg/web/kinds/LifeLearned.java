package rosinedpeg.web.kinds;

import java.util.UUID;

/**
 * How long strings of a kind last has been learned anew, and with it how worn every one of them is.
 *
 * @param kindId the kind
 */
public record LifeLearned(UUID kindId) {}
