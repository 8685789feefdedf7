package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchLedger;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.PictureLine;
import rosinedpeg.core.choosing.Limit;
import rosinedpeg.core.choosing.Option;
import rosinedpeg.core.choosing.Ranked;
import rosinedpeg.core.choosing.Towards;
import rosinedpeg.core.choosing.Wish;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.OutOfRangeException;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.Ear;
import rosinedpeg.core.hearing.RecordedTuning;
import rosinedpeg.core.hearing.Ringing;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.sound.Said;
import rosinedpeg.core.sound.SoundPlaces;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.StringMake;
import rosinedpeg.core.working.CollarGrounds;
import rosinedpeg.core.working.TuningGrounds;

/**
 * Every public method and constructor of the core is called with one argument at a time replaced by what is not a number,
 * infinite, negative or missing. It has to say which parameter is wrong, or come to a sound result; it must never answer with
 * what is not a number itself.
 *
 * <p>Arguments that are right are found on their own: records give their components, the rest is tried from samples that the
 * examples lead to.
 */
class ArgumentsTest {

    private static final Instant AT = Instant.parse("2026-09-01T18:00:00Z");
    private static final List<Double> NUMBERS =
            List.of(1.0, 0.3, 10.0, 100.0, 330.0, 0.0, 3.0, 1000.0, 0.0005, 20_000.0);

    private final Set<Class<?>> classes = new LinkedHashSet<>();
    private final Map<Class<?>, List<Object>> samples = new HashMap<>();
    private final Set<String> uncalled = new TreeSet<>();
    private final Set<String> silent = new TreeSet<>();
    private int calls;

    @BeforeEach
    void gatherSamples() throws ReflectiveOperationException {
        for (JavaClass found : new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("rosinedpeg.core")) {
            if (found.getModifiers().contains(JavaModifier.PUBLIC)) {
                classes.add(found.reflect());
            }
        }
        gather();
    }

    @Test
    void noArgumentThatIsWrongIsTakenInSilence() throws ReflectiveOperationException {
        List<Executable> executables = new ArrayList<>();
        for (Class<?> type : classes) {
            Arrays.stream(type.getDeclaredConstructors())
                    .filter(one -> Modifier.isPublic(one.getModifiers()))
                    .forEach(executables::add);
            Arrays.stream(type.getDeclaredMethods())
                    .filter(one -> Modifier.isPublic(one.getModifiers()) && !one.isSynthetic() && !one.isBridge())
                    .filter(one ->
                            !one.getName().equals("equals") && !one.getName().equals("valueOf"))
                    .forEach(executables::add);
        }
        executables.sort(Comparator.comparing(ArgumentsTest::named));
        for (Executable executable : executables) {
            String name = executable.getDeclaringClass().getSimpleName() + "." + executable.getName();
            if (executable.getParameterCount() > 0
                    && !ANSWERS_FOR_ANY.contains(name)
                    && !Modifier.isAbstract(executable.getDeclaringClass().getModifiers()
                            & (executable instanceof Constructor ? -1 : 0))) {
                tryAll(executable);
            }
        }
        assertThat(uncalled).as("nothing stays untried").isEmpty();
        assertThat(calls).isGreaterThan(1000);
        assertThat(silent).as("%d calls", calls).isEmpty();
    }

    private static String named(Executable executable) {
        return executable.getDeclaringClass().getName().replace("rosinedpeg.core.", "") + "."
                + executable.getName().replaceAll(".*\\.", "") + Arrays.toString(executable.getParameterTypes());
    }

    private void tryAll(Executable executable) throws ReflectiveOperationException {
        Object[] right = rightArguments(executable);
        if (right == null) {
            uncalled.add(named(executable));
            return;
        }
        Object target = right[right.length - 1];
        Object[] arguments = Arrays.copyOf(right, right.length - 1);
        Parameter[] parameters = executable.getParameters();
        for (int i = 0; i < parameters.length; i++) {
            for (Object wrong : wrong(parameters[i].getParameterizedType(), arguments[i])) {
                Object[] changed = arguments.clone();
                changed[i] = wrong;
                String call = named(executable) + " with " + parameters[i].getName() + " = " + wrong;
                boolean mustRefuse = !(wrong instanceof Double number && Double.isFinite(number))
                        && !(wrong instanceof Integer)
                        && !(wrong instanceof Long);
                calls++;
                try {
                    Object result = call(executable, target, changed);
                    if (mustRefuse && !mayBeMissing(parameters[i], wrong)) {
                        silent.add(call + " gives " + brief(result));
                    } else if (holdsNoNumber(result, 0)) {
                        silent.add(call + " gives what is no number: " + brief(result));
                    }
                } catch (InvocationTargetException refused) {
                    Throwable why = refused.getCause();
                    boolean named = why.getMessage() != null && why.getMessage().contains(parameters[i].getName());
                    boolean kind = why instanceof IllegalArgumentException || why instanceof NullPointerException;
                    if (!kind || mustRefuse && wrong != null && !named) {
                        silent.add(call + " is refused with " + why);
                    }
                }
            }
        }
    }

