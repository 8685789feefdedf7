package rosinedpeg.web.practice;

import java.util.List;
import java.util.UUID;
import rosinedpeg.core.simulation.Consequence;
import rosinedpeg.core.simulation.PracticeInstrument;

/**
 * An attempt as it stands.
 *
 * @param id its id
 * @param name what it is called
 * @param done how much was done, what was taken back left out
 * @param now the instrument as it is
 * @param happened what came of what was done last
 */
record Attempt(UUID id, String name, long done, PracticeInstrument now, List<Consequence> happened) {}
