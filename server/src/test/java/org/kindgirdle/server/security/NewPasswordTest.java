package org.kindgirdle.server.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;

/** An owner gives somebody a password anew. */
@ExtendWith(NurseryExtension.class)
class NewPasswordTest {

    private static final String OLD = "known-to-too-many";
    private static final String NEW = "known-to-one-alone";

    private final TestNursery nursery;

    NewPasswordTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void whoever_came_in_with_the_old_one_is_out() {
        long id = nursery.confirmedOwner()
                .post(
                        "/api/v1/people",
                        Map.of("name", "wren", "fullName", "Wren Holloway", "password", OLD, "role", "VIEWER"))
                .expect(201)
                .body()
                .path("id")
                .asLong();
        Client before = new Client(nursery.base()).signedInAs("wren", OLD);
        before.get("/api/v1/places").expect(200);
        String path = "/api/v1/people/" + id + "/password";
        nursery.grower().put(path, Map.of("password", NEW)).expect(403);
        assertThat(nursery.owner()
                        .put(path, Map.of("password", "short"))
                        .expect(400)
                        .fields())
                .containsExactly("password");
        before.get("/api/v1/places").expect(200);
        nursery.confirmedOwner().put(path, Map.of("password", NEW)).expect(204);
        before.get("/api/v1/places").expect(401);
        new Client(nursery.base()).signedInAs("wren", NEW).get("/api/v1/places").expect(200);
        nursery.confirmedOwner()
                .put("/api/v1/people/999999/password", Map.of("password", NEW))
                .expect(404);
    }
}
