package rosinedpeg.web.bridge;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.PictureFile;

/** The pictures of bridges that somebody chose to keep. */
@Service
@Transactional(readOnly = true)
class BridgePictures {

    private final BridgePictureRepository pictures;
    private final Clock clock;

    BridgePictures(BridgePictureRepository pictures, Clock clock) {
        this.pictures = pictures;
        this.clock = clock;
    }

    /** {@return whether a file really is a JPEG or PNG picture of a bearable size} */
    boolean isPicture(MultipartFile file) {
        return PictureFile.format(file).isPresent();
    }

    @Transactional
    void keep(UUID instrument, MultipartFile file, PictureLines lines, UUID press) {
        if (pictures.existsByPress(press)) {
            return;
        }
        String format =
                PictureFile.format(file).orElseThrow(() -> new IllegalArgumentException("the file is not a picture"));
        try {
            pictures.save(new BridgePictureEntity(
                    instrument,
                    "image/" + format,
                    file.getBytes(),
                    lines,
                    press,
                    clock.instant(),
                    CurrentWorkshop.person()));
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    @Transactional
    void remove(UUID instrument, UUID picture) {
        pictures.delete(get(instrument, picture));
    }

    List<BridgePictureRepository.Kept> of(UUID instrument) {
        return pictures.findByInstrumentIdOrderByRecordedAtDesc(instrument);
    }

    BridgePictureEntity get(UUID instrument, UUID picture) {
        return pictures.findById(picture)
                .filter(kept -> kept.instrumentId().equals(instrument))
                .orElseThrow(() -> new NotFoundException("picture " + picture));
    }
}
