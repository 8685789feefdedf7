package rosinedpeg.web.platform;

import org.springframework.validation.Errors;

/**
 * A row of a table that cannot be taken.
 *
 * @param number which it is, the headings being the first
 * @param what what stands in it
 * @param errors what is wrong with it
 */
public record WrongRow(long number, String what, Errors errors) {}
