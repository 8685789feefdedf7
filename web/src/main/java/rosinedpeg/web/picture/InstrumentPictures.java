package rosinedpeg.web.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.PictureFile;

/**
 * The pictures of the instruments, one of each. They are drawn anew when they come, so that they are small, stand upright, and
 * carry nothing of where and with what they were taken.
 */
@Service
@Transactional(readOnly = true)
public class InstrumentPictures {

    /** The longer side of a picture as it is kept. */
    private static final int LONGER_SIDE_PX = 1400;

    private static final int QUALITY_PERCENT = 82;

    private final InstrumentPictureRepository pictures;
    private final Clock clock;

    InstrumentPictures(InstrumentPictureRepository pictures, Clock clock) {
        this.pictures = pictures;
        this.clock = clock;
    }

    /** {@return when an instrument's picture was kept; empty where it has none} */
    public Optional<Instant> keptAt(UUID instrument) {
        return pictures.keptAt(instrument);
    }

    /** {@return an instrument's picture, a JPEG; empty where it has none} */
    public Optional<byte[]> of(UUID instrument) {
        return pictures.findByInstrumentId(instrument).map(InstrumentPictureEntity::picture);
    }

    /**
     * Keeps a picture in the place of the one before.
     *
     * @return whether it was one
     */
    @Transactional
    public boolean keep(UUID instrument, MultipartFile file) {
        if (PictureFile.format(file).isEmpty()) {
            return false;
        }
        try {
            ByteArrayOutputStream drawn = new ByteArrayOutputStream();
            Thumbnails.of(file.getInputStream())
                    .size(LONGER_SIDE_PX, LONGER_SIDE_PX)
                    .imageType(BufferedImage.TYPE_INT_RGB)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY_PERCENT / 100f)
                    .toOutputStream(drawn);
            pictures.save(new InstrumentPictureEntity(
                    instrument, drawn.toByteArray(), clock.instant(), CurrentWorkshop.person()));
            return true;
        } catch (IOException | IllegalArgumentException broken) {
            return false;
        }
    }

    /** Takes an instrument's picture away. */
    @Transactional
    public void remove(UUID instrument) {
        pictures.deleteById(instrument);
    }
}
