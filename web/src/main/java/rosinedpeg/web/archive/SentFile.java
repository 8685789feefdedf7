package rosinedpeg.web.archive;

import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.web.multipart.MultipartFile;

/** Files on their way out and in. They lie on the server's disk for no longer than that takes. */
final class SentFile {

    private SentFile() {}

    /** Writes a file. */
    interface Writing {
        void to(OutputStream file) throws IOException;
    }

    /** {@return a file as it was written, which whoever asked for it removes} */
    static Path written(Writing writing) {
        try {
            Path file = Files.createTempFile("rosined-peg-written", "");
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
                writing.to(out);
            } catch (IOException | RuntimeException unwritten) {
                Files.deleteIfExists(file);
                throw unwritten;
            }
            return file;
        } catch (IOException unwritten) {
            throw new UncheckedIOException(unwritten);
        }
    }

    /** Sends a file and removes it. */
    static void send(Path file, String mediaType, String savedAs, HttpServletResponse response) throws IOException {
        try {
            response.setContentType(mediaType);
            response.setHeader(HttpHeaders.CONTENT_DISPOSITION, savedAs);
            response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
            response.setContentLengthLong(Files.size(file));
            Files.copy(file, response.getOutputStream());
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /**
     * Reads a file that was sent.
     *
     * @param sent what was sent
     * @param reading what is to be made of it
     * @return what was made of it; empty where nothing was sent
     * @throws UnreadableArchiveException when it cannot be read
     */
    static <T> Optional<T> read(@Nullable MultipartFile sent, Function<Path, T> reading) throws IOException {
        if (sent == null || sent.isEmpty()) {
            return Optional.empty();
        }
        Path file = Files.createTempFile("rosined-peg-sent", "");
        try {
            sent.transferTo(file);
            return Optional.of(reading.apply(file));
        } finally {
            Files.deleteIfExists(file);
        }
    }
}
