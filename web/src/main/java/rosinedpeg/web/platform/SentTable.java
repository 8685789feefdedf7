package rosinedpeg.web.platform;

import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Tables that people send as files: one that can be read waits to be shown before it is taken in. */
@Component
public class SentTable {

    private final WaitingFiles waiting;
    private final Words words;

    SentTable(WaitingFiles waiting, Words words) {
        this.waiting = waiting;
        this.words = words;
    }

    /**
     * What became of a table.
     *
     * @param waits where it waits; empty where it cannot be read
     * @param wrong why, in words; empty where it can
     */
    public record Kept(Optional<UUID> waits, Optional<String> wrong) {}

    /**
     * Keeps a table that can be read.
     *
     * @param file what was sent; null where nothing was
     * @param rules what it has to keep to
     * @return what became of it
     */
    public Kept keep(@Nullable MultipartFile file, TableRules rules) throws IOException {
        if (file == null || file.isEmpty()) {
            return wrong("table.empty");
        }
        if (file.getSize() > rules.largestBytes()) {
            return wrong("table.large", rules.largestBytes() / 1000);
        }
        Optional<String> text = TextFile.of(file.getBytes());
        if (text.isEmpty()) {
            return wrong("table.noText");
        }
        Optional<TextTable.Refusal> refused =
                TextTable.read(text.get(), rules.mostRows()).refusal(rules);
        return refused.map(refusal -> wrong(refusal.why(), refusal.told().toArray()))
                .orElseGet(() -> new Kept(Optional.of(waiting.keep(rules.purpose(), text.get())), Optional.empty()));
    }

    private Kept wrong(String why, Object... told) {
        return new Kept(Optional.empty(), Optional.of(words.say(why, told)));
    }
}
