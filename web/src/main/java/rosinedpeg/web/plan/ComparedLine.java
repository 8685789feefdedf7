package rosinedpeg.web.plan;

/**
 * A way of working as a line in words.
 *
 * @param off how many strings are off at a time
 * @param begins where it begins; several where they come to the same
 * @param mine whether it is the chosen one
 * @param order its order, as II III I IV
 * @param style how its least load is marked
 * @param least its least load on the treble foot, with its unit, or that it is refused
 * @param leastWorking where the working of that is
 * @param setAsides how many strings are set aside
 * @param minutes how long it usually takes, with its unit
 * @param minutesWorking where the working of that is
 */
record ComparedLine(
        String off,
        String begins,
        boolean mine,
        String order,
        String style,
        String least,
        String leastWorking,
        long setAsides,
        String minutes,
        String minutesWorking) {}
