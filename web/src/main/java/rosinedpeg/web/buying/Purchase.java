package rosinedpeg.web.buying;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.web.kinds.Price;

/**
 * An order.
 *
 * @param id its id
 * @param supplier who it goes to, if that was said
 * @param leadDays days until it is there
 * @param writtenAt when it was written
 * @param writtenBy by whom
 * @param sentOn when it was sent, if it was
 * @param lines what is ordered
 * @param version how often it has been changed
 */
record Purchase(
        UUID id,
        Optional<Supplier> supplier,
        int leadDays,
        Instant writtenAt,
        UUID writtenBy,
        Optional<LocalDate> sentOn,
        List<Line> lines,
        int version) {

    /**
     * One kind of string in it.
     *
     * @param number its place, from 1
     * @param kindId the kind
     * @param strings how many
     * @param arrived how many of them are in
     * @param givenUp how many do not come any more
     * @param price what one costs, if that is known
     */
    record Line(int number, UUID kindId, int strings, int arrived, int givenUp, Optional<Price> price) {

        /** {@return how many are still to come} */
        public int toCome() {
            return strings - arrived - givenUp;
        }

        /** {@return what all of them cost, if that is known} */
        public Optional<Price> sum() {
            return price.map(each -> each.times(strings));
        }
    }

    /** How far an order has come. */
    enum State {
        WRITTEN,
        SENT,
        PARTLY_IN,
        IN
    }

    /** {@return how far it has come} */
    public State state() {
        if (lines.stream().allMatch(line -> line.toCome() == 0)) {
            return State.IN;
        }
        if (lines.stream().anyMatch(line -> line.arrived() > 0)) {
            return State.PARTLY_IN;
        }
        return sentOn.isPresent() ? State.SENT : State.WRITTEN;
    }

    /** {@return how many strings it is for} */
    public int strings() {
        return lines.stream().mapToInt(Line::strings).sum();
    }

    /** {@return the day it is to be there, if it is sent on that day or was sent before} */
    public LocalDate comesOn(LocalDate today) {
        return sentOn.orElse(today).plusDays(leadDays);
    }

    /** {@return what it costs in each currency, as far as prices are known} */
    public List<Price> sums() {
        return Price.sums(lines.stream().flatMap(line -> line.sum().stream()).toList());
    }

    /** {@return whether what some of it costs is not known} */
    public boolean someUnpriced() {
        return lines.stream().anyMatch(line -> line.price().isEmpty());
    }
}
