package rosinedpeg.web.platform;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;

/** What lengths are typed and shown in. Each device keeps its own choice, in a cookie. */
public enum Lengths {
    MM("mm", 1),
    INCH("in", 25.4);

    private static final String COOKIE = "lengths";

    private final String symbol;
    private final double inMm;

    Lengths(String symbol, double inMm) {
        this.symbol = symbol;
        this.inMm = inMm;
    }

    /** {@return the unit's symbol} */
    public String symbol() {
        return symbol;
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
        return Optional.ofNullable(request.getCookies()).stream()
                        .flatMap(Arrays::stream)
                        .filter(cookie -> cookie.getName().equals(COOKIE))
                        .map(Cookie::getValue)
                        .anyMatch(INCH.name()::equals)
                ? INCH
                : MM;
    }

    /** Keeps this as the choice of the device. */
    public void keep(HttpServletRequest request, HttpServletResponse response) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, name())
                        .path("/")
                        .maxAge(Duration.ofDays(730))
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .build()
                        .toString());
    }
}
