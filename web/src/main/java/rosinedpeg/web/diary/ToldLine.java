package rosinedpeg.web.diary;

import org.jspecify.annotations.Nullable;

/**
 * What follows for an instrument as a line in words. Four weeks have hundreds of them: each is worded once, before the page is laid
 * out.
 *
 * @param address where it is seen to
 * @param instrument what the instrument is called
 * @param what what it concerns; empty where that says itself
 * @param says until when and what for
 * @param working where it is shown how that came about; null where it rests on nothing but a record
 */
record ToldLine(
        String address,
        String instrument,
        String what,
        String says,
        @Nullable String working) {}
