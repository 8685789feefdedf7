package rosinedpeg.web.platform;

import java.io.IOException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** A table that somebody sends as a file: its text, or the sentence that says why it has none. */
@Component
public class SentTable {

    private final Words words;

    SentTable(Words words) {
        this.words = words;
    }

    /**
     * What was sent.
     *
     * @param text its text; empty where it cannot be read
     * @param wrong why, in words; empty where it can
     */
    public record Sent(Optional<String> text, Optional<String> wrong) {}

    /**
     * Reads a file.
     *
     * @param file what was sent; null where nothing was
     * @param largestBytes how large it may be
     * @return what was sent
     */
    public Sent read(@Nullable MultipartFile file, int largestBytes) throws IOException {
        if (file == null || file.isEmpty()) {
            return wrong("table.empty");
        }
        if (file.getSize() > largestBytes) {
            return wrong("table.large", largestBytes / 1000);
        }
        Optional<String> text = TextFile.of(file.getBytes());
        return text.isEmpty() ? wrong("table.noText") : new Sent(text, Optional.empty());
    }

    /** {@return a refusal in words} */
    public String say(TextTable.Refusal refusal) {
        return words.say(refusal.why(), refusal.told().toArray());
    }

    private Sent wrong(String why, Object... told) {
        return new Sent(Optional.empty(), Optional.of(words.say(why, told)));
    }
}
