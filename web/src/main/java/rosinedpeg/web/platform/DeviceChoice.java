package rosinedpeg.web.platform;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;

/** A choice that each device keeps for itself, in a cookie: a tablet at the bench may differ from a phone. */
final class DeviceChoice<E extends Enum<E>> {

    private static final Duration KEPT = Duration.ofDays(730);

    private final String cookie;
    private final E[] values;

    /** Takes the cookie's name and what can be chosen; the first stands until something else is. */
    DeviceChoice(String cookie, E[] values) {
        this.cookie = cookie;
        this.values = values;
    }

    E chosen(HttpServletRequest request) {
        Stream<Cookie> cookies =
                Optional.ofNullable(request.getCookies()).stream().flatMap(Arrays::stream);
        return cookies.filter(one -> one.getName().equals(cookie))
                .flatMap(one ->
                        Arrays.stream(values).filter(value -> value.name().equals(one.getValue())))
                .findFirst()
                .orElse(values[0]);
    }

    void keep(E choice, HttpServletRequest request, HttpServletResponse response) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(cookie, choice.name())
                        .path("/")
                        .maxAge(KEPT)
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .build()
                        .toString());
    }
}
