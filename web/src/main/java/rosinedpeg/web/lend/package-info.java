/**
 * The lending shelf: who has which instrument, from when to when, how it was when it went out and when it came back, and what that comes
 * to over many loans. Begin with {@link rosinedpeg.web.lend.Lending}; the rules are in {@link rosinedpeg.core.lending}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "kinds", "instrument", "pegs", "findings", "drawing"})
@NullMarked
package rosinedpeg.web.lend;

import org.jspecify.annotations.NullMarked;
