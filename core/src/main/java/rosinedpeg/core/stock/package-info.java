/**
 * The strings that lie in the drawer: which of them is taken first ({@link rosinedpeg.core.stock.Lying}), whether an old one may go on
 * again ({@link rosinedpeg.core.stock.SecondLife}), and what is nearest to one that is missing
 * ({@link rosinedpeg.core.stock.Likeness}). How many a run takes is {@link rosinedpeg.core.bench.PacketUse}.
 */
@NullMarked
package rosinedpeg.core.stock;

import org.jspecify.annotations.NullMarked;
