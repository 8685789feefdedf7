/**
 * Choosing the next string of an instrument from what is on record: a {@link rosinedpeg.core.choosing.Wish}, the {@link
 * rosinedpeg.core.choosing.Option options} there are, and how they are {@link rosinedpeg.core.choosing.Ranked ranked}, each with the
 * reason for its rank.
 */
@NullMarked
package rosinedpeg.core.choosing;

import org.jspecify.annotations.NullMarked;
