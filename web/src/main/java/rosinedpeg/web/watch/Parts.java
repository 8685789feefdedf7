package rosinedpeg.web.watch;

import static java.util.stream.Collectors.joining;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the application is made of, as the build wrote it down: one list of Maven's packages, one of npm's. */
@Component
class Parts {

    /** In the form of CycloneDX; both lie in the jar. */
    static final List<String> LISTS = List.of("META-INF/sbom/application.cdx.json", "META-INF/sbom/front-end.cdx.json");

    private static final String OF_OUR_OWN = "rosinedpeg";

    private final JsonMapper json;

    Parts(JsonMapper json) {
        this.json = json;
    }

    /** {@return whether the build wrote both lists; one without a network leaves out that of Maven's packages} */
    boolean whole() {
        return LISTS.stream().allMatch(list -> new ClassPathResource(list).exists());
    }

    /** {@return every part that the build wrote down, by its name} */
    List<Part> all() {
        List<Part> parts = new ArrayList<>();
        for (String list : LISTS) {
            ClassPathResource written = new ClassPathResource(list);
            if (!written.exists()) {
                continue;
            }
            try (InputStream file = written.getInputStream()) {
                for (JsonNode component : json.readTree(file).path("components")) {
                    if (!component.path("group").asString("").equals(OF_OUR_OWN)) {
                        parts.add(part(component));
                    }
                }
            } catch (IOException unreadable) {
                throw new UncheckedIOException(list, unreadable);
            }
        }
        parts.sort(Comparator.comparing(Part::name, String.CASE_INSENSITIVE_ORDER));
        return parts;
    }

    private static Part part(JsonNode component) {
        String group = component.path("group").asString("");
        String name = component.path("name").asString("");
        String licence = component
                .path("licenses")
                .valueStream()
                .map(one -> Stream.of(
                                one.path("expression"),
                                one.path("license").path("id"),
                                one.path("license").path("name"))
                        .map(said -> said.asString(""))
                        .filter(said -> !said.isEmpty())
                        .findFirst()
                        .orElse(""))
                .filter(said -> !said.isEmpty())
                .collect(joining(" or "));
        return new Part(
                group.isEmpty() ? name : group + ":" + name,
                component.path("version").asString(""),
                licence);
    }
}
