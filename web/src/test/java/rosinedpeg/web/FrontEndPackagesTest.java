package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.semver4j.Semver;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The packages the styles and typefaces are made from run on what a fresh Debian machine has. */
class FrontEndPackagesTest {

    private static final String DEBIAN_12_NODE = "18.20.4";

    private final JsonNode packages = JsonMapper.shared()
            .readTree(Path.of("src/main/frontend/package-lock.json").toFile())
            .get("packages");

    @Test
    void runOnDebiansNode() {
        assertThat(packages.properties())
                .hasSizeGreaterThan(30)
                .filteredOn(entry -> entry.getValue().at("/engines/node").isString())
                .isNotEmpty()
                .allSatisfy(entry -> assertThat(new Semver(DEBIAN_12_NODE)
                                .satisfies(entry.getValue().at("/engines/node").asString()))
                        .as(
                                "%s asks for Node.js %s",
                                entry.getKey(), entry.getValue().at("/engines/node"))
                        .isTrue());
    }

    @Test
    void areNamedWithoutTheAddressTheyWereDownloadedFrom() {
        assertThat(packages.properties()).extracting(Map.Entry::getValue).noneMatch(entry -> entry.has("resolved"));
    }
}
