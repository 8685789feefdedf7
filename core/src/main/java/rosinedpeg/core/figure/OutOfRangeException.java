package rosinedpeg.core.figure;

/** Thrown when an argument is outside its range. Names the parameter, the value and the range. */
public final class OutOfRangeException extends IllegalArgumentException {

    private final String parameter;
    private final double value;
    private final transient Range range;

    OutOfRangeException(String parameter, double value, Range range) {
        super("%s is %s; it must be from %s to %s %s"
                .formatted(
                        parameter,
                        value,
                        range.low(),
                        range.high(),
                        range.unit().symbol())
                .stripTrailing());
        this.parameter = parameter;
        this.value = value;
        this.range = range;
    }

    /** {@return the name of the parameter} */
    public String parameter() {
        return parameter;
    }

    /** {@return the value that was refused} */
    public double value() {
        return value;
    }

    /** {@return what would have been allowed} */
    public Range range() {
        return range;
    }
}
