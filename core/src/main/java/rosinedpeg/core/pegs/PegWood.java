package rosinedpeg.core.pegs;

import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;

/** What tapered pegs are made of, which says how they age. */
public enum PegWood {
    /** Hard and long-lived; its bands polish, and then it slips. */
    EBONY(0.2),
    /** Between the two. */
    ROSEWOOD(0.4),
    /** Light and soft; it wears in and creeps inwards. */
    BOXWOOD(0.8);

    private final double mmPerYear;

    PegWood(double mmPerYear) {
        this.mmPerYear = mmPerYear;
    }

    /** {@return how far a peg of it usually moves in within a year, until its collar was measured twice; a default of our own} */
    public Figure usualMmPerYear() {
        return Figure.byDefault(mmPerYear, Unit.MILLIMETRE);
    }
}
