package rosinedpeg.web.platform;

import java.util.function.IntPredicate;

/**
 * What may stand in a text that others read. Signs that nobody sees make two names look the same, marks that turn the direction of
 * writing make a name read as another, and what is no sign at all, no drawing and no PDF can hold.
 */
public final class Signs {

    private static final int ZERO_WIDTH_NON_JOINER = 0x200c;
    private static final int ZERO_WIDTH_JOINER = 0x200d;

    private Signs() {}

    /** {@return whether all of a text is seen as it stands, and there is something to be seen} */
    public static boolean allSeen(String text) {
        return text.codePoints().allMatch(Signs::mayStand) && text.codePoints().anyMatch(Signs::isSeen);
    }

    /** {@return whether a sign may stand in a text: line breaks do, and what joins the letters of some scripts} */
    static boolean mayStand(int sign) {
        return switch (Character.getType(sign)) {
            case Character.CONTROL -> sign == '\n' || sign == '\r' || sign == '\t';
            case Character.FORMAT -> sign == ZERO_WIDTH_JOINER || sign == ZERO_WIDTH_NON_JOINER;
            case Character.SURROGATE, Character.PRIVATE_USE, Character.LINE_SEPARATOR, Character.PARAGRAPH_SEPARATOR ->
                false;
            // What Unicode will never make a sign of; what it has not made one of yet may be newer than this Java.
            case Character.UNASSIGNED -> (sign & 0xfffe) != 0xfffe && (sign < 0xfdd0 || sign > 0xfdef);
            default -> true;
        };
    }

    /** {@return a text without what nobody sees of it} */
    static String withoutMarks(String text) {
        return only(text, sign -> Character.getType(sign) != Character.FORMAT || mayStand(sign));
    }

    /** {@return a text without what XML cannot hold, so that a drawing or a sheet can be made of whatever was recorded} */
    public static String inXml(String text) {
        return only(
                text,
                sign -> sign >= ' ' && Character.getType(sign) != Character.SURROGATE && sign < 0xfffe
                        || sign > 0xffff
                        || sign == '\n'
                        || sign == '\r'
                        || sign == '\t');
    }

    private static String only(String text, IntPredicate may) {
        return text.codePoints().allMatch(may)
                ? text
                : text.codePoints()
                        .filter(may)
                        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                        .toString();
    }

    private static boolean isSeen(int sign) {
        return switch (Character.getType(sign)) {
            case Character.CONTROL, Character.FORMAT, Character.SPACE_SEPARATOR -> false;
            case Character.NON_SPACING_MARK, Character.ENCLOSING_MARK, Character.COMBINING_SPACING_MARK -> false;
            // A blank that counts as a letter.
            default -> sign != 0x3164 && sign != 0x115f && sign != 0x1160 && sign != 0xffa0 && sign != 0x2800;
        };
    }
}
