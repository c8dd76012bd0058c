package org.kindgirdle.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.http.Roles.Rank;
import org.kindgirdle.server.sentences.Refusals;

/** Every operation of the API, met in every role. */
@ExtendWith(NurseryExtension.class)
class RolesTest {

    private static final List<String> METHODS = List.of("get", "post", "put", "delete", "patch");

    private static final Map<Rank, Client> SIGNED_IN = new EnumMap<>(Rank.class);

    private final TestNursery nursery;

    RolesTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    static Stream<String> operations() {
        return ApiDocument.operations(METHODS);
    }

    @Test
    void every_operation_has_its_role_written_down_and_no_other() {
        assertThat(Roles.least().keySet())
                .containsExactlyInAnyOrderElementsOf(operations().toList());
    }

    @ParameterizedTest
    @MethodSource("operations")
    void who_may_less_is_refused_and_who_may_is_not(String operation) {
        Rank least = Roles.least().get(operation);
        people(operation).forEach((rank, client) -> {
            Client.Answer answer = call(client, operation);
            boolean isRefused = answer.status() == 401 && !operation.equals("POST /api/v1/session")
                    || answer.status() == 403
                            && answer.body().path("detail").asString().equals(Refusals.say("signIn.role"));
            assertThat(isRefused)
                    .as(operation + " as " + rank + " is answered " + answer.status() + " " + answer.body())
                    .isEqualTo(least == null || rank.compareTo(least) < 0);
        });
    }

    @ParameterizedTest
    @CsvSource({"/api/v1/tables/people", "/api/v1/people/..;/people"})
    void another_way_of_writing_it_is_no_way_around(String path) {
        assertThat(nursery.grower().get(path).status()).isIn(400, 403, 404);
        assertThat(nursery.viewer().get(path).status()).isIn(400, 403, 404);
    }

    /** Signed in once, but for what ends a session. */
    private Map<Rank, Client> people(String operation) {
        if (!operation.endsWith("/session") && !SIGNED_IN.isEmpty()) {
            return SIGNED_IN;
        }
        Map<Rank, Client> people = new EnumMap<>(Rank.class);
        Client stranger = nursery.anonymous();
        stranger.get("/api/v1/session");
        people.put(Rank.ANYONE, stranger);
        people.put(Rank.VIEWER, nursery.again("vesper"));
        people.put(Rank.GROWER, nursery.again("gale"));
        people.put(Rank.OWNER, nursery.again("odile"));
        if (!operation.endsWith("/session")) {
            SIGNED_IN.putAll(people);
        }
        return people;
    }

    private static Client.Answer call(Client client, String operation) {
        String method = operation.split(" ")[0];
        String path = operation.split(" ")[1].replaceAll("\\{\\w+}", "1");
        return client.send(method, path, UUID.randomUUID(), method.equals("GET") ? null : "{}", true);
    }
}
