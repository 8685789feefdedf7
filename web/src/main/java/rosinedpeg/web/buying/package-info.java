/**
 * Buying: what the coming weeks need against what lies in the drawer and what is on order, orders from being written to being in, and
 * what a sum of money allows. {@code Needs} works out what is missing, {@code Purchases} keeps orders, {@code Suppliers} who
 * sells what. The rules are in {@link rosinedpeg.core.buying}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "kinds", "instrument", "drawer", "rack"})
@NullMarked
package rosinedpeg.web.buying;

import org.jspecify.annotations.NullMarked;
