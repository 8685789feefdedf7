/**
 * Who plays which instrument, and what a player may do with those of others: {@code Own} asks at every address. What is decided stands
 * in {@code docs/rights.md}.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "account", "instrument"})
@NullMarked
package rosinedpeg.web.players;

import org.jspecify.annotations.NullMarked;
