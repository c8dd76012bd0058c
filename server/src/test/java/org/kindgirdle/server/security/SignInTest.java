package org.kindgirdle.server.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;

@ExtendWith(NurseryExtension.class)
class SignInTest {

    private final TestNursery nursery;

    SignInTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void guessing_is_slowed_down_and_waiting_helps() {
        Client guesser = nursery.anonymous();
        guesser.get("/api/v1/session");
        for (int i = 0; i < 8; i++) {
            guesser.post("/api/v1/session", Map.of("name", "vesper", "password", "wrong " + i))
                    .expect(401);
        }
        Client.Answer refused = guesser.post(
                        "/api/v1/session", Map.of("name", "vesper", "password", "ring-and-moss-26"))
                .expect(429);
        assertThat(refused.body().path("detail").asString()).contains("15 minutes");

        nursery.clock().moveBy(Duration.ofMinutes(16));
        nursery.again("vesper");
    }

    @Test
    void the_session_cookie_is_out_of_reach_of_scripts_and_other_sites() {
        Client client = nursery.anonymous();
        client.get("/api/v1/session");
        Client.Answer answer = client.post("/api/v1/session", Map.of("name", "gale", "password", "ring-and-moss-26"))
                .expect(200);
        assertThat(answer.headers().get("set-cookie"))
                .anySatisfy(
                        cookie -> assertThat(cookie).startsWith("KG_SESSION=").contains("HttpOnly", "SameSite=Strict"));
    }

    @Test
    void a_session_ends_when_its_person_signs_out() {
        Client client = nursery.again("gale");
        client.get("/api/v1/mothers").expect(200);
        client.send("DELETE", "/api/v1/session", null, null, true).expect(204);
        client.get("/api/v1/mothers").expect(401);
    }

    @Test
    void the_link_of_the_first_owner_counts_once() {
        Client client = nursery.anonymous();
        client.get("/api/v1/session");
        Map<String, Object> claim =
                Map.of("token", "used", "name", "eve", "fullName", "Eve", "password", "long enough 1");
        client.post("/api/v1/first-owner", claim).expect(403);
    }

    @Test
    void a_refused_password_is_not_sent_back() {
        Client.Answer refused = nursery.owner()
                .post(
                        "/api/v1/people",
                        Map.of("name", "brin", "fullName", "Brin", "password", "brief-7", "role", "VIEWER"))
                .expect(400);
        assertThat(refused.body().toString())
                .contains("must have 10 to 64 characters")
                .doesNotContain("brief-7");
    }

    @Test
    void a_grower_records_but_does_not_change_the_house() {
        nursery.grower()
                .post("/api/v1/recipes", TestNursery.recipeBody("Not mine"))
                .expect(403);
        nursery.grower().get("/api/v1/people").expect(403);
        assertThat(nursery.owner().get("/api/v1/people").expect(200).body().size())
                .isGreaterThanOrEqualTo(3);
    }

    @Test
    void the_demo_clock_stands_still_for_a_real_nursery() {
        nursery.owner().put("/api/v1/demo-clock", Map.of("today", "2027-01-01")).expect(403);
    }

    @Test
    void no_page_may_load_or_run_anything_from_elsewhere() {
        for (String path : new String[] {"/", "/layers/anything", "/api/v1/session"}) {
            Client.Answer answer = nursery.anonymous().get(path).expect(200);
            String policy = answer.headers().get("content-security-policy").get(0);
            assertThat(policy)
                    .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
                    .doesNotContain("unsafe", "http:", "*");
        }
    }
}
