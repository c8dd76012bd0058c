package org.kindgirdle.core.lived;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.truth.Clime;

/** {@code ./kg live}: the story of one layer, day by day, or with {@code --all} what came of all. */
class LiveRun {

    private static final double LEAST_SHARE = .8;

    @Test
    void run() {
        long seed = Long.getLong("live.seed", 1);
        int layer = Integer.getInteger("live.layer", -1);
        int years = Integer.getInteger("live.years", 3);
        String wanted = System.getProperty("live.climate", "").toLowerCase(Locale.ROOT);
        List<Clime> climes = Clime.eight();
        String names = String.join(", ", climes.stream().map(Clime::name).toList());
        climes.removeIf(clime -> !clime.name().toLowerCase(Locale.ROOT).contains(wanted));
        assertThat(climes)
                .as("no climate is called '%s'; there are %s", wanted, names)
                .isNotEmpty();
        List<LivedNursery.Result> all = new ArrayList<>();
        for (Clime clime : climes) {
            all.add(LivedNursery.live(clime, seed, years, number -> layer < 0 || number == layer, layer));
        }
        all.forEach(LiveRun::tell);
        System.out.println("| Climate | Layers | Released | With all known | By the calendar | Must never happen |");
        System.out.println("|---|---|---|---|---|---|");
        all.forEach(lived -> System.out.printf(
                "| %s | %d | %d | %d | %d | %d |%n",
                lived.clime(),
                lived.layers(),
                lived.follower(),
                lived.knowing(),
                lived.calendar(),
                lived.cases().size()));
        for (LivedNursery.Result lived : all) {
            assertThat(lived.cases()).as(lived.clime()).isEmpty();
            if (layer < 0 && years == 3) {
                assertThat((double) lived.follower())
                        .as(lived.clime())
                        .isGreaterThanOrEqualTo(LEAST_SHARE * lived.knowing());
                assertThat(lived.follower()).as(lived.clime()).isGreaterThan(lived.calendar());
            }
        }
    }

    private static void tell(LivedNursery.Result lived) {
        lived.told().forEach(System.out::println);
        System.out.printf(
                "%s: %s; the longest round took %.0f minutes, %d were cut short%n",
                lived.clime(), lived.ends(), lived.longestRound(), lived.cutShort());
        Case.byKind(lived.cases()).forEach((what, cases) -> {
            System.out.println("  " + what + ": " + cases.size() + " times");
            cases.stream().limit(3).forEach(one -> System.out.println("    " + one));
        });
    }
}
