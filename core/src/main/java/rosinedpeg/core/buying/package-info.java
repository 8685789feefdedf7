/**
 * What to buy and by when: {@link rosinedpeg.core.buying.Shortfall} holds what is wanted against what is there and coming, {@link
 * rosinedpeg.core.buying.Budget} says which changes a sum of money allows.
 */
@NullMarked
package rosinedpeg.core.buying;

import org.jspecify.annotations.NullMarked;
