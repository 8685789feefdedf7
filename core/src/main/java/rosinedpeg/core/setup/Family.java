package rosinedpeg.core.setup;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.strings.Position;

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

    /** {@return what strings are wound on, unless the instrument says otherwise} */
    public PegKind usualPegs() {
        return this == BASS ? PegKind.MACHINE_HEAD : PegKind.TAPERED_WOOD;
    }

    /** {@return what its strings hang on, unless the instrument says otherwise: a fine tuner for a ball on I, none on a bass} */
    public Map<Position, TailEnd> usualTailEnds() {
        return this == BASS ? Map.of() : Map.of(Position.I, TailEnd.FORK_TUNER);
    }

    /** {@return whether the instrument is rested on the lap; the others lie flat on their back} */
    public boolean restsOnLap() {
        return this == VIOLIN || this == VIOLA;
    }
}
