/**
 * How hard the strings press on the two feet of the bridge, and whether the sound post stays held. It stands beside the
 * treble foot, so that the share of its load that is left is the figure of the whole product. Begin with {@link
 * rosinedpeg.core.load.InstrumentLoad}; {@link rosinedpeg.core.load.FeetLoad} has the statics, {@link
 * rosinedpeg.core.load.LoadBands} what a share means.
 */
@NullMarked
package rosinedpeg.core.load;

import org.jspecify.annotations.NullMarked;
