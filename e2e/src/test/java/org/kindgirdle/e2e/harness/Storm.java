package org.kindgirdle.e2e.harness;

import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.kindgirdle.server.harness.Client;

/**
 * Several growers who record without a pause, as phones do: each record keeps its identity and goes again until it is
 * answered, whatever becomes of the server meanwhile.
 */
public final class Storm {

    private static final int GROWERS = 6;
    private static final int PAUSE_MS = 50;

    private final RunningApplication application;
    private final List<String> codes;
    private final Set<UUID> acknowledged = ConcurrentHashMap.newKeySet();
    private final Map<String, Integer> answers = new ConcurrentHashMap<>();
    private final AtomicInteger sentAgain = new AtomicInteger();
    private final ExecutorService growers = Executors.newFixedThreadPool(GROWERS);
    private volatile boolean goesOn = true;

    public Storm(RunningApplication application, List<String> codes, long seed) {
        this.application = application;
        this.codes = codes;
        Random seeds = new Random(seed);
        for (int i = 0; i < GROWERS; i++) {
            long own = seeds.nextLong();
            growers.submit(() -> record(new Random(own)));
        }
    }

    private void record(Random random) {
        Client client = null;
        while (goesOn) {
            UUID id = new UUID(random.nextLong(), random.nextLong());
            String path = "/api/v1/layers/" + codes.get(random.nextInt(codes.size())) + "/records";
            Map<String, Object> body = Map.of("kind", "NOTED", "details", Map.of(), "note", "storm " + id);
            boolean isAnswered = false;
            // what was begun is carried to its end, after the storm too
            while (!isAnswered) {
                try {
                    client = client == null ? application.api("ivo") : client;
                    int status = client.post(path, id, body).status();
                    answers.merge(Integer.toString(status), 1, Integer::sum);
                    isAnswered = status == 201;
                    client = status == 401 ? null : client;
                } catch (UncheckedIOException | AssertionError away) {
                    answers.merge("none", 1, Integer::sum);
                }
                if (isAnswered) {
                    acknowledged.add(id);
                } else {
                    sentAgain.incrementAndGet();
                    pause();
                }
            }
        }
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(PAUSE_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    public int acknowledged() {
        return acknowledged.size();
    }

    /** Waits until so many more have been acknowledged. */
    public void awaitMore(int more) {
        int wanted = acknowledged() + more;
        long until = System.nanoTime() + TimeUnit.MINUTES.toNanos(3);
        while (acknowledged() < wanted) {
            if (System.nanoTime() > until) {
                throw new AssertionError("no more is acknowledged: " + acknowledged() + ", answers " + answers);
            }
            pause();
        }
    }

    /**
     * What is left.
     *
     * @param lost acknowledged, and not there
     * @param doubled there more than once
     * @param answers how often each status came back; "none" where the line broke
     */
    public record Left(
            int acknowledged, List<String> lost, List<String> doubled, int sentAgain, Map<String, Integer> answers) {}

    /** Ends it and counts. */
    public Left end() {
        goesOn = false;
        growers.shutdown();
        try {
            if (!growers.awaitTermination(3, TimeUnit.MINUTES)) {
                throw new AssertionError("a record is never answered: " + answers);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        Map<String, Integer> there = new TreeMap<>();
        Client reader = application.api("pell");
        for (String code : codes) {
            reader.get("/api/v1/layers/" + code)
                    .expect(200)
                    .body()
                    .path("records")
                    .valueStream()
                    .map(one -> one.path("note").asString())
                    .filter(note -> note.startsWith("storm "))
                    .forEach(note -> there.merge(note.substring("storm ".length()), 1, Integer::sum));
        }
        List<String> lost = new ArrayList<>();
        acknowledged.stream()
                .map(UUID::toString)
                .filter(id -> !there.containsKey(id))
                .forEach(lost::add);
        List<String> doubled = there.entrySet().stream()
                .filter(one -> one.getValue() > 1)
                .map(Map.Entry::getKey)
                .toList();
        return new Left(acknowledged.size(), lost, doubled, sentAgain.get(), new TreeMap<>(answers));
    }
}
