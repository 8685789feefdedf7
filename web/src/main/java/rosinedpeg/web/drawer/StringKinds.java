package rosinedpeg.web.drawer;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/** The kinds of string of the workshop. */
@Service
@Transactional(readOnly = true)
public class StringKinds {

    private final StringKindRepository kinds;

    StringKinds(StringKindRepository kinds) {
        this.kinds = kinds;
    }

    /** {@return every kind, by its id} */
    public Map<UUID, StringKind> all() {
        return kinds.findAll().stream()
                .map(StringKindEntity::view)
                .collect(Collectors.toMap(StringKind::id, Function.identity()));
    }

    /** {@return the kinds for a family, in the order they are offered} */
    public List<StringKind> of(Family family) {
        return kinds.findByFamilyOrderByMakerAscLineAscDesignLengthMmDesc(family).stream()
                .map(StringKindEntity::view)
                .toList();
    }

    /** {@return the kinds for one place on the instruments of a family, in the order they are offered} */
    public List<StringKind> of(Family family, Position position) {
        return of(family).stream()
                .filter(kind -> kind.spec().position() == position)
                .toList();
    }

    /** Adds a kind. */
    @Transactional
    public StringKind add(String maker, String line, Family family, StringSpec spec) {
        return kinds.save(new StringKindEntity(maker, line, family, spec)).view();
    }
}
