package rosinedpeg.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.ui.Model;

/** What a page shows is one record; what is typed into it another. */
class PagesAreRecordsTest {

    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("rosinedpeg.web");

    /** Beside the page stands only the form it asks to be filled in, and what an answer changes for the whole page. */
    private static final Pattern ADDED =
            Pattern.compile("addAttribute\\(\\s*\"(?!form\"|noticed\"|lengths\"|fitted\")(\\w+)");

    @Test
    void nothingIsAddedToAPageBesideItsRecord() throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            List<String> added = files.filter(file -> file.toString().endsWith("Controller.java"))
                    .flatMap(file -> ADDED.matcher(read(file)).results().map(found -> file + ": " + found.group(1)))
                    .toList();
            assertThat(added).isEmpty();
        }
    }

    @Test
    void nothingIsReadBackOutOfTheModel() {
        noClasses()
                .should()
                .callMethod(Model.class, "getAttribute", String.class)
                .orShould()
                .callMethod(Model.class, "asMap")
                .orShould()
                .callMethod(Model.class, "containsAttribute", String.class)
                .check(CLASSES);
    }

    @Test
    void formsAndPagesAreRecords() {
        // The choices of a plan are completed while it is worked out, and are shown as they were completed.
        classes()
                .that()
                .haveSimpleNameEndingWith("Form")
                .and()
                .resideOutsideOfPackage("..plan..")
                .or()
                .haveSimpleNameEndingWith("Page")
                .and()
                .doNotHaveSimpleName("Page")
                .and()
                .doNotHaveSimpleName("ListPage")
                .should()
                .beRecords()
                .check(CLASSES);
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException unreadable) {
            throw new IllegalStateException(file.toString(), unreadable);
        }
    }
}
