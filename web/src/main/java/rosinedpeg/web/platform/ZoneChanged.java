package rosinedpeg.web.platform;

/** The workshop is said to stand in another time zone: some moments fall on other days there. */
public record ZoneChanged() {}
