/** The picture of an instrument: {@code InstrumentPictures} keeps one of each, small enough for every page it is shown on. */
@org.springframework.modulith.ApplicationModule(allowedDependencies = "platform")
@NullMarked
package rosinedpeg.web.picture;

import org.jspecify.annotations.NullMarked;
