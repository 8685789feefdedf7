/**
 * Records that leave the workshop and come into another: the whole of it as one archive, one instrument as its passport. What
 * stands in either is asked of the database's own schema ({@code ArchiveLayout}), so that nothing is forgotten; {@code Rows} writes
 * it, {@code Taking} reads it. The form is told in {@code docs/archive.md}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "account", "instrument", "kinds", "drawer", "drawing", "findings", "picture"
        })
@NullMarked
package rosinedpeg.web.archive;

import org.jspecify.annotations.NullMarked;
