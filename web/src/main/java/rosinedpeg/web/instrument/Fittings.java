package rosinedpeg.web.instrument;

/**
 * What an instrument has, beside what is measured on it.
 *
 * @param parchment whether a parchment is glued over the groove of I
 * @param tube whether a tube is on I
 * @param tunersBuiltIn whether its fine tuners are part of the tailpiece
 */
public record Fittings(boolean parchment, boolean tube, boolean tunersBuiltIn) {}
