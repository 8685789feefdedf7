package rosinedpeg.web.platform;

import static java.nio.charset.StandardCharsets.UTF_16;
import static java.nio.charset.StandardCharsets.UTF_8;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.util.Optional;

/** Files of plain text, as programs in different countries write them. */
public final class TextFile {

    private static final Charset WESTERN = Charset.forName("windows-1252");

    private TextFile() {}

    /**
     * The text of a file.
     *
     * @param bytes the file
     * @return its text; empty where it is none
     */
    public static Optional<String> of(byte[] bytes) {
        boolean wide = bytes.length > 1
                && (bytes[0] == (byte) 0xfe && bytes[1] == (byte) 0xff
                        || bytes[0] == (byte) 0xff && bytes[1] == (byte) 0xfe);
        String text;
        try {
            text = (wide ? UTF_16 : UTF_8)
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException notUnicode) {
            text = new String(bytes, WESTERN);
        }
        // Programs put marks between the letters that nobody sees, the first of a file among them.
        String plain = Signs.withoutMarks(text);
        return plain.isBlank() || plain.chars().anyMatch(TextFile::isOfNoText) ? Optional.empty() : Optional.of(plain);
    }

    private static boolean isOfNoText(int character) {
        return character < ' ' && character != '\n' && character != '\r' && character != '\t' || character == 0xfffd;
    }
}