    /** What a plan or a state hands out is not changed behind its back. */
    @Test
    void noCollectionThatIsHandedOutCanBeChanged() throws ReflectiveOperationException {
        Set<String> changeable = new TreeSet<>();
        for (Map.Entry<Class<?>, List<Object>> ofType : samples.entrySet()) {
            for (Object sample : ofType.getValue()) {
                for (Method method : ofType.getKey().getMethods()) {
                    if (method.getParameterCount() == 0
                            && method.getDeclaringClass().getName().startsWith("rosinedpeg.core")
                            && canBeEmptied(handedOut(method, sample))) {
                        changeable.add(named(method));
                    }
                }
            }
        }
        assertThat(changeable).isEmpty();
    }

    /** What does not follow from the figures of a sample is not handed out at all. */
    private static Object handedOut(Method method, Object sample) throws IllegalAccessException {
        try {
            return method.invoke(sample);
        } catch (InvocationTargetException refused) {
            assertThat(refused.getCause()).as(named(method)).isInstanceOf(OutOfRangeException.class);
            return null;
        }
    }

    private static boolean canBeEmptied(Object many) {
        try {
            if (many instanceof Map<?, ?> map && !map.isEmpty()) {
                map.clear();
                return true;
            }
            if (many instanceof Collection<?> collection && !collection.isEmpty()) {
                collection.clear();
                return true;
            }
            return false;
        } catch (UnsupportedOperationException asItShould) {
            return false;
        }
    }

    private static String brief(Object result) {
        String text = String.valueOf(result);
        return text.length() > 120 ? text.substring(0, 120) : text;
    }

    /** What the Javadoc says may be missing. */
    private static boolean mayBeMissing(Parameter parameter, Object wrong) {
        return wrong == null && MAY_BE_MISSING.contains(named(parameter));
    }

    private static String named(Parameter parameter) {
        return parameter.getDeclaringExecutable().getDeclaringClass().getSimpleName() + "." + parameter.getName();
    }

    private static final Set<String> MAY_BE_MISSING = Set.of(
            "ChangePlan.kind",
            "ChangePlan.owed",
            "ChangePlan.tensionsAtStartN",
            "Clearance.other",
            "Condition.bridgeLookedAtOn",
            "Condition.newestStringOn",
            "Condition.pegWood",
            "Finding.position",
            "Measurable.position",
            "Mishap.place",
            "Mishap.position",
            "NextRound.raised",
            "PracticeString.lock",
            "Bridge.evening",
            "Schools.evening",
            "SetUp.pegKind",
            "SetUp.pegSides",
            "Step.position",
            "Other.position",
            "TuningGrounds.asked");

    /** What answers for every number there is, or names it as its caller does. */
    private static final Set<String> ANSWERS_FOR_ANY =
            Set.of("Range.contains", "Range.require", "Finite.requireFinite");

    private static List<Object> wrong(Type type, Object right) {
        List<Object> wrong = new ArrayList<>();
        if (type == double.class) {
            wrong.addAll(List.of(Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, -12_345.678));
        } else if (type == int.class) {
            wrong.add(-12_345);
        } else if (type == long.class) {
            wrong.add(-12_345L);
        } else if (type != boolean.class) {
            wrong.add(null);
            Object holding = withNoNumber(right);
            if (holding != null) {
                wrong.add(holding);
            }
        }
        return wrong;
    }

    /** A map or list of numbers with one of them replaced. */
    private static Object withNoNumber(Object right) {
        if (right instanceof Map<?, ?> map
                && !map.isEmpty()
                && map.values().iterator().next() instanceof Double) {
            Map<Object, Object> copy = new LinkedHashMap<>(map);
            copy.put(copy.keySet().iterator().next(), Double.NaN);
            return copy;
        }
        if (right instanceof List<?> list && !list.isEmpty() && list.get(0) instanceof Double) {
            List<Object> copy = new ArrayList<>(list);
            copy.set(0, Double.NaN);
            return copy;
        }
        return null;
    }

    private static Object call(Executable executable, Object target, Object[] arguments)
            throws ReflectiveOperationException {
        executable.setAccessible(true);
        return executable instanceof Constructor<?> constructor
                ? constructor.newInstance(arguments)
                : ((Method) executable).invoke(target, arguments);
    }

