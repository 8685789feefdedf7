package rosinedpeg.core.finding;

/** What a finding asks for, worst last. */
public enum Severity {
    GOOD,
    WATCH,
    TODAY,
    /** The work must not go on like this. */
    STOPS
}
