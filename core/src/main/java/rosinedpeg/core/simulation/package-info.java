/** A practice instrument: what a person does to it, and what comes of it. Nothing real can break here. */
package rosinedpeg.core.simulation;
