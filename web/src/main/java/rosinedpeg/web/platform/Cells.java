package rosinedpeg.web.platform;

import static java.nio.charset.StandardCharsets.UTF_8;

import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Cells of a table that a spreadsheet opens. */
public final class Cells {

    /** A cell that begins with one of these is a formula to a spreadsheet. */
    private static final String FORMULA = "=+-@\t\r";

    /** What tells spreadsheets that a table is in Unicode. */
    public static final String UNICODE = "\ufeff";

    private Cells() {}

    /** {@return a cell that no spreadsheet takes for a formula} */
    public static String harmless(String cell) {
        return !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    /**
     * {@return the answer to a request for a table; a mark at its front tells spreadsheets that it is in Unicode}
     *
     * @param called what the file is called
     * @param table the table
     */
    public static ResponseEntity<byte[]> answer(String called, String table) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, Paper.saved(called, "csv"))
                .body((UNICODE + table).getBytes(UTF_8));
    }

    /** {@return what a cell said before it was made harmless} */
    public static String asTyped(String cell) {
        String text = cell.strip();
        return text.length() > 1 && text.charAt(0) == '\'' && FORMULA.indexOf(text.charAt(1)) >= 0
                ? text.substring(1)
                : text;
    }
}
