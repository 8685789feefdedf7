package rosinedpeg.web.plan;

import java.util.List;

/**
 * A step of a plan as a line in words. A plan has up to a hundred of them: each is worded once, before the page is laid out,
 * for a template that works out every word of every line takes most of the page's time.
 *
 * @param number which step it is, from 1
 * @param title what is to be done
 * @param cautions what can hurt somebody or the instrument there, in a word or two
 * @param minutes how long it usually takes, with its unit
 * @param treble what is left on the treble foot after it, with its unit
 * @param trebleWorking where the working of that is
 * @param band what that means for the post
 * @param bass what is left on the bass foot, with its unit
 * @param bassWorking where the working of that is
 */
record StepLine(
        int number,
        String title,
        List<String> cautions,
        String minutes,
        String treble,
        String trebleWorking,
        String band,
        String bass,
        String bassWorking) {}
