package rosinedpeg.web.platform;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/**
 * What a device keeps, so that the bench opens on it without a connection: the script that works in front of the pages, the card by which
 * a tablet puts it among its programs, and the page that says that there is no connection. Nothing of it is anybody's.
 */
@Controller
class DeviceController {

    /** Where they stand: a worker works in front of what lies below its own address. */
    static final String[] PATHS = {"/worker.js", "/manifest.webmanifest", "/without-connection"};

    @OpenToStrangers
    @GetMapping("/worker.js")
    ResponseEntity<Resource> worker() {
        return kept("worker.js", "text/javascript");
    }

    @OpenToStrangers
    @GetMapping("/manifest.webmanifest")
    ResponseEntity<Resource> manifest() {
        return kept("manifest.webmanifest", "application/manifest+json");
    }

    /** A device asks for it every time whether it has changed. */
    private static ResponseEntity<Resource> kept(String file, String type) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .contentType(MediaType.parseMediaType(type))
                .body(new ClassPathResource("static/device/" + file));
    }

    @OpenToStrangers
    @GetMapping("/without-connection")
    String withoutConnection() {
        return "without-connection";
    }
}
