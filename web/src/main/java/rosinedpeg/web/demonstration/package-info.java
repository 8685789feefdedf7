/** Lantern Quay, the made-up workshop that the demonstration shows. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "account",
            "drawer",
            "instrument",
            "bench",
            "settling",
            "diary",
            "pegs",
            "findings",
            "aftercare"
        })
package rosinedpeg.web.demonstration;
