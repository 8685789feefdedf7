package rosinedpeg.web.sound;

import static java.util.Objects.requireNonNull;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.sound.Said;
import rosinedpeg.core.sound.SoundAsked;
import rosinedpeg.core.sound.SoundPlaces;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.instrument.PastStrings;
import rosinedpeg.web.instrument.Played;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.KeptWhileItHolds;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.settling.SettlingString;
import rosinedpeg.web.settling.Settlings;

/** What players say of how strings sound, and of which they are asked. */
@Service
@Transactional(readOnly = true)
public class Sounds {

    /** No string settles later than this, and none is asked about longer than it is remembered new. */
    private static final Duration ASKED_UNTIL = Settlings.SETTLED_AFTER.plus(SoundAsked.WHILE_NEW);

    /** More strings are not looked at for a list of those that are asked about. */
    private static final int MOST_ASKED = 200;
    /** More of what was said of one instrument is not read. */
    private static final int MOST_HEARD = 400;

    /** So much of where kinds stand is kept, in numbers of eight bytes. */
    private static final int KEPT_NUMBERS = 4_000_000;

    private final SoundRepository sounds;
    private final PastStrings pastStrings;
    private final StringKinds kinds;
    private final Settlings settlings;
    private final Clock clock;
    private final KeptWhileItHolds<OnInstrument, Map<SoundScale, SoundPlaces<UUID>>> kept = new KeptWhileItHolds<>(
            KEPT_NUMBERS,
            places ->
                    1 + places.values().stream().mapToInt(SoundPlaces::numbers).sum());

    /** Some kinds of string, and the instrument on which it is asked where they stand. */
    private record OnInstrument(Set<UUID> kindIds, UUID instrumentId) {}

    Sounds(SoundRepository sounds, PastStrings pastStrings, StringKinds kinds, Settlings settlings, Clock clock) {
        this.sounds = sounds;
        this.pastStrings = pastStrings;
        this.kinds = kinds;
        this.settlings = settlings;
        this.clock = clock;
    }

    /** {@return the strings of an instrument of which it is asked how they sound: those that are on, I first, then those that came off} */
    List<Asked> asked(UUID instrumentId) {
        Instant now = clock.instant();
        return asked(on(instrumentId, now), off(instrumentId, now), now);
    }

    /** {@return of how many that is} */
    public int howManyAsked(UUID instrumentId) {
        Instant now = clock.instant();
        return askedOn(on(instrumentId, now), now).size()
                + off(instrumentId, now).size();
    }

    private List<UUID> on(UUID instrumentId, Instant now) {
        return sounds.unheardOn(instrumentId, now.minus(ASKED_UNTIL), now.minus(SoundAsked.MELLOWS));
    }

    private List<UUID> off(UUID instrumentId, Instant now) {
        return off(sounds.unheardOff(instrumentId, now.minus(SoundAsked.AFTER_OFF)), now);
    }

    private static List<UUID> off(List<SoundRepository.Off> off, Instant now) {
        return off.stream()
                .filter(one -> SoundAsked.afterOff(Optional.ofNullable(one.fittedAt()), one.removedAt(), now))
                .map(SoundRepository.Off::id)
                .toList();
    }

    /** {@return the same of every instrument on the rack, those asked about longest first, no more than some} */
    List<Asked> asked() {
        Instant now = clock.instant();
        Limit most = Limit.of(MOST_ASKED);
        return asked(
                sounds.unheardOn(now.minus(ASKED_UNTIL), now.minus(SoundAsked.MELLOWS), most),
                off(sounds.unheardOff(now.minus(SoundAsked.AFTER_OFF), most), now),
                now);
    }

    private List<Asked> asked(List<UUID> on, List<UUID> off, Instant now) {
        List<Asked> asked = new ArrayList<>(askedOn(on, now));
        asked.addAll(askedOff(off));
        return asked;
    }

    private List<Asked> askedOn(List<UUID> fittedIds, Instant now) {
        if (fittedIds.isEmpty()) {
            return List.of();
        }
        Map<UUID, SettlingString> strings = settlings.get(fittedIds);
        List<Asked> asked = new ArrayList<>();
        for (UUID fittedId : fittedIds) {
            SettlingString string = strings.get(fittedId);
            if (string != null) {
                Instant steady = string.steadyAt(Steadiness.CONCERT);
                if (SoundAsked.whileOn(string.fittedAt(), steady, now)) {
                    asked.add(new Asked(
                            new Question(fittedId, SoundMoment.ON),
                            string.instrument().id(),
                            string.instrument().name(),
                            string.string().position(),
                            string.string().kind(),
                            SoundAsked.from(string.fittedAt(), steady)));
                }
            }
        }
        return asked;
    }

    private List<Asked> askedOff(List<UUID> fittedIds) {
        if (fittedIds.isEmpty()) {
            return List.of();
        }
        Map<UUID, OldString> old = pastStrings.off(fittedIds);
        return fittedIds.stream()
                .map(fittedId -> requireNonNull(old.get(fittedId)))
                .map(string -> new Asked(
                        new Question(string.fittedId(), SoundMoment.CAME_OFF),
                        string.instrumentId(),
                        string.instrument(),
                        string.position(),
                        string.kind(),
                        string.removedAt()))
                .toList();
    }

