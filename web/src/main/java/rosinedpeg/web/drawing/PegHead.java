package rosinedpeg.web.drawing;

import java.util.List;
import rosinedpeg.core.setup.PegKind;

/**
 * What a string is wound on, seen from the front: a wooden peg with its knob; a geared one, which looks like wood but for the
 * metal collar at the wall; a machine with its post across the pegbox, the wheel and the worm outside the plate, and its key.
 *
 * <p>Pieces are straight strokes. Lengths are in shaft diameters, counted outwards from the outside of the wall and along the
 * pegbox from the middle of the shaft.
 *
 * @param fromOut where it begins, outwards
 * @param fromAlong where it begins, along the pegbox
 * @param toOut where it ends, outwards
 * @param toAlong where it ends, along the pegbox
 * @param width how thick it is
 * @param material what it is of, as it is styled
 */
record PegHead(double fromOut, double fromAlong, double toOut, double toAlong, double width, Material material) {

    /** What a piece is of. */
    enum Material {
        SHAFT,
        KNOB,
        METAL,
        KEY
    }

    /** {@return what the shaft across the pegbox is of} */
    static Material shaft(PegKind kind) {
        return kind == PegKind.MACHINE_HEAD ? Material.METAL : Material.SHAFT;
    }

    private static final List<PegHead> WOOD =
            List.of(across(0, 0.6, 1, Material.SHAFT), across(0.9, 2.3, 1.9, Material.KNOB));
    private static final List<PegHead> GEARED = List.of(
            across(0, 0.6, 1, Material.SHAFT),
            across(0.12, 0.55, 1.5, Material.METAL),
            across(0.95, 2.3, 1.9, Material.KNOB));
    private static final List<PegHead> MACHINE = List.of(
            across(0, 0.3, 0.9, Material.METAL),
            along(0.55, 0.95, 0.5, Material.METAL),
            along(1.15, 0.62, 0.44, Material.METAL),
            across(1.3, 2.0, 0.34, Material.METAL),
            along(2.2, 0.72, 0.62, Material.KEY));

    /** How far a machine's plate reaches beyond its outermost shafts, and how thick it is. */
    static final double PLATE_BEYOND = 1.5;

    static final double PLATE = 0.26;

    /** {@return the pieces of one, from the wall outwards; the shaft inside the pegbox is the drawing's own} */
    static List<PegHead> of(PegKind kind) {
        return switch (kind) {
            case TAPERED_WOOD -> WOOD;
            case GEARED -> GEARED;
            case MACHINE_HEAD -> MACHINE;
        };
    }

    private static PegHead across(double from, double to, double width, Material material) {
        return new PegHead(from, 0, to, 0, width, material);
    }

    private static PegHead along(double out, double half, double width, Material material) {
        return new PegHead(out, -half, out, half, width, material);
    }
}
