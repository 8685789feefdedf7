package rosinedpeg.web.platform;

import java.util.Arrays;
import java.util.Map;
import rosinedpeg.core.plan.StepFigure;

/** Names that are kept on record, and what goes by another name by now. */
public final class KeptNames {

    /** By type, the old name and the present one. A name that is given up is never given to anything else. */
    private static final Map<Class<?>, Map<String, String>> FORMER =
            Map.of(StepFigure.class, Map.of("PAST_SHAFT", "BEND"));

    private KeptNames() {}

    /**
     * What a kept name stands for.
     *
     * @param type what is named
     * @param name as it was kept
     * @return the constant
     * @throws IllegalArgumentException when there is none of that name, and never was
     */
    public static <E extends Enum<E>> E of(Class<E> type, String name) {
        String present = FORMER.getOrDefault(type, Map.of()).getOrDefault(name, name);
        return Arrays.stream(type.getEnumConstants())
                .filter(constant -> constant.name().equals(present))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "name is " + name + "; no " + type.getSimpleName() + " is called so"));
    }
}