    /**
     * Keeps what somebody says of strings of an instrument, or that they do not want to say anything.
     *
     * @param instrumentId the instrument
     * @param press the press that this is; sent twice it is kept once
     * @param at when it is said
     * @param said what is said of each
     * @throws NotFoundException when one of the strings is not, or never was, on that instrument
     */
    @Transactional
    public void say(UUID instrumentId, UUID press, Instant at, Map<Question, InWords> said) {
        Map<UUID, Played> played = pastStrings.played(
                said.keySet().stream().map(Question::fittedId).collect(Collectors.toSet()), at);
        List<SoundEntity> rows = new ArrayList<>();
        said.forEach((question, inWords) -> {
            Played string = of(instrumentId, question, played);
            UUID id = ofPress(press, question);
            if (!sounds.existsById(id)) {
                rows.add(new SoundEntity(id, question, inWords, string, at, CurrentWorkshop.person()));
            }
        });
        sounds.saveAllAndFlush(rows);
    }

    /** One press says something of several strings; each of them has an id of its own that follows from both. */
    private static UUID ofPress(UUID press, Question question) {
        return UUID.nameUUIDFromBytes(
                (press + " " + question.fittedId() + " " + question.moment()).getBytes(StandardCharsets.UTF_8));
    }

    /** Says which of the strings it is about is not, or never was, on that instrument. */
    private static Played of(UUID instrumentId, Question question, Map<UUID, Played> played) {
        return Optional.ofNullable(played.get(question.fittedId()))
                .filter(string -> string.instrumentId().equals(instrumentId))
                .filter(string -> string.on() == (question.moment() == SoundMoment.ON))
                .orElseThrow(() ->
                        new NotFoundException("string " + question.fittedId() + " of instrument " + instrumentId));
    }

    /**
     * Takes back what was said.
     *
     * @param instrumentId on which instrument it was said
     * @param id what was said
     * @param by only what that person said; of anybody where it is empty
     * @throws NotFoundException when nobody said that there, or somebody else did
     */
    @Transactional
    void takeBack(UUID instrumentId, UUID id, Optional<UUID> by) {
        SoundEntity said = sounds.findById(id)
                .filter(one -> by.isEmpty() || by.get().equals(one.saidBy()))
                .filter(one -> heard(instrumentId).stream()
                        .anyMatch(heard -> heard.id().equals(one.id())))
                .orElseThrow(() -> new NotFoundException("what was said, " + id));
        sounds.delete(said);
    }

    /** {@return what was said of an instrument's strings, the latest first} */
    public List<Heard> heard(UUID instrumentId) {
        List<SoundRepository.OfString> said = sounds.onInstrument(instrumentId, Limit.of(MOST_HEARD));
        return heard(
                said,
                kinds.some(said.stream().map(SoundRepository.OfString::kindId).collect(Collectors.toSet())));
    }

    /** {@return the same of some kinds, by their ids} */
    public List<Heard> heard(UUID instrumentId, Map<UUID, StringKind> ofKinds) {
        return heard(sounds.onInstrument(instrumentId, Limit.of(MOST_HEARD)), ofKinds);
    }

    private static List<Heard> heard(List<SoundRepository.OfString> said, Map<UUID, StringKind> ofKinds) {
        return said.stream()
                .flatMap(one -> Optional.ofNullable(ofKinds.get(one.kindId())).map(kind -> heard(one, kind)).stream())
                .toList();
    }

    /** {@return what was said of strings of a kind, or the part of it that fits on a page, the latest first} */
    ListPage<Heard> heardOf(StringKind kind, int from) {
        return ListPage.of(sounds.ofKind(kind.id(), ListPage.after(from)))
                .flatMap(one -> Optional.of(heard(one, kind)));
    }

    private static Heard heard(SoundRepository.OfString one, StringKind kind) {
        SoundEntity said = one.said();
        Instant until = said.moment() == SoundMoment.CAME_OFF ? one.removedAt() : said.saidAt();
        return new Heard(
                said.id(),
                one.instrumentId(),
                one.position(),
                kind,
                said.moment(),
                said.saidAt(),
                said.saidBy(),
                Optional.ofNullable(said.hoursPlayed()),
                one.fittedAt() == null || until == null
                        ? Optional.empty()
                        : Optional.of(Math.max(
                                0, Duration.between(one.fittedAt(), until).toDays())),
                new InWords(said.places(), said.note()));
    }

    /**
     * Where kinds of string for one place stand on each scale, on one instrument, by all that was said of them while they were on.
     *
     * @param kindIds the kinds
     * @param instrumentId the instrument
     * @return those, by what they are said on
     */
    public Map<SoundScale, SoundPlaces<UUID>> places(Collection<UUID> kindIds, UUID instrumentId) {
        UUID[] ids = kindIds.toArray(UUID[]::new);
        return kept.get(
                new OnInstrument(Set.copyOf(kindIds), instrumentId),
                () -> sounds.editions(ids),
                () -> places(sounds.of(ids), instrumentId));
    }

    private static Map<SoundScale, SoundPlaces<UUID>> places(List<SoundRepository.OfKind> said, UUID instrumentId) {
        Map<SoundScale, SoundPlaces<UUID>> places = new EnumMap<>(SoundScale.class);
        for (SoundScale scale : SoundScale.values()) {
            List<Said<UUID, UUID>> onScale = new ArrayList<>();
            for (SoundRepository.OfKind one : said) {
                Short place = one.place(scale);
                if (place != null) {
                    onScale.add(new Said<>(one.kindId(), one.instrumentId(), place));
                }
            }
            places.put(scale, SoundPlaces.of(onScale, instrumentId));
        }
        return Collections.unmodifiableMap(places);
    }

    /** {@return what was said, by the place on the instrument} */
    static Map<Position, List<Heard>> byPlace(List<Heard> heard) {
        return heard.stream()
                .sorted(Comparator.comparing(Heard::position))
                .collect(Collectors.groupingBy(Heard::position, LinkedHashMap::new, Collectors.toList()));
    }
}
