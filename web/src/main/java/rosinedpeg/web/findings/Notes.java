package rosinedpeg.web.findings;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.LogEntry;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;

/** What was noticed of the instruments; some of it is work for a repairer, until one has seen to it. */
@Service
@Transactional(readOnly = true)
public class Notes implements LogSource {

    /** A note has at most so many characters. */
    public static final int LONGEST = 500;

    private final Instruments instruments;
    private final NoteRepository notes;
    private final NoteForms forms;
    private final NoteWords words;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Notes(
            Instruments instruments,
            NoteRepository notes,
            NoteForms forms,
            NoteWords words,
            ApplicationEventPublisher events,
            Clock clock) {
        this.instruments = instruments;
        this.notes = notes;
        this.forms = forms;
        this.words = words;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Notes something.
     *
     * @param id the instrument
     * @param note what
     * @param refer whether it is work for a repairer
     * @throws NotFoundException when this workshop has no such instrument
     */
    @Transactional
    public void write(UUID id, Note note, boolean refer) {
        write(id, note, refer, clock.instant());
    }

    /**
     * Notes something that was noticed before.
     *
     * @param id the instrument
     * @param note what
     * @param refer whether it is work for a repairer
     * @param at when it was noticed
     * @throws NotFoundException when this workshop has no such instrument
     */
    @Transactional
    public void write(UUID id, Note note, boolean refer, Instant at) {
        instruments.require(id);
        notes.save(new NoteEntity(id, note, forms, refer, at, CurrentWorkshop.person()));
        if (refer) {
            events.publishEvent(new ReferralChanged(id));
        }
    }

    /**
     * Records that a repairer has seen to it.
     *
     * @throws NotFoundException when the instrument has no such note
     */
    @Transactional
    public void settle(UUID id, UUID noteId) {
        notes.findById(noteId)
                .filter(note -> note.instrumentId().equals(id))
                .orElseThrow(() -> new NotFoundException("note " + noteId))
                .settle(clock.instant());
        events.publishEvent(new ReferralChanged(id));
    }

    /**
     * What somebody wrote.
     *
     * @throws NotFoundException when the instrument has no such note, or the bench wrote it
     */
    Written written(UUID id, UUID noteId) {
        NoteEntity note = mine(id, noteId);
        return new Written(
                noteId,
                note.written().orElseThrow(),
                note.refer(),
                note.recordedAt(),
                note.recordedBy(),
                note.version());
    }

    private NoteEntity asSeen(UUID id, UUID noteId, int seen) {
        NoteEntity note = mine(id, noteId);
        if (note.version() != seen) {
            throw new OptimisticLockingFailureException("note " + noteId + " has been changed meanwhile");
        }
        return note;
    }

    private NoteEntity mine(UUID id, UUID noteId) {
        return notes.findById(noteId)
                .filter(note -> note.instrumentId().equals(id) && note.written().isPresent())
                .orElseThrow(() -> new NotFoundException("note " + noteId));
    }

    /**
     * A note that somebody wrote.
     *
     * @param id its id
     * @param text what it says
     * @param refer whether it is work for a repairer
     * @param at when it was written
     * @param by by whom
     * @param version how often it was changed
     */
    record Written(UUID id, String text, boolean refer, Instant at, UUID by, int version) {}

    /**
     * Puts right what somebody wrote, or whether it is work for a repairer.
     *
     * @param id the instrument
     * @param noteId the note
     * @param seen the {@link Written#version()} that whoever puts it right has seen
     * @param text what it says then
     * @param refer whether it is work for a repairer
     * @throws NotFoundException when the instrument has no such note, or the bench wrote it
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void putRight(UUID id, UUID noteId, int seen, String text, boolean refer) {
        asSeen(id, noteId, seen).become(text, refer);
        notes.flush();
        events.publishEvent(new ReferralChanged(id));
    }

    /**
     * Takes away what somebody wrote.
     *
     * @param id the instrument
     * @param noteId the note
     * @param seen the {@link Written#version()} that whoever takes it away has seen
     * @throws NotFoundException when the instrument has no such note, or the bench wrote it
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     */
    @Transactional
    public void remove(UUID id, UUID noteId, int seen) {
        notes.delete(asSeen(id, noteId, seen));
        notes.flush();
        events.publishEvent(new ReferralChanged(id));
    }

    /** {@return those of some instruments that a repairer has to see} */
    public Set<UUID> referred(Collection<UUID> ids) {
        return notes.referred(ids.toArray(UUID[]::new));
    }

    /** {@return what a repairer has to see to, oldest first, of each of those instruments that has such a note} */
    public Map<UUID, List<Referral>> referrals(Collection<UUID> ids) {
        return notes.findByInstrumentIdInAndReferTrueAndSettledAtIsNullOrderByRecordedAt(ids).stream()
                .collect(Collectors.groupingBy(
                        NoteEntity::instrumentId, Collectors.mapping(this::referral, Collectors.toList())));
    }

    /** {@return what a repairer has to see to on an instrument, oldest first} */
    public List<Referral> referrals(UUID id) {
        return referrals(List.of(id)).getOrDefault(id, List.of());
    }

    private Referral referral(NoteEntity entity) {
        Note note = entity.note(forms);
        return new Referral(entity.id(), note, words.says(note), entity.recordedAt(), entity.recordedBy());
    }

    @Override
    public List<LogEntry> log(UUID id, int newest) {
        List<LogEntry> log = new ArrayList<>();
        for (NoteEntity note : notes.latest(id, Limit.of(newest))) {
            String kind = note.refer() ? "REFERRED" : "NOTED";
            String text = words.says(note.note(forms));
            LogEntry entry = LogEntry.of(note.recordedAt(), kind, null, text, note.recordedBy());
            log.add(note.written().isPresent() ? entry.putRightAt("/notes/" + note.id()) : entry);
            if (note.settledAt() != null) {
                log.add(LogEntry.of(note.settledAt(), "SETTLED", null, text, null));
            }
        }
        return log;
    }
}
