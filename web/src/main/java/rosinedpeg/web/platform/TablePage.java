package rosinedpeg.web.platform;

import java.util.List;
import java.util.Optional;

/**
 * The page that asks for a table.
 *
 * @param of what its words begin with in the bundle, and which room it is of
 * @param address where the room is
 * @param columns what can stand in it
 * @param rules what it has to keep to
 * @param wrong what was wrong with the one that was sent
 */
public record TablePage(
        String of, String address, List<? extends TableColumn> columns, TableRules rules, Optional<String> wrong) {

    /** {@return how large it may be} */
    public int largestKilobytes() {
        return rules.largestBytes() / 1000;
    }

    /** {@return how many rows it may have} */
    public int mostRows() {
        return rules.mostRows();
    }
}
