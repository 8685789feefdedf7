package rosinedpeg.core.working;

import java.util.List;

/**
 * Everything that figures of one sort can rest on.
 *
 * @param <G> the sort itself
 */
public interface Grounds<G extends Grounds<G>> {

    /** {@return every number that a figure of this sort could rest on} */
    List<Ingredient<G>> ingredients();
}