    private static boolean holdsNoNumber(Object result, int depth) throws ReflectiveOperationException {
        if (result instanceof Double number) {
            return !Double.isFinite(number);
        }
        if (depth > 4 || result == null) {
            return false;
        }
        if (result instanceof OptionalDouble optional) {
            return optional.isPresent() && !Double.isFinite(optional.getAsDouble());
        }
        if (result instanceof Optional<?> optional) {
            return optional.isPresent() && holdsNoNumber(optional.get(), depth + 1);
        }
        if (result instanceof Map<?, ?> map) {
            return holdsNoNumber(map.values(), depth + 1);
        }
        if (result instanceof Collection<?> many) {
            for (Object one : many) {
                if (holdsNoNumber(one, depth + 1)) {
                    return true;
                }
            }
            return false;
        }
        if (result instanceof Record) {
            for (RecordComponent component : result.getClass().getRecordComponents()) {
                component.getAccessor().setAccessible(true);
                if (holdsNoNumber(component.getAccessor().invoke(result), depth + 1)) {
                    return true;
                }
            }
        }
        return false;
    }

    // --- arguments that are right ---------------------------------------------------------------------------------

    /** The arguments of a call that succeeds, and the object it is made on as the last. */
    private Object[] rightArguments(Executable executable) throws ReflectiveOperationException {
        Class<?> owner = executable.getDeclaringClass();
        if (executable instanceof Constructor
                && owner.isRecord()
                && executable.getParameterCount() == owner.getRecordComponents().length) {
            for (Object sample : samples.getOrDefault(owner, List.of())) {
                RecordComponent[] components = owner.getRecordComponents();
                Object[] arguments = new Object[components.length + 1];
                for (int i = 0; i < components.length; i++) {
                    components[i].getAccessor().setAccessible(true);
                    arguments[i] = components[i].getAccessor().invoke(sample);
                }
                return arguments;
            }
        }
        boolean onObject = executable instanceof Method method && !Modifier.isStatic(method.getModifiers());
        List<Object> targets = new ArrayList<>();
        if (onObject && owner.isEnum()) {
            targets.addAll(List.of(owner.getEnumConstants()));
        } else if (onObject) {
            classes.stream()
                    .filter(owner::isAssignableFrom)
                    .forEach(type -> targets.addAll(samples.getOrDefault(type, List.of())));
        } else {
            targets.add(null);
        }
        List<List<Object>> choices = new ArrayList<>();
        for (Parameter parameter : executable.getParameters()) {
            choices.add(candidates(parameter.getParameterizedType()));
        }
        if (choices.stream().anyMatch(List::isEmpty)) {
            return null;
        }
        for (Object target : targets) {
            Object[] found = tryChoices(executable, target, choices);
            if (found != null) {
                return found;
            }
        }
        return null;
    }

    private Object[] tryChoices(Executable executable, Object target, List<List<Object>> choices)
            throws ReflectiveOperationException {
        int[] at = new int[choices.size()];
        for (int tries = 0; tries < 6000; tries++) {
            Object[] arguments = new Object[choices.size() + 1];
            for (int i = 0; i < at.length; i++) {
                arguments[i] = choices.get(i).get(at[i]);
            }
            arguments[at.length] = target;
            try {
                call(executable, target, Arrays.copyOf(arguments, at.length));
                return arguments;
            } catch (InvocationTargetException refused) {
                int i = 0;
                while (i < at.length && ++at[i] == choices.get(i).size()) {
                    at[i++] = 0;
                }
                if (i == at.length) {
                    return null;
                }
            }
        }
        return null;
    }

