/** Runs: one change of strings each, led step by step and kept as a ledger. */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "instrument",
            "drawer",
            "drawing",
            "listen",
            "findings",
            "working",
            "aftercare"
        })
package rosinedpeg.web.bench;
