package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.modulith.ApplicationModule;
import org.springframework.modulith.core.ApplicationModules;

/** Modules speak by their doors, along the dependencies they declare; and no door is wider than somebody needs. */
class ModulesTest {

    private static final ApplicationModules MODULES = ApplicationModules.of(RosinedPegApplication.class);

    @Test
    void keepToTheirDeclaredDependencies() {
        MODULES.verify();
    }

    @ParameterizedTest
    @MethodSource("modules")
    void declareNoDependencyThatTheyDoNotUse(String name) throws ClassNotFoundException {
        var module = MODULES.getModuleByName(name).orElseThrow();
        String place = module.getBasePackage().getName();
        Set<String> declared = Set.of(Class.forName(place + ".package-info")
                .getAnnotation(ApplicationModule.class)
                .allowedDependencies());
        Set<String> used = module.getDirectDependencies(MODULES)
                .uniqueModules()
                .map(other -> other.getIdentifier().toString())
                .collect(Collectors.toSet());
        assertThat(declared).containsExactlyInAnyOrderElementsOf(used);
    }

    /** A type is public only if another module uses it, or has to name it to use the one that opens it. */
    @ParameterizedTest
    @MethodSource("modules")
    void openNoTypeThatNoOtherUses(String name) {
        var module = MODULES.getModuleByName(name).orElseThrow();
        Set<String> unused = new TreeSet<>();
        Iterable<JavaClass> types = module.getBasePackage().getClasses();
        for (JavaClass type : types) {
            boolean used = type.getDirectDependenciesToSelf().stream()
                    .anyMatch(dependency -> !module.contains(dependency.getOriginClass())
                            || isNamedByADoor(type, dependency.getOriginClass()));
            if (type.isTopLevelClass()
                    && type.getModifiers().contains(JavaModifier.PUBLIC)
                    && !used
                    && !isFoundAsAService(type)) {
                unused.add(type.getSimpleName());
            }
        }
        assertThat(unused).isEmpty();
    }

    private static boolean isFoundAsAService(JavaClass type) {
        return type.getRawInterfaces().stream()
                .flatMap(service -> ServiceLoader.load(service.reflect()).stream())
                .anyMatch(provider -> provider.type().getName().equals(type.getName()));
    }

    /** The compiler asks after null only where a package says so. */
    @ParameterizedTest
    @MethodSource("packages")
    void sayWhatMayBeNull(String name) throws ClassNotFoundException {
        assertThat(Class.forName(name + ".package-info")).hasAnnotation(NullMarked.class);
    }

    static Stream<String> packages() {
        return new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("rosinedpeg").stream()
                        .map(JavaClass::getPackageName)
                        .distinct();
    }

    private static boolean isNamedByADoor(JavaClass type, JavaClass door) {
        return !door.equals(type)
                && door.getModifiers().contains(JavaModifier.PUBLIC)
                && door.getMethods().stream()
                        .filter(method -> method.getModifiers().contains(JavaModifier.PUBLIC))
                        .anyMatch(method -> method.getAllInvolvedRawTypes().contains(type));
    }

    static Stream<String> modules() {
        return MODULES.stream().map(module -> module.getIdentifier().toString());
    }
}
