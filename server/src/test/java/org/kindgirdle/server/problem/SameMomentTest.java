package org.kindgirdle.server.problem;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;

/** What must be there once, sent by several at the same moment: one writes it, and nobody meets a fault. */
@ExtendWith(NurseryExtension.class)
class SameMomentTest {

    private static final int SENDERS = 6;

    private final TestNursery nursery;
    private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS);

    SameMomentTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @AfterEach
    void end() throws InterruptedException {
        senders.shutdown();
        assertThat(senders.awaitTermination(1, TimeUnit.MINUTES)).isTrue();
    }

    @RepeatedTest(5)
    void a_filter_of_one_name_is_saved_once() throws Exception {
        String name = "Full " + UUID.randomUUID();
        assertThat(together(sender -> nursery.grower()
                        .put("/api/v1/me/layer-filters", Map.of("name", name, "query", "stage=FILLED&fill=" + sender))
                        .status()))
                .containsOnly(200);
        assertThat(nursery.grower().get("/api/v1/me/layer-filters").body().findValuesAsString("name"))
                .containsOnlyOnce(name);
    }

    @RepeatedTest(5)
    void a_file_that_is_sent_again_while_it_is_on_its_way_is_one_file() throws Exception {
        UUID id = UUID.randomUUID();
        byte[] text = "code,stage\nAAA,CALLUS\n".getBytes(StandardCharsets.UTF_8);
        assertThat(together(sender -> nursery.owner()
                        .putFile("/api/v1/imports/" + id + "?name=old.csv", "text/csv", text)
                        .status()))
                .containsOnly(201);
        assertThat(nursery.owner()
                        .get("/api/v1/imports/" + id)
                        .expect(200)
                        .body()
                        .path("bytes")
                        .asInt())
                .isEqualTo(text.length);
    }

    @RepeatedTest(5)
    void a_name_is_given_to_one_person() throws Exception {
        String name = "n" + UUID.randomUUID().toString().substring(0, 12);
        List<Integer> answers = together(sender -> nursery.owner()
                .post(
                        "/api/v1/people",
                        Map.of(
                                "name",
                                name,
                                "fullName",
                                "Wren " + sender,
                                "password",
                                "harrow-thicket-29",
                                "role",
                                "VIEWER"))
                .status());
        assertThat(answers).containsOnlyOnce(201);
        assertThat(answers).containsOnly(201, 400);
    }

    @RepeatedTest(5)
    void a_trial_of_one_name_is_begun_once() throws Exception {
        long mother = nursery.mother("CYDOBL", nursery.field());
        long other = nursery.owner()
                .post("/api/v1/recipes", TestNursery.recipeBody("R " + UUID.randomUUID()))
                .expect(201)
                .body()
                .path("id")
                .asLong();
        Map<String, Object> trial = Map.of(
                "name",
                "Moss or not " + UUID.randomUUID(),
                "question",
                "Which?",
                "recipeIds",
                List.of(nursery.recipe(), other),
                "places",
                List.of(Map.of("motherId", mother, "count", 4)),
                "size",
                Map.of("share", 0.6, "otherShare", 0.9, "significance", 0.05, "power", 0.8));
        List<Integer> answers =
                together(sender -> nursery.owner().post("/api/v1/trials", trial).status());
        assertThat(answers).containsOnlyOnce(201);
        assertThat(answers).containsOnly(201, 400);
    }

    @RepeatedTest(5)
    void calendars_that_are_read_for_the_first_time_at_once_are_told_alike() throws Exception {
        nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(3), 4);
        URI address = URI.create(nursery.grower()
                .post("/api/v1/me/calendar", Map.of("replace", true))
                .expect(201)
                .body()
                .path("address")
                .asString());
        HttpClient client = HttpClient.newHttpClient();
        assertThat(together(sender -> client.send(
                                HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.ofString())
                        .statusCode()))
                .containsOnly(200);
    }

    private interface Sender {
        int send(int number) throws Exception;
    }

    private List<Integer> together(Sender sender) throws Exception {
        CyclicBarrier gate = new CyclicBarrier(SENDERS);
        List<Callable<Integer>> all = new ArrayList<>();
        for (int i = 0; i < SENDERS; i++) {
            int number = i;
            all.add(() -> {
                gate.await();
                return sender.send(number);
            });
        }
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> one : senders.invokeAll(all)) {
            answers.add(one.get());
        }
        return answers;
    }
}
