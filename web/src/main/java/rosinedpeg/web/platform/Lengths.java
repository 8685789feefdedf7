package rosinedpeg.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;

/** What lengths are measured in: typed, and shown where they are. Everything else says mm. */
public enum Lengths {
    MM(1),
    INCH(25.4);

    private static final DeviceChoice<Lengths> CHOICE = new DeviceChoice<>("lengths", values());

    private final double inMm;

    Lengths(double inMm) {
        this.inMm = inMm;
    }

    /** {@return a length in mm, in this unit} */
    public double of(double mm) {
        return mm / inMm;
    }

    /** {@return a length in this unit, in mm} */
    public double toMm(double length) {
        return length * inMm;
    }

    /** {@return how many decimals a length in this unit is worth, beside so many in mm} */
    int decimals(int inMillimetres) {
        return this == MM ? inMillimetres : inMillimetres + 2;
    }

    /** {@return what this device has chosen, mm until it has} */
    public static Lengths chosen(HttpServletRequest request) {
        return CHOICE.chosen(request);
    }

    /** Keeps this as the choice of the device. */
    public void keep(HttpServletRequest request, HttpServletResponse response) {
        CHOICE.keep(this, request, response);
    }
}
