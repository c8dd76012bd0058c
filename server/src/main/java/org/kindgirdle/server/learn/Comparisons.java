package org.kindgirdle.server.learn;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.core.learn.TrialSize;
import org.kindgirdle.core.learn.TwoShares;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Component;

/** Two shares side by side: how far apart they are, whether chance would do that too, and what would settle it. */
@Component
class Comparisons {

    /** Of a two-sided test, and the chance to find a true difference: what trials are sized by as well. */
    static final double SIGNIFICANCE = .05;

    static final double POWER = .8;

    private final Phrases phrases;

    Comparisons(Phrases phrases) {
        this.phrases = phrases;
    }

    LedgerView.SideBySide of(String nameA, Share a, String nameB, Share b) {
        TwoShares both = new TwoShares(a, b);
        boolean any = a.n() > 0 && b.n() > 0;
        double p = both.fisherP();
        boolean settled = any && p < SIGNIFICANCE;
        Integer more = any && !settled ? moreEach(a, b) : null;
        return new LedgerView.SideBySide(
                Ledger.figure(a),
                Ledger.figure(b),
                any ? Double.valueOf(both.difference()) : null,
                any ? Double.valueOf(both.differenceLow()) : null,
                any ? Double.valueOf(both.differenceHigh()) : null,
                p,
                settled,
                more,
                sentence(nameA, a, nameB, b, both, settled, more));
    }

    /** Null where both are alike so far: a difference of no size is settled by no number. */
    private static @Nullable Integer moreEach(Share a, Share b) {
        double shareA = inside(a);
        double shareB = inside(b);
        if (a.successes() * (long) b.n() == b.successes() * (long) a.n()) {
            return null;
        }
        int needed = TrialSize.perArm(shareA, shareB, SIGNIFICANCE, POWER);
        return Math.max(1, needed - Math.min(a.n(), b.n()));
    }

    /** None or all of them are no certainty: half a layer is lent to each side. */
    private static double inside(Share share) {
        boolean edge = share.successes() == 0 || share.failures() == 0;
        return edge ? (share.successes() + .5) / (share.n() + 1.0) : share.value();
    }

    private String sentence(
            String nameA, Share a, String nameB, Share b, TwoShares both, boolean settled, @Nullable Integer more) {
        if (a.n() == 0 || b.n() == 0) {
            return phrases.say("compare.nothing");
        }
        boolean aBetter = both.difference() > 0;
        Map<String, String> values = new HashMap<>();
        values.put("better", aBetter ? nameA : nameB);
        values.put("worse", aBetter ? nameB : nameA);
        values.put("high", percent(aBetter ? a.value() : b.value()));
        values.put("low", percent(aBetter ? b.value() : a.value()));
        values.put("from", points(aBetter ? both.differenceLow() : -both.differenceHigh()));
        values.put("to", points(aBetter ? both.differenceHigh() : -both.differenceLow()));
        values.put("p", chance(both.fisherP()));
        values.put("more", String.valueOf(more));
        if (settled) {
            return phrases.say("compare.settled", values);
        }
        return phrases.say(more == null ? "compare.alike" : "compare.open", values);
    }

    private static String percent(double share) {
        return Math.round(share * 100) + "%";
    }

    private static String points(double difference) {
        return String.valueOf(Math.round(difference * 100));
    }

    /** How often chance alone brings as much; a p that rounds to 100 in a hundred says nothing as a count. */
    private String chance(double p) {
        long inHundred = Math.round(p * 100);
        if (inHundred >= 1 && inHundred < 100) {
            return phrases.say("compare.chance.some", Map.of("count", String.valueOf(inHundred)));
        }
        return phrases.say(
                inHundred >= 100
                        ? "compare.chance.always"
                        : p < .001 ? "compare.chance.thousand" : "compare.chance.hundred");
    }
}
