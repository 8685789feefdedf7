/**
 * The rack: every instrument and the next thing to do with it; an instrument's own page, its strings, a new instrument.
 * {@code Rack} keeps where each stands until something happens to it. These pages stand above all the others, which is why
 * they are here and not in {@code instrument}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "instrument",
            "kinds",
            "bench",
            "settling",
            "occasions",
            "drawing",
            "measure",
            "findings",
            "working",
            "aftercare",
            "picture",
            "sound",
            "trueness",
            "players"
        })
@NullMarked
package rosinedpeg.web.rack;

import org.jspecify.annotations.NullMarked;
