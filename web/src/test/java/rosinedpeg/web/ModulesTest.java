package rosinedpeg.web;

import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

/** Modules speak by their doors, along the dependencies they declare. */
class ModulesTest {

    @Test
    void keepToTheirDeclaredDependencies() {
        ApplicationModules.of(RosinedPegApplication.class).verify();
    }
}
