package org.kindgirdle.server.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** People come, change, and leave. */
@ExtendWith(NurseryExtension.class)
class PeopleTest {

    private static final String PASSWORD = "three plain words";

    private final TestNursery nursery;

    PeopleTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void whoever_leaves_is_out_at_once_and_the_records_keep_the_name() {
        JsonNode rowan = person("rowan", "GROWER");
        Client there = signedIn("rowan");
        String code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TestNursery.TODAY.minusDays(20), 1)
                .get(0);
        there.post("/api/v1/layers/" + code + "/records", TestNursery.look("CALLUS", 5))
                .expect(201);
        String calendar = there.post("/api/v1/me/calendar", Map.of("replace", false))
                .expect(201)
                .body()
                .path("address")
                .asString()
                .replaceFirst("https?://[^/]+", "");
        nursery.anonymous().get(calendar).expect(200);

        JsonNode left = change(rowan, "GROWER", true).expect(200).body();
        assertThat(left.path("disabledAt").isNull()).isFalse();
        there.get("/api/v1/layers").expect(401);
        nursery.anonymous().get(calendar).expect(404);
        assertThat(trySignIn("rowan", PASSWORD).status()).isEqualTo(401);
        assertThat(nursery.viewer()
                        .get("/api/v1/layers/" + code)
                        .body()
                        .at("/records/0/by")
                        .asString())
                .isEqualTo("Rowan");

