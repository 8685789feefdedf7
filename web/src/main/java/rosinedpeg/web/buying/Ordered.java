package rosinedpeg.web.buying;

import java.util.Optional;
import java.util.UUID;
import rosinedpeg.web.kinds.Price;

/**
 * What is ordered of one kind.
 *
 * @param kindId the kind
 * @param strings how many, 1 to 999
 * @param price what one costs, if somebody says; what is known of it otherwise
 */
public record Ordered(UUID kindId, int strings, Optional<Price> price) {}