    private List<Object> candidates(Type type) {
        if (type == double.class || type == Double.class) {
            return new ArrayList<>(NUMBERS);
        }
        if (type == int.class || type == Integer.class) {
            return List.of(1, 0, 2, 60);
        }
        if (type == long.class || type == Long.class) {
            return List.of(1L, 0L);
        }
        if (type == boolean.class || type == Boolean.class) {
            return List.of(true, false);
        }
        if (type == String.class) {
            return List.of("A4", "4/4", "VIBRATING_LENGTH", "9:00-12:30");
        }
        if (type == DoubleBinaryOperator.class) {
            DoubleBinaryOperator hill = (one, other) -> -(one * one + other * other);
            return List.of(hill);
        }
        if (type == ZoneId.class) {
            return List.of(ZoneOffset.UTC);
        }
        if (type == Instant.class) {
            return List.of(AT);
        }
        if (type == Duration.class) {
            return List.of(Duration.ofMinutes(1));
        }
        if (type == LocalDate.class) {
            return List.of(LocalDate.of(2026, 9, 1), LocalDate.of(2026, 9, 20));
        }
        if (type instanceof Class<?> raw) {
            if (raw.isEnum()) {
                return List.of(raw.getEnumConstants());
            }
            if (raw.isArray()) {
                List<Object> arrays = new ArrayList<>();
                arrays.add(Array.newInstance(raw.getComponentType(), 0));
                return arrays;
            }
            List<Object> found = new ArrayList<>();
            classes.stream()
                    .filter(raw::isAssignableFrom)
                    .forEach(one -> found.addAll(
                            one.isEnum() ? List.of(one.getEnumConstants()) : samples.getOrDefault(one, List.of())));
            return found;
        }
        if (type instanceof ParameterizedType generic) {
            return candidates(generic);
        }
        if (type instanceof java.lang.reflect.WildcardType wild) {
            return candidates(wild.getUpperBounds()[0]);
        }
        if (type instanceof java.lang.reflect.TypeVariable<?> of) {
            return candidates(of.getBounds()[0]);
        }
        return List.of();
    }

    private List<Object> candidates(ParameterizedType type) {
        Class<?> raw = (Class<?>) type.getRawType();
        Type[] of = type.getActualTypeArguments();
        List<Object> found = new ArrayList<>();
        if (raw == Optional.class) {
            candidates(of[0]).stream().findFirst().ifPresent(one -> found.add(Optional.of(one)));
            found.add(Optional.empty());
        } else if (raw == Map.class) {
            if (of[0] == Position.class) {
                samples.getOrDefault(Map.class, List.of()).stream()
                        .filter(map -> fits((Map<?, ?>) map, of[1]))
                        .forEach(found::add);
                for (Object one : candidates(of[1])) {
                    Map<Position, Object> map = new EnumMap<>(Position.class);
                    Arrays.stream(Position.values()).limit(4).forEach(position -> map.put(position, one));
                    found.add(map);
                }
            } else {
                List<Object> keys = candidates(of[0]);
                List<Object> values = candidates(of[1]);
                if (!keys.isEmpty() && !values.isEmpty()) {
                    found.add(Map.of(keys.get(0), values.get(0)));
                }
            }
            found.add(Map.of());
        } else if (raw == SortedMap.class) {
            TreeMap<Object, Object> sorted = new TreeMap<>();
            sorted.put(candidates(of[0]).get(0), candidates(of[1]).get(0));
            found.add(sorted);
        } else if (raw == List.class || raw == Collection.class) {
            List<Object> ones = candidates(of[0]);
            for (int many = 1; many <= 5 && many <= ones.size(); many++) {
                found.add(List.copyOf(ones.subList(0, many)));
            }
            ones.forEach(one -> found.add(List.of(one)));
            found.add(List.of());
        } else if (raw == Set.class) {
            candidates(of[0]).forEach(one -> found.add(Set.of(one)));
            found.add(Set.of());
        } else if (raw.getName().startsWith("rosinedpeg.core")) {
            found.addAll(candidates((Type) raw));
        }
        return found;
    }

    private static boolean fits(Map<?, ?> map, Type values) {
        return !map.isEmpty()
                && map.keySet().iterator().next() instanceof Position
                && values instanceof Class<?> type
                && type.isInstance(map.values().iterator().next());
    }

