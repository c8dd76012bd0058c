package org.kindgirdle.server.photos;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;

class PictureQueueTest {

    @Test
    void two_are_at_it_and_the_others_have_their_turn_after_them() throws Exception {
        PictureQueue queue = new PictureQueue(Duration.ofSeconds(20));
        AtomicInteger now = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        ExecutorService senders = Executors.newFixedThreadPool(10);
        List<Future<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            all.add(senders.submit(() -> queue.inTurn(() -> {
                int here = now.incrementAndGet();
                most.accumulateAndGet(here, Math::max);
                pause();
                now.decrementAndGet();
                return here;
            })));
        }
        for (Future<Integer> one : all) {
            assertThat(one.get()).isLessThanOrEqualTo(2);
        }
        assertThat(most.get()).isEqualTo(2);
        senders.shutdown();
    }

    @Test
    void whoever_waits_too_long_or_finds_the_queue_full_is_told_to_come_again() throws Exception {
        PictureQueue queue = new PictureQueue(Duration.ofMillis(50));
        CountDownLatch done = new CountDownLatch(1);
        CountDownLatch begun = new CountDownLatch(2);
        ExecutorService senders = Executors.newFixedThreadPool(2);
        for (int i = 0; i < 2; i++) {
            senders.submit(() -> queue.inTurn(() -> {
                begun.countDown();
                try {
                    return done.await(30, TimeUnit.SECONDS);
                } catch (InterruptedException e) {
                    throw new IllegalStateException(e);
                }
            }));
        }
        begun.await();
        assertThatThrownBy(() -> queue.inTurn(() -> 1))
                .isInstanceOf(ProblemException.class)
                .hasMessage(Refusals.say("photo.turn"));
        done.countDown();
        senders.shutdown();
        assertThat(senders.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
        assertThat(queue.inTurn(() -> 1)).isEqualTo(1);
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(20);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
