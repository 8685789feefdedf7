package rosinedpeg.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The core stays a library that a stranger could use alone. */
class ArchitectureTest {

    private final JavaClasses core = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("rosinedpeg.core");

    @Test
    void dependsOnTheJdkAndTheNumericalLibraryAlone() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("rosinedpeg.core..", "java..", "org.hipparchus..", "org.jspecify..")
                .check(core);
    }

    @Test
    void packagesFormNoCycle() {
        slices().matching("rosinedpeg.core.(*)..").should().beFreeOfCycles().check(core);
    }
}
