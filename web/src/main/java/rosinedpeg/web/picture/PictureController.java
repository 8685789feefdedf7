package rosinedpeg.web.picture;

import java.time.Duration;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;

/** Shows the picture of an instrument. Where it stands on a page, its address says when it was kept, so that it can stay there. */
@Controller
class PictureController {

    private static final Duration STAYS = Duration.ofDays(7);

    private final InstrumentPictures pictures;

    PictureController(InstrumentPictures pictures) {
        this.pictures = pictures;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/picture.jpg")
    ResponseEntity<byte[]> picture(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.maxAge(STAYS).cachePrivate())
                .body(pictures.of(id).orElseThrow(() -> new NotFoundException("picture of instrument " + id)));
    }
}
