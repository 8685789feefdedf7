package rosinedpeg.web.kinds;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.platform.WaitingFiles;

/**
 * Kinds of string that come in a file: first it is shown what each row would do, and then all of them are taken in or none.
 */
@Service
@Transactional
class KindImport {

    private final StringKinds kinds;
    private final WaitingFiles waiting;

    KindImport(StringKinds kinds, WaitingFiles waiting) {
        this.kinds = kinds;
        this.waiting = waiting;
    }

    /** {@return what each row of a file that waits would do; empty when it no longer waits} */
    Optional<Preview> preview(UUID id) {
        return waiting.content(WaitingFiles.Purpose.STRINGS, id).map(content -> preview(KindTable.read(content)));
    }

    private Preview preview(KindTable.Read read) {
        List<Packaged> there =
                kinds.entered().stream().map(KindImport::packaged).toList();
        List<Packaged> fresh = new ArrayList<>();
        List<PreviewRow> rows = new ArrayList<>();
        for (KindTable.Row row : read.rows()) {
            Optional<Packaged> wanted = row.packet().map(TypedPacket::packaged);
            Fate fate = wanted.isEmpty()
                    ? Fate.CANNOT
                    : there.stream().anyMatch(wanted.get()::isSameKind)
                            ? Fate.THERE
                            : fresh.stream().anyMatch(wanted.get()::isSameKind) ? Fate.TWICE : Fate.NEW;
            if (fate == Fate.NEW) {
                fresh.add(wanted.orElseThrow());
            }
            rows.add(new PreviewRow(row, fate));
        }
        return new Preview(rows, read.unread(), fresh);
    }

    private static Packaged packaged(StringKind kind) {
        return new Packaged(
                kind.maker(),
                kind.line(),
                kind.madeFor(),
                kind.spec(),
                kind.note(),
                kind.price().orElse(null),
                kind.life().orElse(null));
    }

    /** {@return how many kinds were added; none where the file no longer waits, empty where a row of it cannot be taken} */
    Optional<Integer> take(UUID id) {
        Optional<Preview> preview = preview(id);
        if (preview.isPresent() && !preview.get().whole()) {
            return Optional.empty();
        }
        preview.ifPresent(there -> {
            kinds.add(there.fresh());
            waiting.taken(id);
        });
        return Optional.of(preview.map(there -> there.fresh().size()).orElse(0));
    }

    /** What becomes of a row. */
    enum Fate {
        NEW,
        /** The workshop has that kind; it stays as it is. */
        THERE,
        /** It stands further up in the file. */
        TWICE,
        /** Something is wrong with it. */
        CANNOT
    }

    /**
     * A row of a file and what becomes of it.
     *
     * @param row the row
     * @param fate what becomes of it
     */
    record PreviewRow(KindTable.Row row, Fate fate) {}

    /**
     * What a file would do.
     *
     * @param rows row by row
     * @param unread headings of columns that are not read
     * @param fresh the kinds it would add
     */
    record Preview(List<PreviewRow> rows, List<String> unread, List<Packaged> fresh) {

        /** {@return whether nothing is wrong with any row} */
        public boolean whole() {
            return rows.stream().noneMatch(row -> row.fate() == Fate.CANNOT);
        }

        /** {@return whether anything stands in that column, or is missing there} */
        public boolean holds(KindTable.Column column) {
            return rows.stream()
                    .map(PreviewRow::row)
                    .anyMatch(row -> !row.cells().getOrDefault(column, "").isEmpty()
                            || row.errors().hasFieldErrors(column.field()));
        }

        /** {@return how many rows come to that} */
        public long count(Fate fate) {
            return rows.stream().filter(row -> row.fate() == fate).count();
        }
    }
}
