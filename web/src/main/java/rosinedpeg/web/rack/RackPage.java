package rosinedpeg.web.rack;

import java.util.List;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.platform.ListPage;

/**
 * The rack, or the part of it that fits on a page.
 *
 * @param part the instruments, what most wants hands first
 * @param find the part of a name that they were looked for by; empty when all are shown
 * @param all how many instruments there are, shown or not
 * @param searchable whether those are so many that one is looked for by its name
 * @param wantHands how many of them want hands
 * @param retired how many have left the rack
 * @param occasions what the strings have to be ready for, soonest first
 */
record RackPage(
        ListPage<RackEntry> part,
        String find,
        int all,
        boolean searchable,
        int wantHands,
        int retired,
        List<Occasion> occasions) {}
