/**
 * What lies in the drawer: new strings in their packets, and old ones that were kept. {@link rosinedpeg.web.drawer.Drawer} is the door:
 * runs take from it and give back. {@code Shelf} is the drawer as it is looked into, {@code Code} what a string is marked with,
 * {@code Counting} an inventory. The rules of what is taken first are in {@link rosinedpeg.core.stock}.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"platform", "kinds", "instrument", "drawing", "working"})
@NullMarked
package rosinedpeg.web.drawer;

import org.jspecify.annotations.NullMarked;
