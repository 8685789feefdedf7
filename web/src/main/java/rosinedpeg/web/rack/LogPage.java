package rosinedpeg.web.rack;

import rosinedpeg.web.instrument.Instrument;

/**
 * What happened to an instrument longer ago than its own page shows.
 *
 * @param instrument the instrument
 * @param log a part of what happened to it
 */
record LogPage(Instrument instrument, InstrumentLog log) {}
