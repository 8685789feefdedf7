package rosinedpeg.web.instrument;

import java.util.Optional;
import rosinedpeg.core.pegs.PegWood;

/**
 * What an instrument has, beside what is measured on it.
 *
 * @param parchment whether a parchment is glued over the groove of I
 * @param tube whether a tube is on I
 * @param tunersBuiltIn whether its fine tuners are part of the tailpiece
 * @param pegWood what its tapered pegs are made of, empty when nobody recorded it
 */
public record Fittings(boolean parchment, boolean tube, boolean tunersBuiltIn, Optional<PegWood> pegWood) {}
