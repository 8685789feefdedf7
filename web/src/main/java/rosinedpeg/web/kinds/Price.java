package rosinedpeg.web.kinds;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.springframework.validation.Errors;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.web.platform.Entry;

/**
 * What a string costs.
 *
 * @param amount 0 to 100 000, with two decimals
 * @param currency its three letters, as EUR
 */
public record Price(BigDecimal amount, String currency) {

    private static final Pattern CURRENCY = Pattern.compile("([A-Z]{3})?");
    private static final Range AMOUNT = new Range(0, 100_000, Unit.RATIO);

    /**
     * Reads a price. What cannot be taken is noted at the fields {@code price} and {@code currency}.
     *
     * @param errors where a refusal is noted
     * @param amount as typed; empty where it is not known
     * @param currency as typed
     * @return the price; empty when it is not known, or was refused
     */
    public static Optional<Price> read(Errors errors, String amount, String currency) {
        OptionalDouble asked =
                amount.isBlank() ? OptionalDouble.empty() : Entry.number(errors, "price", amount, AMOUNT);
        String letters = currency.strip().toUpperCase(Locale.ROOT);
        if (asked.isPresent() != !letters.isEmpty()
                || !CURRENCY.matcher(letters).matches()) {
            if (!errors.hasFieldErrors("price")) {
                errors.rejectValue("currency", "kind.currency.wrong");
            }
            return Optional.empty();
        }
        return asked.isPresent()
                ? Optional.of(
                        new Price(BigDecimal.valueOf(asked.getAsDouble()).setScale(2, RoundingMode.HALF_EVEN), letters))
                : Optional.empty();
    }

    /** {@return a price of so many hundredths} */
    public static Price ofMinor(long minor, String currency) {
        return new Price(BigDecimal.valueOf(minor, 2), currency);
    }

    /** {@return it in hundredths} */
    public long minor() {
        return amount.movePointRight(2).setScale(0, RoundingMode.HALF_EVEN).longValueExact();
    }

    /** {@return what so many cost} */
    public Price times(int many) {
        return new Price(amount.multiply(BigDecimal.valueOf(many)), currency);
    }

    /** {@return what some cost together, in each currency} */
    public static List<Price> sums(Collection<Price> prices) {
        Map<String, BigDecimal> sums = new TreeMap<>();
        prices.forEach(price -> sums.merge(price.currency, price.amount, BigDecimal::add));
        return sums.entrySet().stream()
                .map(sum -> new Price(sum.getValue(), sum.getKey()))
                .toList();
    }

    /** {@return it as it is written: 21.50 EUR} */
    public String written() {
        return amount + " " + currency;
    }
}
