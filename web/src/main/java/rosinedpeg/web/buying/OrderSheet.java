package rosinedpeg.web.buying;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;

/**
 * An order as it is printed.
 *
 * @param purchase the order
 * @param lines its lines in words
 * @param zone the workshop's
 * @param colours the palette, by name
 */
record OrderSheet(Purchase purchase, List<PurchaseText.Worded> lines, ZoneId zone, Map<String, String> colours) {}
