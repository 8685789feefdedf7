package rosinedpeg.web.players;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.Words;

/**
 * What a player may do with an instrument that they do not play. In a workshop where everybody helps that is all a player may, but for
 * ending work that somebody else began; in one where players look after their own only, it is to look.
 *
 * <p>Asked is by the address, at one place for all of them: whatever is changed at an address that is not known here is refused, so
 * that a new one has to be thought of.
 */
@Component
class Own implements HandlerInterceptor, WebMvcConfigurer {

    /** What belongs to whoever is signed in, or is nobody's. */
    private static final Pattern ONES_OWN = Pattern.compile("/(kit|password|practice|diary/feeds)(/.*)?");

    private static final Pattern OF_AN_INSTRUMENT =
            Pattern.compile("/(?<of>instruments|bench|settling)/\\{(?<key>id|fittedId)}(?<what>/.*)?");
    /** Nobody can take it back. */
    private static final Pattern ENDS = Pattern.compile("/(end|give-up)");
    /** How much the bench says is a matter of the device. */
    private static final String WORDING = "/wording";

    /** By what stands first in an address: whether it is of an instrument that somebody plays, or of work they began. */
    private static final Map<String, String> THEIRS = Map.of(
            "instruments",
            "select " + plays("of.id") + " from instrument of",
            "bench",
            "select of.started_by = :person or " + plays("of.instrument_id") + " from run of",
            "settling",
            "select " + plays("of.instrument_id") + " from fitted_string of");

    private static String plays(String instrument) {
        return "exists (select 1 from instrument_player p where p.instrument_id = " + instrument
                + " and p.person_id = :person)";
    }

    private final JdbcClient database;
    private final Words words;

    Own(JdbcClient database, Words words) {
        this.database = database;
        this.words = words;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Optional<SignedIn> player = player();
        if (player.isEmpty() || looks(request) || may(player.get(), request)) {
            return true;
        }
        if (Htmx.asks(request)) {
            Htmx.refuse(response, words.say("own.refused"));
            return false;
        }
        throw new AccessDeniedException("of an instrument that somebody else plays");
    }

    /** Pages of what a player may only look at have no buttons. */
    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView page) {
        Optional<SignedIn> player = player();
        // What is added to the model of a redirect would stand in its address.
        if (page == null
                || player.isEmpty()
                || String.valueOf(page.getViewName()).startsWith("redirect:")) {
            return;
        }
        Matcher address = OF_AN_INSTRUMENT.matcher(address(request));
        if (address.matches() && !theirs(player.get(), address, request)) {
            page.addObject("ofOthers", true);
            page.addObject("onlyLooking", player.get().playersOwnOnly());
        }
    }

    private static Optional<SignedIn> player() {
        return CurrentWorkshop.account().filter(account -> account.role() == Role.PLAYER);
    }

    private static boolean looks(HttpServletRequest request) {
        return request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
    }

    /** {@return the address with its keys by name, as a controller is mapped to it} */
    private static String address(HttpServletRequest request) {
        return String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
    }

    private boolean may(SignedIn player, HttpServletRequest request) {
        String address = address(request);
        Matcher of = OF_AN_INSTRUMENT.matcher(address);
        if (!of.matches()) {
            return !player.playersOwnOnly() || ONES_OWN.matcher(address).matches();
        }
        String what = String.valueOf(of.group("what"));
        boolean ends = of.group("of").equals("bench") && ENDS.matcher(what).matches();
        return !ends && !player.playersOwnOnly() || what.equals(WORDING) || theirs(player, of, request);
    }

    private boolean theirs(SignedIn player, Matcher address, HttpServletRequest request) {
        Object keys = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        String key = keys instanceof Map<?, ?> named ? String.valueOf(named.get(address.group("key"))) : "";
        UUID id;
        try {
            id = UUID.fromString(key);
        } catch (IllegalArgumentException noKey) {
            return true;
        }
        return database.sql(THEIRS.get(address.group("of")) + " where of.id = :key and of.workshop_id = :workshop")
                .param("key", id)
                .param("workshop", player.workshopId())
                .param("person", player.personId())
                .query(Boolean.class)
                .optional()
                // There is none: the controller says so.
                .orElse(true);
    }
}
