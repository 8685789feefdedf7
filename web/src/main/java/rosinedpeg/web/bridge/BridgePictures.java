package rosinedpeg.web.bridge;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;

/** The pictures of bridges that somebody chose to keep. */
@Service
@Transactional(readOnly = true)
class BridgePictures {

    private static final int MOST_PIXELS_ACROSS = 6000;
    private static final Set<String> FORMATS = Set.of("jpeg", "png");

    private final BridgePictureRepository pictures;
    private final Clock clock;

    BridgePictures(BridgePictureRepository pictures, Clock clock) {
        this.pictures = pictures;
        this.clock = clock;
    }

    /** {@return whether a file really is a JPEG or PNG picture of a bearable size} */
    boolean isPicture(MultipartFile file) {
        return format(file).isPresent();
    }

    @Transactional
    void keep(UUID instrument, MultipartFile file, PictureLines lines, UUID press) {
        if (pictures.existsByPress(press)) {
            return;
        }
        String format = format(file).orElseThrow(() -> new IllegalArgumentException("the file is not a picture"));
        try {
            pictures.save(new BridgePictureEntity(
                    instrument,
                    "image/" + format,
                    file.getBytes(),
                    lines,
                    press,
                    clock.instant(),
                    CurrentWorkshop.recordedBy()));
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    List<BridgePictureRepository.Kept> of(UUID instrument) {
        return pictures.findByInstrumentIdOrderByRecordedAtDesc(instrument);
    }

    BridgePictureEntity get(UUID instrument, UUID picture) {
        return pictures.findById(picture)
                .filter(kept -> kept.instrumentId().equals(instrument))
                .orElseThrow(() -> new NotFoundException("picture " + picture));
    }

    private static Optional<String> format(MultipartFile file) {
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
