/** The rack: every instrument and the next thing to do with it. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "instrument",
            "drawer",
            "bench",
            "settling",
            "diary",
            "drawing",
            "measure",
            "findings",
            "working",
            "aftercare"
        })
package rosinedpeg.web.rack;
