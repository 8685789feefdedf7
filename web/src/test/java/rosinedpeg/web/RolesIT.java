package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.OpenToStrangers;
import rosinedpeg.web.platform.Role;

/** Who may call which address: every address says it, and the server holds it. */
class RolesIT extends InRequests {

    /** Something for each place in an address that is not an id. */
    private static final Map<String, String> PLACES =
            Map.of("position", "I", "area", "BRIDGE", "worked", "TURNS", "drawing", "side");

    /** What strangers find where it is no page: the first page is over, no feed has the secret that is tried, and two only tell. */
    private static final Map<String, Integer> STRANGERS_FIND =
            Map.of("/begin", 302, "/feeds/{secret}.ics", 404, "/away", 503, "/sign-in/code", 302, "/signed-out", 401);

    @Autowired
    RequestMappingHandlerMapping requestMappingHandlerMapping;

    private record Address(HttpMethod method, String path, String opensTo) {

        String example() {
            String example = path;
            for (Map.Entry<String, String> place : PLACES.entrySet()) {
                example = example.replace("{" + place.getKey() + "}", place.getValue());
            }
            return example.replaceAll("\\{\\w+}", UUID.randomUUID().toString());
        }

        /** With what it cannot be read without, so that nothing but the role stands in its way. */
        AbstractMockHttpServletRequestBuilder<?> call() {
            return path.endsWith("/pictures") && method == HttpMethod.POST
                    ? multipart(example()).file("picture", new byte[0])
                    : request(method, example())
                            .param("active", "true")
                            .param("version", "0")
                            .param("fitted", UUID.randomUUID().toString())
                            .param("tailEnds", "SLOT")
                            .param("demand", "STUDY")
                            .param("pegKind", "TAPERED_WOOD")
                            .param("knobs", "TREBLE");
        }

        boolean opensTo(Role role) {
            return !opensTo.equals("nobody")
                    && (opensTo.equals("strangers")
                            || role.ordinal() <= Role.valueOf(opensTo).ordinal());
        }

        @Override
        public String toString() {
            return method + " " + path + " " + opensTo;
        }
    }

    private List<Address> addresses() {
        return requestMappingHandlerMapping.getHandlerMethods().entrySet().stream()
                .filter(one -> one.getValue().getBeanType().getPackageName().startsWith("rosinedpeg"))
                .flatMap(one -> one.getKey().getPatternValues().stream()
                        .map(path -> new Address(
                                one.getKey().getMethodsCondition().getMethods().stream()
                                        .findFirst()
                                        .orElseThrow()
                                        .asHttpMethod(),
                                path,
                                opensTo(one.getValue()))))
                .sorted(Comparator.comparing(Address::path)
                        .thenComparing(address -> address.method().name()))
                .toList();
    }

    private static String opensTo(HandlerMethod handler) {
        OpenTo role = handler.getMethodAnnotation(OpenTo.class);
        if (role != null) {
            return role.value().name();
        }
        return handler.hasMethodAnnotation(OpenToStrangers.class) ? "strangers" : "nobody";
    }

    /** A new address has to be written down here too, so that somebody reads who may call it. */
    @Test
    void everyAddressIsListedWithWhoMayCallIt() throws IOException {
        try (var list = getClass().getResourceAsStream("/addresses.txt")) {
            assertThat(addresses().stream().map(Address::toString))
                    .containsExactlyElementsOf(
                            new String(list.readAllBytes(), UTF_8).lines().toList());
        }
    }

    @ParameterizedTest
    @EnumSource
    void nobodyGoesWhereTheirRoleDoesNotOpen(Role role) {
        String signIn = Map.of(Role.KEEPER, "keeper", Role.TECHNICIAN, "bench", Role.PLAYER, "pit")
                .get(role);
        for (Address address : addresses()) {
            var answer = mvc.perform(address.call().with(user(account(signIn))).with(csrf()));
            if (address.opensTo(role)) {
                assertThat(answer.getResponse().getStatus())
                        .as("%s for %s", address, role)
                        .isNotEqualTo(403);
            } else {
                assertThat(answer).as("%s for %s", address, role).hasStatus(403);
            }
        }
    }

    @Test
    void strangersAreAskedToSignIn() {
        for (Address address : addresses()) {
            var answer = mvc.perform(address.call().with(csrf()));
            if (address.opensTo.equals("strangers")) {
                assertThat(answer).as("%s", address).hasStatus(STRANGERS_FIND.getOrDefault(address.path(), 200));
            } else {
                assertThat(answer)
                        .as("%s", address)
                        .hasStatus(302)
                        .redirectedUrl()
                        .endsWith(address.method().equals(HttpMethod.GET) ? "/sign-in" : "/sign-in?ended");
            }
        }
    }
}