    /** Everything the examples lead to, by following components and methods without parameters. */
    private void gather() throws ReflectiveOperationException {
        Deque<Object> open = new ArrayDeque<>();
        ChangePlan plan = Examples.plan(Position.II, Position.III);
        List<BenchEvent> ledger = new ArrayList<>();
        plan.steps().stream()
                .takeWhile(step -> step.kind() != StepKind.TUNING_ROUND)
                .forEach(step -> ledger.add(new BenchEvent.StepDone(ledger.size() + 1L, AT, step.index())));
        ledger.add(new BenchEvent.GapRead(ledger.size() + 1L, AT, 0.2));
        ledger.add(new BenchEvent.PitchRead(ledger.size() + 1L, AT, Position.II, -20));
        open.add(plan);
        open.add(ledger);
        open.add(BenchLedger.fold(plan, ledger));
        open.add(Examples.violinSet());
        open.add(Examples.VIOLIN);
        open.add(Examples.PACKET);
        open.add(new StringMake(StringCore.SYNTHETIC, Winding.SILVER, 50, 0.8, 1500));
        open.add(plan.tensionsAfterN());
        open.addAll(Arrays.asList(Family.values()));
        open.add(BridgeCurve.of(Examples.VIOLIN));
        open.add(new PictureLine(0, 0, 100, 0));
        open.add(new PictureLine(50, 0, 50, 80));
        SetUp crowded = Examples.VIOLIN.measured(Map.of(
                Measurable.of(Quantity.PEGBOX_WIDTH_AT_NUT), 12.0, Measurable.of(Quantity.PEGBOX_WIDTH_AT_END), 9.0));
        open.add(new StrungPegbox(crowded, Examples.violinSet(), Map.of()).touches());
        open.add(new TuningGrounds(
                Examples.VIOLIN,
                Examples.violinSet(),
                plan.thinnest().tensionsAfterN(),
                Figure.byDefault(0.0015, Unit.MILLIMETRE_PER_NEWTON),
                Optional.of(Position.II),
                Optional.of(Position.I)));
        LocalDate day = LocalDate.of(2026, 9, 1);
        open.add(new CollarGrounds(
                List.of(new Collar(day.minusYears(2), 5), new Collar(day, 3)), Optional.of(PegWood.EBONY), day));
        open.add(Examples.request(Schools.USUAL, Set.of(Position.III), Map.of()));
        Option<String> option = new Option<>("kind", 60, 40, OptionalDouble.of(300), OptionalDouble.of(20));
        Map<SoundScale, SoundPlaces<String>> places = Map.of(
                SoundScale.DARK_BRIGHT, SoundPlaces.of(List.of(new Said<>("kind", "instrument", 1)), "instrument"));
        Wish wish = new Wish(Map.of(SoundScale.DARK_BRIGHT, Towards.FIRST_A_LITTLE), EnumSet.allOf(Limit.class));
        open.add(places);
        open.add(Ranked.of(wish, option, List.of(option), places));
        open.add(new Ringing(1e-4, 1, 8));
        open.add(new RecordedTuning(Awaited.open(Examples.VIOLIN), 44_100));
        open.add(new Ear(Awaited.open(Examples.VIOLIN), 44_100));
        explore(open);
        for (int round = 0; round < 6; round++) {
            for (Class<?> type : classes) {
                if (!samples.containsKey(type) && !type.isEnum() && !type.isInterface()) {
                    made(type).ifPresent(open::add);
                }
            }
            explore(open);
        }
    }

    /** An object of a type that nothing led to, from a factory or constructor that takes what is there. */
    private Optional<Object> made(Class<?> type) throws ReflectiveOperationException {
        List<Executable> ways = new ArrayList<>();
        for (Class<?> other : classes) {
            Arrays.stream(other.getDeclaredMethods())
                    .filter(one -> Modifier.isPublic(one.getModifiers()))
                    .filter(one -> one.getReturnType() == type)
                    .forEach(ways::add);
        }
        Arrays.stream(type.getDeclaredConstructors())
                .filter(one -> Modifier.isPublic(one.getModifiers()))
                .forEach(ways::add);
        for (Executable way : ways) {
            Object[] right = rightArguments(way);
            if (right != null) {
                return Optional.ofNullable(call(way, right[right.length - 1], Arrays.copyOf(right, right.length - 1)));
            }
        }
        return Optional.empty();
    }

    private void explore(Deque<Object> open) throws ReflectiveOperationException {
        Set<Object> seen = new HashSet<>();
        while (!open.isEmpty()) {
            Object one = open.remove();
            if (one instanceof Map<?, ?> map) {
                samples.computeIfAbsent(Map.class, key -> new ArrayList<>()).add(map);
                open.addAll(map.keySet());
                open.addAll(map.values());
            } else if (one instanceof Collection<?> many) {
                open.addAll(many);
            } else if (one instanceof Optional<?> optional) {
                optional.ifPresent(open::add);
            }
            if (!one.getClass().getName().startsWith("rosinedpeg.core") || !seen.add(one)) {
                continue;
            }
            Class<?> type = one instanceof Enum<?> constant ? constant.getDeclaringClass() : one.getClass();
            List<Object> ofType = samples.computeIfAbsent(type, key -> new ArrayList<>());
            if (ofType.size() >= 6 || ofType.contains(one)) {
                continue;
            }
            ofType.add(one);
            for (Method method : type.getMethods()) {
                if (method.getParameterCount() == 0
                        && !Modifier.isStatic(method.getModifiers())
                        && method.getDeclaringClass().getName().startsWith("rosinedpeg.core")) {
                    try {
                        Object next = method.invoke(one);
                        if (next != null) {
                            open.add(next);
                        }
                    } catch (InvocationTargetException | IllegalAccessException notForThisOne) {
                        // Another sample of the type will do.
                    }
                }
            }
        }
    }
}
