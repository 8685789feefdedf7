package rosinedpeg.web.bridge;

import java.util.Arrays;
import java.util.Optional;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.PictureLine;

/**
 * The two lines that somebody drew on a picture of a bridge.
 *
 * @param plate along the top plate
 * @param back along the bridge's tailpiece-side face
 * @param tailpieceOnLeft on which side of the picture the tailpiece is
 */
record PictureLines(PictureLine plate, PictureLine back, boolean tailpieceOnLeft) {

    /** {@return the lines as a page sends them, four numbers each; empty when they are not two lines} */
    static Optional<PictureLines> of(String plate, String back, boolean tailpieceOnLeft) {
        try {
            return Optional.of(new PictureLines(line(plate), line(back), tailpieceOnLeft));
        } catch (IllegalArgumentException notALine) {
            return Optional.empty();
        }
    }

    private static PictureLine line(String typed) {
        double[] ends =
                Arrays.stream(typed.split(",")).mapToDouble(Double::parseDouble).toArray();
        if (ends.length != 4) {
            throw new IllegalArgumentException("a line has 4 numbers, not " + ends.length);
        }
        return new PictureLine(ends[0], ends[1], ends[2], ends[3]);
    }

    static double[] ends(PictureLine line) {
        return new double[] {line.x1(), line.y1(), line.x2(), line.y2()};
    }

    /**
     * The lean that the lines show.
     *
     * @throws IllegalArgumentException when they lie further than 20° from square
     */
    Lean lean() {
        return Lean.fromPicture(plate, back, tailpieceOnLeft);
    }
}
