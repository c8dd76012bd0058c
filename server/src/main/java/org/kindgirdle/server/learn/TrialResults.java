package org.kindgirdle.server.learn;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.kindgirdle.core.learn.BlockedDifference;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.core.learn.TwoShares;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Component;

/** What came of a trial: each arm, each against the first, and within mothers. */
@Component
class TrialResults {

    private final Comparisons comparisons;
    private final Snapshots snapshots;
    private final Phrases phrases;

    TrialResults(Comparisons comparisons, Snapshots snapshots, Phrases phrases) {
        this.comparisons = comparisons;
        this.snapshots = snapshots;
        this.phrases = phrases;
    }

    TrialView.TrialResult of(TrialView.TrialLine line, List<TrialSlots.Slot> places) {
        List<TrialSlots.Slot> counted =
                places.stream().filter(TrialSlots.Slot::isAsDealt).toList();
        int decided =
                (int) counted.stream().filter(slot -> slot.rooted() != null).count();
        int open = (int) places.stream()
                .filter(slot -> slot.code() == null || slot.isAsDealt() && slot.rooted() == null)
                .count();
        NurserySnapshot nursery = snapshots.take();
        List<TrialView.ArmResult> arms =
                line.arms().stream().map(arm -> arm(arm, counted, nursery)).toList();
        List<TrialView.AgainstFirst> others = line.arms().stream()
                .skip(1)
                .map(arm -> against(line.arms().get(0), arm, counted))
                .toList();
        // a trial that was closed will not be decided further
        boolean over = open == 0 || line.closedOn() != null;
        return new TrialView.TrialResult(decided, open, verdict(decided, places.size(), over, others), arms, others);
    }

    private static TrialView.ArmResult arm(
            TrialView.ArmView arm, List<TrialSlots.Slot> counted, NurserySnapshot nursery) {
        List<TrialSlots.Slot> own = of(arm, counted);
        List<TrialView.OnMother> mothers = new ArrayList<>();
        byMother(own)
                .forEach((mother, slots) -> mothers.add(new TrialView.OnMother(
                        nursery.mother(mother).code(),
                        share(slots).successes(),
                        share(slots).n())));
        return new TrialView.ArmResult(
                arm.number(),
                arm.letter(),
                arm.recipe(),
                Ledger.figure(share(own)),
                (int) own.stream().filter(slot -> slot.rooted() == null).count(),
                mothers);
    }

    private TrialView.AgainstFirst against(
            TrialView.ArmView first, TrialView.ArmView arm, List<TrialSlots.Slot> counted) {
        Map<Long, List<TrialSlots.Slot>> a = byMother(of(arm, counted));
        Map<Long, List<TrialSlots.Slot>> b = byMother(of(first, counted));
        BlockedDifference blocked = BlockedDifference.of(a.keySet().stream()
                .map(mother -> new TwoShares(share(a.get(mother)), share(b.getOrDefault(mother, List.of()))))
                .toList());
        boolean any = blocked.blocks() > 0;
        return new TrialView.AgainstFirst(
                arm.letter(),
                comparisons.of(first.recipe(), share(of(first, counted)), arm.recipe(), share(of(arm, counted))),
                any ? Double.valueOf(blocked.difference()) : null,
                any ? Double.valueOf(blocked.low()) : null,
                any ? Double.valueOf(blocked.high()) : null,
                any ? sentence(arm, blocked) : null);
    }

    private String sentence(TrialView.ArmView arm, BlockedDifference blocked) {
        boolean better = blocked.difference() >= 0;
        return phrases.say(
                "trial.blocked",
                Map.of(
                        "letter", arm.letter(),
                        "points", String.valueOf(Math.round(Math.abs(blocked.difference()) * 100)),
                        "way", phrases.say(better ? "trial.blocked.better" : "trial.blocked.worse"),
                        "from", points(better ? blocked.low() : -blocked.high()),
                        "to", points(better ? blocked.high() : -blocked.low())));
    }

    private String verdict(int decided, int all, boolean over, List<TrialView.AgainstFirst> others) {
        if (decided == 0) {
            return phrases.say("trial.nothing");
        }
        if (!over) {
            return phrases.say("trial.peek", Map.of("decided", String.valueOf(decided), "all", String.valueOf(all)));
        }
        boolean settled = others.stream().anyMatch(one -> one.side().settled());
        return phrases.say(
                settled ? "trial.end.settled" : "trial.end.open",
                Map.of(
                        "sentence",
                        others.stream().map(one -> one.side().sentence()).collect(Collectors.joining(" "))));
    }

    private static List<TrialSlots.Slot> of(TrialView.ArmView arm, List<TrialSlots.Slot> slots) {
        return slots.stream().filter(slot -> slot.arm() == arm.number()).toList();
    }

    private static Map<Long, List<TrialSlots.Slot>> byMother(List<TrialSlots.Slot> slots) {
        return slots.stream()
                .collect(Collectors.groupingBy(TrialSlots.Slot::motherId, TreeMap::new, Collectors.toList()));
    }

    private static Share share(List<TrialSlots.Slot> slots) {
        return new Share(
                (int) slots.stream()
                        .filter(slot -> Boolean.TRUE.equals(slot.rooted()))
                        .count(),
                (int) slots.stream().filter(slot -> slot.rooted() != null).count());
    }

    private static String points(double difference) {
        return String.valueOf(Math.round(difference * 100));
    }
}
