package rosinedpeg.web.account;

import static java.util.Objects.requireNonNull;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.savedrequest.SavedRequest;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import rosinedpeg.web.platform.SignedIn;

/**
 * Slows down guessing. A guess is counted for the address it comes from and for the name together with that address, so that nobody
 * keeps the right person out by guessing wrong from elsewhere; of one name from many addresses only so many are let through as nobody
 * gets far with, and devices that signed in before are counted by themselves. A guess that was right is given back.
 */
@Component
class SignInLimiter extends OncePerRequestFilter {

    private static final String GIVE_BACK = SignInLimiter.class.getName() + ".GIVE_BACK";

    /** Of an address of version 6 somebody has at least all that begin with the same 8 bytes. */
    private static final int NETWORK_BYTES = 8;

    private final Guesses guesses;
    private final KnownDevices devices;

    SignInLimiter(Guesses guesses, KnownDevices devices) {
        this.guesses = guesses;
        this.devices = devices;
    }

    private record Taken(Guesses.Of of, String whose) {}

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !("POST".equals(request.getMethod()) && "/sign-in".equals(request.getServletPath()));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String name = Accounts.normal(String.valueOf(request.getParameter("signIn")));
        String address = network(request.getRemoteAddr());
        List<Taken> taken = new ArrayList<>();
        Runnable giveBack = () -> taken.forEach(one -> guesses.giveBack(one.of(), one.whose()));
        request.setAttribute(GIVE_BACK, giveBack);
        // The address first: one that guesses too often makes no further count.
        boolean may = take(taken, Guesses.Of.ADDRESS, address);
        if (may && name.length() > Accounts.LONGEST_SIGN_IN) {
            // Nobody signs in with that, and nothing is worked out for it.
            response.sendRedirect("/sign-in?wrong");
            return;
        }
        if (may) {
            Optional<String> device = devices.knows(request, name);
            may = device.isPresent()
                    ? take(taken, Guesses.Of.NAME_ON_DEVICE, device.get() + name)
                    : take(taken, Guesses.Of.NAME_FROM_ADDRESS, address + " " + name)
                            && take(taken, Guesses.Of.NAME, name);
        }
        if (may) {
            chain.doFilter(request, response);
        } else {
            RightsLog.tell("A sign-in has to wait");
            response.sendRedirect("/sign-in?wait");
        }
    }

    private boolean take(List<Taken> taken, Guesses.Of of, String whose) {
        taken.add(new Taken(of, whose));
        return guesses.take(of, whose);
    }

    /** What is to be done once somebody has signed in. */
    @Component
    static class RightAtLast implements AuthenticationSuccessHandler {

        private final KnownDevices devices;

        RightAtLast(KnownDevices devices) {
            this.devices = devices;
        }

        @Override
        public void onAuthenticationSuccess(
                HttpServletRequest request, HttpServletResponse response, Authentication authentication)
                throws IOException {
            if (request.getAttribute(GIVE_BACK) instanceof Runnable giveBack) {
                giveBack.run();
            }
            Credentials credentials = (Credentials) requireNonNull(authentication.getPrincipal());
            RightsLog.tell(
                    credentials.secondStep() ? "The password was right, the code is asked for" : "Signed in",
                    credentials.account().accountId());
            response.sendRedirect(
                    credentials.secondStep() ? "/sign-in/code" : whereTo(credentials.account(), request, response));
        }

        /** {@return where somebody wanted to go, now that they are in; from now on the device is known} */
        String whereTo(SignedIn account, HttpServletRequest request, HttpServletResponse response) {
            devices.remember(account, request, response);
            SavedRequest wanted = SignedOut.whereTo().getRequest(request, response);
            SignedOut.whereTo().removeRequest(request, response);
            return wanted == null ? "/" : wanted.getRedirectUrl();
        }
    }

    /** What is counted as one address. */
    private static String network(String address) {
        try {
            // It is written in digits: no name is looked up.
            InetAddress parsed = InetAddress.getByName(address);
            return parsed instanceof Inet6Address
                    ? HexFormat.of().formatHex(Arrays.copyOf(parsed.getAddress(), NETWORK_BYTES))
                    : address;
        } catch (UnknownHostException other) {
            return address;
        }
    }

    /** The filter works inside the security chain only. */
    @Configuration
    static class Registration {
        @Bean
        FilterRegistrationBean<SignInLimiter> signInLimiterRegistration(SignInLimiter limiter) {
            FilterRegistrationBean<SignInLimiter> registration = new FilterRegistrationBean<>(limiter);
            registration.setEnabled(false);
            return registration;
        }
    }
}