        change(left, "GROWER", false).expect(200);
        signedIn("rowan").get("/api/v1/layers").expect(200);
        nursery.anonymous().get(calendar).expect(404);
    }

    @Test
    void a_changed_role_counts_from_the_next_request_on() {
        JsonNode hazel = person("hazel", "GROWER");
        Client there = signedIn("hazel");
        change(hazel, "VIEWER", false).expect(200);
        there.get("/api/v1/layers").expect(401);
        signedIn("hazel").post("/api/v1/mothers", Map.of()).expect(403);
        // on an old version: both sides
        assertThat(change(hazel, "OWNER", false)
                        .expect(409)
                        .body()
                        .path("current")
                        .path("role")
                        .asString())
                .isEqualTo("VIEWER");
    }

    @Test
    void nobody_takes_their_own_rights_away() {
        JsonNode odile = nursery.owner()
                .get("/api/v1/people")
                .body()
                .valueStream()
                .filter(one -> one.path("name").asString().equals("odile"))
                .findFirst()
                .orElseThrow();
        assertThat(change(odile, "VIEWER", false).expect(400).fields()).containsExactly("role");
        assertThat(change(odile, "OWNER", true).expect(400).fields()).containsExactly("disabled");
    }

    @Test
    void what_can_shut_others_out_wants_the_password_once_more() {
        Client desk = nursery.again("odile");
        Map<String, Object> body =
                Map.of("name", "sorrel", "fullName", "Sorrel", "password", PASSWORD, "role", "VIEWER");
        Client.Answer asked = desk.post("/api/v1/people", body).expect(403);
        assertThat(asked.body().path("confirm").asBoolean()).isTrue();
        assertThat(desk.post("/api/v1/me/confirmation", Map.of("password", "not the password"))
                        .expect(400)
                        .fields())
                .containsExactly("password");
        desk.confirmed(TestNursery.PASSWORD).post("/api/v1/people", body).expect(201);
        nursery.clock().moveBy(Duration.ofMinutes(11));
        desk.put("/api/v1/people/999999/password", Map.of("password", PASSWORD)).expect(403);
    }

    @Test
    void the_own_password_is_changed_with_the_one_of_now_and_ends_all_other_sessions() {
        person("linden", "VIEWER");
        Client here = signedIn("linden");
        Client elsewhere = signedIn("linden");
        assertThat(here.put("/api/v1/me/password", Map.of("current", "wrong", "password", "another good one"))
                        .expect(400)
                        .fields())
                .containsExactly("current");
        here.put("/api/v1/me/password", Map.of("current", PASSWORD, "password", "another good one"))
                .expect(204);
        here.get("/api/v1/layers").expect(200);
        elsewhere.get("/api/v1/layers").expect(401);
        assertThat(trySignIn("linden", PASSWORD).status()).isEqualTo(401);
        assertThat(trySignIn("linden", "another good one").status()).isEqualTo(200);
    }

    @Test
    void own_sessions_are_seen_and_ended_and_nobody_elses() {
        person("aspen", "VIEWER");
        Client here = signedIn("aspen");
        Client elsewhere = signedIn("aspen");
        JsonNode sessions = here.get("/api/v1/me/sessions").expect(200).body();
        assertThat(sessions).hasSize(2);
        String other = sessions.valueStream()
                .filter(one -> !one.path("current").asBoolean())
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
        nursery.grower().delete("/api/v1/me/sessions/" + other).expect(404);
        here.delete("/api/v1/me/sessions/" + other).expect(204);
        elsewhere.get("/api/v1/layers").expect(401);
        here.get("/api/v1/layers").expect(200);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"short", "password12", "1234567890", "Football123!", "aaaaaaaaaaaa", "juniper", "juniper99"})
    void a_password_that_is_guessed_is_not_taken_and_not_sent_back(String password) {
        Client.Answer refused = nursery.confirmedOwner()
                .post(
                        "/api/v1/people",
                        Map.of("name", "juniper", "fullName", "Juniper", "password", password, "role", "VIEWER"))
                .expect(400);
        assertThat(refused.fields()).containsExactly("password");
        assertThat(refused.body().toString()).doesNotContain("\"" + password + "\"");
    }

    @Test
    void more_bytes_than_the_hash_takes_in_are_refused_in_words_and_signs_of_any_script_are_letters() {
        assertThat(add("myrtle", "ä".repeat(40)).expect(400).fields()).containsExactly("password");
        add("myrtle", "森の木陰で苔を摘む日").expect(201);
        assertThat(trySignIn("myrtle", "森の木陰で苔を摘む日").status()).isEqualTo(200);
        assertThat(trySignIn("myrtle", "ä".repeat(64)).status()).isEqualTo(401);
    }

    @Test
    void of_many_guesses_at_the_same_moment_no_more_get_through_than_one_after_another() throws Exception {
        person("alder", "VIEWER");
        int many = 24;
        ExecutorService guessers = Executors.newFixedThreadPool(many);
        CountDownLatch ready = new CountDownLatch(many);
        List<Future<Client.Answer>> answers = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            int number = i;
            answers.add(guessers.submit(() -> {
                Client guesser = nursery.anonymous();
                guesser.get("/api/v1/session");
                ready.countDown();
                ready.await();
                return guesser.post("/api/v1/session", Map.of("name", "alder", "password", "guess " + number));
            }));
        }
        int lookedAt = 0;
        for (Future<Client.Answer> answer : answers) {
            lookedAt += answer.get().status() == 401 ? 1 : 0;
        }
        guessers.shutdown();
        assertThat(lookedAt).isLessThanOrEqualTo(8);
        Client.Answer slowed = trySignIn("alder", PASSWORD);
        assertThat(slowed.status()).isEqualTo(429);
        assertThat(Integer.parseInt(slowed.headers().get("retry-after").get(0))).isBetween(1, 15 * 60 + 1);
        nursery.clock().moveBy(Duration.ofMinutes(16));
        signedIn("alder");
    }

    @Test
    void many_come_in_at_the_same_moment_and_none_is_turned_away() throws Exception {
        person("rush", "VIEWER");
        int many = 8;
        ExecutorService devices = Executors.newFixedThreadPool(many);
        for (int round = 0; round < 3; round++) {
            List<Future<Client>> all = new ArrayList<>();
            for (int i = 0; i < many; i++) {
                all.add(devices.submit(() -> signedIn("rush")));
            }
            for (Future<Client> one : all) {
                one.get().get("/api/v1/me/sessions").expect(200);
            }
        }
        devices.shutdown();
    }

    @Test
    void no_stranger_locks_out_whoever_has_signed_in_on_a_device_before() {
        person("cedar", "VIEWER");
        Client ownDevice = signedIn("cedar");
        for (int i = 0; i < 60; i++) {
            trySignIn(i % 2 == 0 ? "cedar" : "nobody" + i, "guess " + i);
        }
        assertThat(trySignIn("cedar", PASSWORD).status()).as("a stranger, now").isEqualTo(429);
        ownDevice.send("DELETE", "/api/v1/session", null, null, true).expect(204);
        ownDevice.signedInAs("cedar", PASSWORD).get("/api/v1/layers").expect(200);
        // the other tests come from the same address
        nursery.sql().update("delete from sign_in_failure");
    }

    @Test
    void what_concerns_who_may_do_what_is_written_down_for_owners() {
        JsonNode maple = person("briar", "GROWER");
        Client there = signedIn("briar");
        trySignIn("briar", "not it at all");
        there.get("/api/v1/people").expect(403);
        there.get("/api/v1/tables/mothers").expect(200);
        change(maple, "VIEWER", false).expect(200);
        List<String> kinds = nursery.owner()
                .get("/api/v1/security-events")
                .expect(200)
                .body()
                .valueStream()
                .filter(one -> one.toString().contains("briar"))
                .map(one -> one.path("kind").asString())
                .toList();
        assertThat(kinds)
                .containsSubsequence(
                        "PERSON_CHANGED", "EXPORTED", "REFUSED", "SIGN_IN_REFUSED", "SIGNED_IN", "PERSON_ADDED");
        there.get("/api/v1/security-events").expect(401);
        nursery.grower().get("/api/v1/security-events").expect(403);
        nursery.viewer().get("/api/v1/security-events").expect(403);
    }

    private JsonNode person(String name, String role) {
        String fullName = name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
        return nursery.confirmedOwner()
                .post("/api/v1/people", Map.of("name", name, "fullName", fullName, "password", PASSWORD, "role", role))
                .expect(201)
                .body();
    }

    private Client.Answer add(String name, String password) {
        return nursery.confirmedOwner()
                .post("/api/v1/people", Map.of("name", name, "fullName", name, "password", password, "role", "VIEWER"));
    }

    private Client.Answer change(JsonNode person, String role, boolean disabled) {
        Map<String, Object> edit = new HashMap<>();
        edit.put("fullName", person.path("fullName").asString());
        edit.put("role", role);
        edit.put("disabled", disabled);
        edit.put("version", person.path("version").asLong());
        return nursery.confirmedOwner()
                .put("/api/v1/people/" + person.path("id").asLong(), edit);
    }

    private Client signedIn(String name) {
        return new Client(nursery.base()).signedInAs(name, PASSWORD);
    }

    private Client.Answer trySignIn(String name, String password) {
        Client client = nursery.anonymous();
        client.get("/api/v1/session");
        return client.post("/api/v1/session", UUID.randomUUID(), Map.of("name", name, "password", password));
    }
}
