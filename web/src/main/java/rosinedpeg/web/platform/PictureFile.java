package rosinedpeg.web.platform;

import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.web.multipart.MultipartFile;

/** Files that are to be pictures. */
public final class PictureFile {

    /** As the database has it. */
    private static final int LARGEST_BYTES = 4_000_000;

    private static final int MOST_PIXELS_ACROSS = 6000;
    private static final Set<String> FORMATS = Set.of("jpeg", "png");

    private PictureFile() {}

    /** {@return whether a file is a JPEG or a PNG picture of a bearable size, and which; empty where it is none} */
    public static Optional<String> format(MultipartFile file) {
        if (file.getSize() > LARGEST_BYTES) {
            return Optional.empty();
        }
        try (ImageInputStream stream = ImageIO.createImageInputStream(file.getInputStream())) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
            if (!readers.hasNext()) {
                return Optional.empty();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(stream);
                String format = reader.getFormatName().toLowerCase(Locale.ROOT);
                boolean fits = Math.max(reader.getWidth(0), reader.getHeight(0)) <= MOST_PIXELS_ACROSS;
                return fits && FORMATS.contains(format) ? Optional.of(format) : Optional.empty();
            } finally {
                reader.dispose();
            }
        } catch (IOException notAPicture) {
            return Optional.empty();
        }
    }
}
