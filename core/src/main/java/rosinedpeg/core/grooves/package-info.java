/**
 * The grooves that strings lie in at bridge and nut, {@link rosinedpeg.core.grooves.Groove}, and what guards the wood under
 * I, {@link rosinedpeg.core.grooves.Guard}.
 */
@NullMarked
package rosinedpeg.core.grooves;

import org.jspecify.annotations.NullMarked;
