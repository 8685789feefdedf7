/**
 * An instrument as it is set up: its family and size, its tuning, and what was measured on it. {@link
 * rosinedpeg.core.setup.SetUp} has a figure for whatever such an instrument has, measured or usual. {@link
 * rosinedpeg.core.setup.Quantity} lists what can be measured; what is usual on a family stands in {@code FullSize}.
 */
@NullMarked
package rosinedpeg.core.setup;

import org.jspecify.annotations.NullMarked;
