package rosinedpeg.web.drawing;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import rosinedpeg.core.plan.Material;

/**
 * What has to lie ready, drawn small as it lies on a cloth, 60 wide and 40 high. Not to scale: a pencil and a blanket have to lie
 * side by side.
 *
 * @param outline its outline, as an SVG path
 * @param detail what is seen on it, as an SVG path; empty when nothing is
 */
public record Tool(String outline, String detail) {

    /** {@return how each of some things looks, in the order given} */
    public static Map<Material, Tool> laidOut(Collection<Material> materials) {
        Map<Material, Tool> laidOut = new LinkedHashMap<>();
        materials.forEach(material -> laidOut.put(material, of(material)));
        return laidOut;
    }

    /** {@return how something looks} */
    static Tool of(Material material) {
        return switch (material) {
            case NEW_STRING ->
                new Tool(
                        "M28 5a15 15 0 1 0 .01 0ZM28 8a12 12 0 1 1-.01 0Z",
                        "M43 20c7 0 10 6 6 12M28 11a9 9 0 1 0 .01 0");
            case SOFT_PENCIL -> new Tool("M4 16h40l12 4-12 4H4Z", "M44 16v8M9 16v8M52 18.6v2.8");
            case LINT_FREE_CLOTH -> new Tool("M11 7h38v26H11Z", "M11 20h38M30 7v26");
            case ALCOHOL -> new Tool("M26 3h8v7l5 5v22H21V15l5-5Z", "M26 8h8M21 21h18M21 31h18");
            case PEG_COMPOUND -> new Tool("M12 13h24v14H12ZM36 15h10c4 0 4 10 0 10H36Z", "M18 13v14");
            case LUBRICATING_PASTE ->
                new Tool("M14 16h32v14c0 5-32 5-32 0ZM11 9h38v7H11Z", "M17 9v7M23 9v7M30 9v7M37 9v7M43 9v7");
            case GRIPPING_DROPS -> new Tool("M24 16h12v18c0 3-12 3-12 0ZM26 10h8v6h-8ZM28 2h4v8h-4Z", "M24 23h12");
            case DRY_SOAP ->
                new Tool("M17 9h26c4 0 6 2 6 5v12c0 3-2 5-6 5H17c-4 0-6-2-6-5V14c0-3 2-5 6-5Z", "M19 15h22v10H19Z");
            case CHALK -> new Tool("M9 16h40c5 0 5 8 0 8H9c-4 0-4-8 0-8Z", "M49 16c-4 0-4 8 0 8");
            case TWEEZERS -> new Tool("M5 18.5 52 11l3 2-42 7 42 7-3 2L5 21.5Z", "M5 20h8");
            case TUNER -> new Tool("M17 5h26v30H17Z", "M21 20c2-9 5-9 7 0s5 9 7 0 3-5 4-4");
            case GOOD_LIGHT -> new Tool("M18 21 25 6h10l7 15ZM28 21h4v11h-4ZM21 32h18v4H21Z", "M21 15h18");
            case EYE_PROTECTION ->
                new Tool(
                        "M6 13h19c2 0 3 14-7 14h-5c-7 0-7-10-7-14ZM35 13h19c0 4 0 14-7 14h-5c-10 0-9-14-7-14Z",
                        "M25 16c3-3 7-3 10 0");
            case CLOTH_UNDER_TAILPIECE ->
                new Tool(
                        "M9 11c8-4 13 4 21 0s13 4 21 0v18c-8 4-13-4-21 0s-13-4-21 0Z", "M9 17c8-4 13 4 21 0s13 4 21 0");
            case RIGHT_ANGLE_CARD -> new Tool("M14 5h11v20h26v10H14Z", "M25 25h-4v4");
            case STRING_PACKET -> new Tool("M15 5h30v30H15Z", "M15 5l15 12L45 5M30 20a6 6 0 1 0 .01 0");
            case BLANKET ->
                new Tool("M13 11h32a9 9 0 0 1 0 18H13a9 9 0 0 1 0-18Z", "M45 15a5 5 0 1 1-4 8M10 15h26M10 25h24");
            case BLOCKS -> new Tool("M7 20h19v14H7ZM33 12h20v22H33Z", "M7 25h19M33 18h20");
            case LONG_NOSED_PLIERS ->
                new Tool(
                        "M3 19l24-4c4-2 8-1 10 1l18-7 2 3-17 8 17 8-2 3-18-7c-2 2-6 3-10 1L3 21Z",
                        "M3 20h24M34 18.5a1.8 1.8 0 1 0 .01 0");
            case WINDER -> new Tool("M7 5h13v11H7ZM11 16h5v17h-5ZM11 28h33v5H11ZM40 17h6v16h-6Z", "M7 10h13");
            case FELTS ->
                new Tool(
                        "M18 10a10 10 0 1 0 .01 0ZM18 16a4 4 0 1 1-.01 0ZM42 10a10 10 0 1 0 .01 0ZM42 16a4 4 0 1 1-.01 0Z",
                        "");
            case CUTTER ->
                new Tool(
                        "M4 12c9-6 13-1 21 4l8 4-8 4c-8 5-12 10-21 4l15-8ZM33 20l20-10 3 3-16 7 16 7-3 3Z",
                        "M31 18.2a1.8 1.8 0 1 0 .01 0");
            case TAILPIECE ->
                new Tool("M21 3h18l-4 29c0 5-10 5-10 0Z", "M22 10h16M26 5.5h.5M29 5.5h.5M32 5.5h.5M35 5.5h.5");
            case RULER -> new Tool("M5 13h50v14H5Z", "M11 13v5M17 13v8M23 13v5M29 13v8M35 13v5M41 13v8M47 13v5");
            case TUBE -> new Tool("M18 16h26a4 4 0 0 1 0 8H18a4 4 0 0 1 0-8Z", "M44 16a4 4 0 0 0 0 8M8 20h6M48 20h6");
            case TIE -> new Tool("M7 21c8-15 16 11 24-3s15 4 21-2l2 4c-9 7-13-8-21 3s-18-11-23 1Z", "");
        };
    }
}
