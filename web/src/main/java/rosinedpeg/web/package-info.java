/** The web application: one module to each of its packages. {@link rosinedpeg.web.RosinedPegApplication} starts it. */
@NullMarked
package rosinedpeg.web;

import org.jspecify.annotations.NullMarked;
