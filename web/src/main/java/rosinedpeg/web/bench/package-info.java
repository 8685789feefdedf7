/**
 * Runs: one change of strings each, or other work, led step by step and kept as a ledger. {@link
 * rosinedpeg.web.bench.Benches} takes presses and folds the ledger; {@code BenchPages} puts together what is shown of a run,
 * {@code RunClosing} makes what it came to part of the instrument's record, {@code KeptForms} keeps plans in a form that
 * later releases can read.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "platform",
            "instrument",
            "kinds",
            "drawer",
            "drawing",
            "listen",
            "findings",
            "working",
            "aftercare"
        })
@NullMarked
package rosinedpeg.web.bench;

import org.jspecify.annotations.NullMarked;
