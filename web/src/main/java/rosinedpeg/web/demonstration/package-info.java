/**
 * Lantern Quay, the made-up workshop that the demonstration shows. It is made through the same doors that people use, so
 * that it can have nothing a person's own workshop could not.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "account",
            "kinds",
            "drawer",
            "buying",
            "instrument",
            "bench",
            "settling",
            "sound",
            "occasions",
            "pegs",
            "findings",
            "aftercare",
            "week",
            "lend",
            "practice",
            "listen",
            "trueness",
            "players"
        })
@NullMarked
package rosinedpeg.web.demonstration;

import org.jspecify.annotations.NullMarked;
