package rosinedpeg.core.setup;

import java.util.List;
import java.util.stream.Stream;
import rosinedpeg.core.pitch.Pitch;

/** The four families. */
public enum Family {
    VIOLIN("E5", "A4", "D4", "G3"),
    VIOLA("A4", "D4", "G3", "C3"),
    CELLO("A3", "D3", "G2", "C2"),
    BASS("G2", "D2", "A1", "E1");

    private final List<Pitch> openStrings;

    Family(String... openStrings) {
        this.openStrings = Stream.of(openStrings).map(Pitch::of).toList();
    }

    /** {@return the usual open strings, I first} */
    public List<Pitch> openStrings() {
        return openStrings;
    }

    /** {@return the solo tuning where the family has one, else the usual strings: a bass is tuned one tone up} */
    public List<Pitch> soloStrings() {
        return this == BASS ? openStrings.stream().map(pitch -> pitch.up(2)).toList() : openStrings;
    }

    /** {@return what strings are wound on, unless the instrument says otherwise} */
    public PegKind usualPegs() {
        return this == BASS ? PegKind.MACHINE_HEAD : PegKind.TAPERED_WOOD;
    }

    /** {@return whether the instrument is rested on the lap; the others lie flat on their back} */
    public boolean restsOnLap() {
        return this == VIOLIN || this == VIOLA;
    }
}
