package rosinedpeg.web.kinds;

import java.math.BigDecimal;

/**
 * What a string costs.
 *
 * @param amount 0 to 100 000, with two decimals
 * @param currency its three letters, as EUR
 */
public record Price(BigDecimal amount, String currency) {}
