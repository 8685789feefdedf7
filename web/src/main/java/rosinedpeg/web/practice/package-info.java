/**
 * The practice peg: an instrument that cannot be hurt. {@code Practices} keeps what somebody does to it as a ledger, {@code PracticeController}
 * shows what that came to, {@code Lessons} knows how far people have come. What happens is worked out in {@link rosinedpeg.core.simulation}, how it sounds in {@link rosinedpeg.core.tone}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "account", "instrument", "drawing", "listen"})
@NullMarked
package rosinedpeg.web.practice;

import org.jspecify.annotations.NullMarked;
