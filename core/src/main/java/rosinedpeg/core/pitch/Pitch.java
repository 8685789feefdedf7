package rosinedpeg.core.pitch;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A note of the equally tempered scale, by its number in semitones: 69 is the A above middle C, 60 middle C.
 *
 * @param midi 0 to 127
 */
public record Pitch(int midi) implements Comparable<Pitch> {

    private static final List<String> NAMES = List.of("C", "C♯", "D", "E♭", "E", "F", "F♯", "G", "A♭", "A", "B♭", "B");
    private static final Pattern SPELLING = Pattern.compile("([A-Ga-g])([#♯b♭]?)(-?\\d)");
    private static final String NATURALS = "C D EF G A B";

    /**
     * Checks the number.
     *
     * @throws IllegalArgumentException outside 0 to 127
     */
    public Pitch {
        if (midi < 0 || midi > 127) {
            throw new IllegalArgumentException("midi is " + midi + "; it must be from 0 to 127");
        }
    }

    /**
     * Reads a pitch such as {@code E5}, {@code F#3} or {@code B♭1}; octaves change at C, A4 is the reference A.
     *
     * @param spelling letter, optional sharp or flat, octave
     * @return the pitch
     * @throws IllegalArgumentException when it is not spelt so
     */
    public static Pitch of(String spelling) {
        Matcher matcher = SPELLING.matcher(spelling.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("spelling is \"" + spelling
                    + "\"; it must be a letter A to G, # or b if any, and an octave, as A4");
        }
        int step = NATURALS.indexOf(matcher.group(1).toUpperCase(Locale.ROOT));
        int alteration = switch (matcher.group(2)) {
            case "#", "♯" -> 1;
            case "b", "♭" -> -1;
            default -> 0;
        };
        return new Pitch((Integer.parseInt(matcher.group(3)) + 1) * 12 + step + alteration);
    }

    /**
     * The pitch so many semitones higher.
     *
     * @param semitones below 0 for a lower one
     * @return the pitch
     * @throws IllegalArgumentException when there is none
     */
    public Pitch up(int semitones) {
        return new Pitch(midi + semitones);
    }

    /** {@return the letter and its alteration, without the octave} */
    public String letter() {
        return NAMES.get(midi % 12);
    }

    /** {@return the octave, which changes at C; the reference A is in octave 4} */
    public int octave() {
        return midi / 12 - 1;
    }

    /** {@return the name with its octave, as A4} */
    public String spelling() {
        return letter() + octave();
    }

    /**
     * The frequency: {@code f = A4 · 2^((m − 69)/12)}.
     *
     * @param a the reference A, not null
     * @return the frequency in Hz
     */
    public double frequencyHz(ReferenceA a) {
        return a.hertz() * Math.pow(2, (midi - 69) / 12.0);
    }

    @Override
    public int compareTo(Pitch other) {
        return Integer.compare(midi, other.midi);
    }
}
