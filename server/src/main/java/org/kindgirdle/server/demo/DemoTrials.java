package org.kindgirdle.server.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.kindgirdle.server.learn.TrialView;
import org.kindgirdle.server.learn.Trials;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;

/** The two trials of the seasons that are over: one asked for a difference that is there, the other for none. */
@Component
class DemoTrials {

    private static final LocalDate FIRST = LocalDate.of(2024, 5, 7);
    private static final LocalDate SECOND = LocalDate.of(2025, 5, 13);
    private static final long SEED = 20240507;

    private final Trials trials;
    private final BusinessClock clock;

    DemoTrials(Trials trials, BusinessClock clock) {
        this.trials = trials;
        this.clock = clock;
    }

    /** A place with the recipe that it was dealt, and the day on which it was set. */
    record Dealt(long slotId, long motherId, long recipeId, LocalDate on) {}

    List<Dealt> begin(Map<String, Long> mothers, Map<String, Long> recipes) {
        List<Dealt> all = new ArrayList<>();
        clock.moveTo(FIRST);
        all.addAll(begin(
                FIRST,
                "Scraped or not",
                "Do more quinces root if the wood under the ring is scraped?",
                List.of(id(recipes, "Moss and foil"), id(recipes, "Ring left unscraped")),
                new TrialView.SizeQuery(.9, .5, .05, .8),
                List.of(place(mothers, "QU-01", 24), place(mothers, "QU-02", 24))));
        clock.moveTo(SECOND);
        all.addAll(begin(
                SECOND,
                "Moss or coir",
                "Do more mulberries root in moss than in coir?",
                List.of(id(recipes, "Moss and foil"), id(recipes, "Coir and foil")),
                new TrialView.SizeQuery(.8, .5, .05, .8),
                List.of(place(mothers, "MU-01", 14), place(mothers, "MU-02", 10))));
        return all;
    }

    private List<Dealt> begin(
            LocalDate on,
            String name,
            String question,
            List<Long> recipes,
            TrialView.SizeQuery size,
            List<TrialView.TrialPlaceEdit> places) {
        TrialView.TrialPage page = trials.begin(new TrialView.TrialEdit(name, question, recipes, size, places, SEED));
        return page.places().stream()
                .map(place -> new Dealt(place.slotId(), place.motherId(), recipes.get(place.arm()), on))
                .toList();
    }

    private static TrialView.TrialPlaceEdit place(Map<String, Long> mothers, String mother, int count) {
        return new TrialView.TrialPlaceEdit(id(mothers, mother), null, count);
    }

    private static long id(Map<String, Long> ids, String name) {
        return Objects.requireNonNull(ids.get(name), name);
    }
}
