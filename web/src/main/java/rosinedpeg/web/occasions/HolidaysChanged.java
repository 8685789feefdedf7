package rosinedpeg.web.occasions;

/** When nobody plays has been changed, and with it how much every instrument was played. */
public record HolidaysChanged() {}
