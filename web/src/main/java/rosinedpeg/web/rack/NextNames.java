package rosinedpeg.web.rack;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Names for more of the same: the numbers after the first one's, as in Pit 3 violin or Quarter violin 3. */
final class NextNames {

    /** The last number in a name, with what stands round it. */
    private static final Pattern NUMBERED = Pattern.compile("(?<before>.*?)(?<number>\\d{1,6})(?<behind>\\D*)");

    private NextNames() {}

    /**
     * The next names.
     *
     * @param first the name to go on from; without a number in it, it counts as the first
     * @param count how many
     * @param longest how many characters a name may have; the words before the number are cut to make room for it
     * @param taken what names cannot be used, so that their numbers are passed over
     * @return that many, all different
     */
    static List<String> after(String first, int count, int longest, Predicate<String> taken) {
        Matcher numbered = NUMBERED.matcher(first);
        boolean goesOn = numbered.matches();
        String before = goesOn ? numbered.group("before") : first + " ";
        String behind = goesOn ? numbered.group("behind") : "";
        int number = goesOn ? Integer.parseInt(numbered.group("number")) : 1;
        List<String> names = new ArrayList<>();
        while (names.size() < count) {
            number++;
            String end = number + behind;
            String name = before.substring(0, Math.max(0, Math.min(before.length(), longest - end.length()))) + end;
            if (!taken.test(name)) {
                names.add(name);
            }
        }
        return names;
    }
}
