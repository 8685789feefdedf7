package rosinedpeg.web.watch;

/**
 * Something the application is made of, and under which licence it is used.
 *
 * @param name what it is called, with whoever makes it where the name alone says little
 * @param version which version
 * @param licence its licence, by the short names of SPDX where it has one; of several any may be chosen
 */
record Part(String name, String version, String licence) {}
