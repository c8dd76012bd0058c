package org.kindgirdle.server.set;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.plan.BranchRule;
import org.kindgirdle.core.plan.Limb;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.plan.Remark;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Component;

/** What the core's rules have to say of one branch of a batch, in words. */
@Component
class BranchRemarks {

    private final Phrases phrases;

    BranchRemarks(Phrases phrases) {
        this.phrases = phrases;
    }

    /** What is to be said of one branch, whatever stands beside it. */
    List<Remark> of(LayerProjection layer, LayerContext context, Format format) {
        LayerRecord.Setting set = layer.state().set();
        Limb limb = new Limb(
                set.diameterMm(),
                set.woodTaken(),
                set.leanTakenDeg(context.rules()),
                context.vigour(),
                set.leavesTaken(context.rules()),
                false);
        Map<String, String> values = Map.of(
                "thin", format.lengthMm(RingAndBall.thinMm(context.rules())),
                "leaves", String.valueOf(LimbScore.leavesWanted(context.rules())));
        return BranchRule.checkAll(context.rules(), limb).stream()
                .filter(entry -> entry.level() != Level.FINE)
                .filter(entry -> entry.rule() != BranchRule.FEW_LEAVES || set.leavesBeyond() != null)
                .filter(entry -> entry.rule() != BranchRule.THIN
                        || context.recipe().wound().isRing())
                .map(entry -> new Remark(
                        entry.level(),
                        entry.rule().name(),
                        phrases.say("plan." + entry.level() + "." + entry.rule(), values)))
                .toList();
    }

    /** What the sums of one branch warn of: a strength above its band, and a ball that the limb does not bear. */
    List<Remark> ofSums(SetRequest request, LayerProjection layer, LayerContext context, Format format) {
        List<Remark> said = new ArrayList<>();
        Wood wood = layer.state().set().woodTaken();
        if (layer.factors().hormoneFit() == HormoneFit.ABOVE) {
            HormoneFit.Band band =
                    HormoneFit.band(context.rules(), context.species().difficulty(), wood);
            said.add(new Remark(
                    Level.WARN,
                    "HORMONE_ABOVE",
                    phrases.say(
                            "bench.hormone-above",
                            Map.of(
                                    "has",
                                            String.valueOf(
                                                    Math.round(context.recipe().hormonePpm())),
                                    "high", String.valueOf(Math.round(band.highPpm())),
                                    "low", String.valueOf(Math.round(band.lowPpm())),
                                    "wood", phrases.say("wood.within." + wood)))));
        }
        if (request.relief() == null && layer.load().verdict() == BranchLoad.Bearing.SMALLER_OR_PROP_FIRST) {
            said.add(new Remark(
                    Level.WARN,
                    "LOAD",
                    phrases.say(
                            "bench.load",
                            Map.of(
                                    "mass", format.massG(layer.load().massG()),
                                    "load", format.percent(layer.load().utilisation())))));
        }
        return said;
    }
}
