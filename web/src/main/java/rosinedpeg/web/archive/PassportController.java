package rosinedpeg.web.archive;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.unit.DataSize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.picture.InstrumentPictures;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Paper;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.Words;

/** An instrument's passport: on one sheet, and as a file that goes with it; and its picture, which stands on both. */
@Controller
class PassportController {

    private final Instruments instruments;
    private final InstrumentPictures pictures;
    private final Passports passports;
    private final PassportSheet sheet;
    private final Words words;
    private final DataSize largest;

    PassportController(
            Instruments instruments,
            InstrumentPictures pictures,
            Passports passports,
            PassportSheet sheet,
            Words words,
            @Value("${peg.archive.largest}") DataSize largest) {
        this.instruments = instruments;
        this.pictures = pictures;
        this.passports = passports;
        this.sheet = sheet;
        this.words = words;
        this.largest = largest;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/passport")
    String show(@PathVariable UUID id, Model model) {
        return show(id, Optional.empty(), model);
    }

    private String show(UUID id, Optional<String> wrong, Model model) {
        Page.lay(new PassportPage(instruments.get(id), pictures.keptAt(id), wrong), model);
        return "archive/passport";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/passport.pdf")
    ResponseEntity<byte[]> print(@PathVariable UUID id, @AuthenticationPrincipal SignedIn account) {
        Instrument instrument = instruments.get(id);
        return Paper.answer(
                words.say("passport.file", instrument.name()), sheet.of(instrument, account.workshopName()));
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/{id}/passport.json")
    void write(@PathVariable UUID id, @AuthenticationPrincipal SignedIn account, HttpServletResponse response)
            throws IOException {
        SentFile.send(
                passports.write(account.workshopId(), account.workshopName(), id),
                "application/json",
                Paper.saved(words.say("passport.file", instruments.get(id).name()), "json"),
                response);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/passport/picture")
    String keepPicture(
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable MultipartFile picture,
            Model model,
            RedirectAttributes redirect) {
        instruments.require(id);
        if (picture == null || !pictures.keep(id, picture)) {
            return show(id, Optional.of(words.say("passport.picture.wrong")), model);
        }
        redirect.addFlashAttribute("notice", "passport.picture.kept");
        return "redirect:/instruments/" + id + "/passport";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/passport/picture/remove")
    String removePicture(@PathVariable UUID id, RedirectAttributes redirect) {
        instruments.require(id);
        pictures.remove(id);
        redirect.addFlashAttribute("notice", "passport.picture.removed");
        return "redirect:/instruments/" + id + "/passport";
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/passport")
    String ask(Model model) {
        return ask(Optional.empty(), model);
    }

    private String ask(Optional<String> wrong, Model model) {
        Page.lay(new ArrivalPage(UUID.randomUUID(), largest.toMegabytes(), wrong), model);
        return "archive/arrival";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/passport")
    String take(
            @RequestParam(required = false) @Nullable MultipartFile file,
            @RequestParam(defaultValue = "") String press,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect)
            throws IOException {
        try {
            Optional<UUID> id =
                    SentFile.read(file, sent -> passports.take(account.workshopId(), sent, Entry.press(press)));
            if (id.isEmpty()) {
                return ask(Optional.of(words.say("archive.wrong.none")), model);
            }
            redirect.addFlashAttribute("notice", "passport.taken");
            return "redirect:/instruments/" + id.get();
        } catch (UnreadableArchiveException wrong) {
            return ask(Optional.of(words.say(wrong.key(), wrong.told())), model);
        }
    }

    /**
     * The page of an instrument's passport.
     *
     * @param instrument the instrument
     * @param pictured when its picture was kept; empty where it has none
     * @param wrong what was wrong with the picture that was sent
     */
    record PassportPage(Instrument instrument, Optional<Instant> pictured, Optional<String> wrong) {}

    /**
     * The page that asks for the passport of an instrument that comes.
     *
     * @param press the press of its button
     * @param largestMegabytes how large it may be
     * @param wrong what was wrong with the one that was sent
     */
    record ArrivalPage(UUID press, long largestMegabytes, Optional<String> wrong) {}
}
