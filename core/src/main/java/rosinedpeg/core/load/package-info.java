/** How hard the strings press on the two feet of the bridge, and whether the sound post stays held. */
package rosinedpeg.core.load;
