package rosinedpeg.web.practice;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.QuickChange;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.Entry;

/**
 * What somebody wants to practise on, as typed.
 *
 * @param press the press
 * @param of whether it is a copy of one of the rack, or one of some size
 * @param size family and size
 * @param leftHanded whether it is mirrored
 * @param instrument which one is copied
 * @param lesson the lesson that is begun, if one is
 * @param change the string that is changed against the clock, if one is
 */
record BeginForm(
        String press,
        String of,
        String size,
        Boolean leftHanded,
        String instrument,
        @Nullable Lesson lesson,
        @Nullable Position change) {

    private static final String COPY = "COPY";
    private static final String USUAL = "VIOLIN 4/4";

    /** What is not sent is empty. */
    BeginForm {
        press = press == null || press.isBlank() ? UUID.randomUUID().toString() : press;
        of = Entry.orEmpty(of);
        size = Entry.orEmpty(size);
        leftHanded = Boolean.TRUE.equals(leftHanded);
        instrument = Entry.orEmpty(instrument);
    }

    /** {@return a form with what somebody practised on last, or a full-size violin} */
    static BeginForm blank(Optional<Practices.LastOn> last) {
        String press = UUID.randomUUID().toString();
        if (last.isEmpty()) {
            return new BeginForm(press, "", USUAL, false, "", null, null);
        }
        SetUp setUp = last.get().setUp();
        return new BeginForm(
                press,
                last.get().copy() ? COPY : "",
                setUp.family() + " " + setUp.size().code(),
                setUp.leftHanded(),
                last.get().copy() ? last.get().name() : "",
                null,
                null);
    }

    public boolean copies() {
        return of.equals(COPY);
    }

    Task task() {
        return new Task(Optional.ofNullable(lesson), Optional.ofNullable(change).map(QuickChange::new));
    }

    /** {@return the id of what is begun so: pressed twice it is one, another button of the same page begins another} */
    UUID id() {
        return UUID.nameUUIDFromBytes(toString().getBytes(StandardCharsets.UTF_8));
    }
}
