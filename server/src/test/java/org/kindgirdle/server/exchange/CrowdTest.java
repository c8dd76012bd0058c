package org.kindgirdle.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** Twenty who record and twenty who read, while a whole nursery is looked through and takes the place of this one. */
class CrowdTest {

    private static final int PEOPLE = 20;

    @Test
    void nobody_is_turned_away_and_nothing_is_lost_while_a_file_is_looked_through_and_taken() throws Exception {
        try (TestNursery nursery = TestNursery.ofItsOwn()) {
            List<String> codes = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                long mother = nursery.mother("CYDOBL", nursery.field());
                codes.addAll(nursery.set(mother, TODAY.minusDays(20), 15));
            }
            Sending files = new Sending(nursery.owner());
            UUID file = files.nursery(files.nurseryFile());
            Queue<String> odd = new ConcurrentLinkedQueue<>();
            Queue<String> written = new ConcurrentLinkedQueue<>();
            AtomicBoolean over = new AtomicBoolean();
            ExecutorService crowd = Executors.newFixedThreadPool(2 * PEOPLE);
            List<Future<?>> all = new ArrayList<>();
            for (int person = 0; person < PEOPLE; person++) {
                int mine = person;
                all.add(crowd.submit(until(over, () -> record(nursery, codes.get(mine), written, odd))));
                all.add(crowd.submit(until(over, () -> read(nursery, codes.get(mine), odd))));
            }
            JsonNode looked = files.look(file, null);
            assertThat(looked.path("outcome").path("broken").asString()).isEmpty();
            assertThat(looked.path("state").asString()).isEqualTo("LOOKED");
            List<String> before = List.copyOf(written);
            assertThat(before).as("recorded while it was looked through").isNotEmpty();
            for (String one : before) {
                String[] parts = one.split(" ");
                assertThat(nursery.viewer()
                                .get("/api/v1/layers/" + parts[0])
                                .body()
                                .toString())
                        .contains(parts[1]);
            }
            JsonNode taken = files.take(file, null, "Quern Wood");
            assertThat(taken.path("state").asString()).as(taken.toString()).isEqualTo("TAKEN");
            over.set(true);
            for (Future<?> one : all) {
                one.get();
            }
            crowd.shutdown();
            assertThat(odd).isEmpty();
        }
    }

    private static Runnable until(AtomicBoolean over, Callable<?> deed) {
        return () -> {
            while (!over.get()) {
                try {
                    deed.call();
                } catch (Exception e) {
                    throw new IllegalStateException(e);
                }
            }
        };
    }

    private static boolean record(TestNursery nursery, String code, Queue<String> written, Queue<String> odd) {
        Client.Answer answer = nursery.record(code, Map.of("kind", "TOPPED_UP", "details", Map.of("waterMl", 40)));
        if (answer.status() == 201) {
            return written.add(code + " " + answer.body().at("/recorded/id").asString());
        }
        // when another nursery takes the place, whoever is signed in here comes in anew
        return answer.status() == 401 || answer.status() == 403 || odd.add(answer.status() + " " + answer.body());
    }

    private static boolean read(TestNursery nursery, String code, Queue<String> odd) {
        for (String path : List.of("/mothers", "/layers/" + code, "/round", "/layers?limit=50")) {
            Client.Answer answer = nursery.viewer().get("/api/v1" + path);
            if (answer.status() != 200 && answer.status() != 401) {
                odd.add(path + " " + answer.status() + " " + answer.body());
            }
        }
        return true;
    }
}
