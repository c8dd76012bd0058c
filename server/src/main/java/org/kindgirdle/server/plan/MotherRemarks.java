package org.kindgirdle.server.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.plan.BranchRule;
import org.kindgirdle.core.plan.Limb;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.core.plan.MotherCapacity;
import org.kindgirdle.core.plan.MotherFacts;
import org.kindgirdle.core.plan.MotherRule;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.mothers.Rights;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Service;

/** What the core's rules have to say of a mother, and how much room it has, in words. */
@Service
public class MotherRemarks {

    private final Phrases phrases;

    MotherRemarks(Phrases phrases) {
        this.phrases = phrases;
    }

    /** A mother's capacity with so many shoots under rings. */
    public static MotherCapacity capacity(MotherView mother, int underRings, HouseRules rules) {
        return new MotherCapacity(mother.leafyShoots(), underRings, mother.toBeCutDown(), rules);
    }

    /** What speaks against layers on it, the gravest first; nothing of what is fine. */
    public List<Remark> of(
            MotherView mother,
            SpeciesProfile species,
            Method method,
            MotherCapacity capacity,
            boolean liveShootBelow,
            Format format) {
        MotherFacts facts = new MotherFacts(
                species,
                method,
                !mother.inUse(),
                mother.sick(),
                mother.rights() == Rights.PROTECTED,
                capacity,
                liveShootBelow,
                method.buriesTheBase() && !liveShootBelow);
        Map<String, String> values = values(mother, species, capacity, format);
        return MotherRule.check(facts).stream()
                .filter(entry -> entry.level() != Level.FINE)
                .sorted((a, b) -> a.level().compareTo(b.level()))
                .map(entry -> new Remark(
                        entry.level(),
                        entry.rule().name(),
                        phrases.say("plan." + entry.level() + "." + entry.rule(), values)))
                .toList();
    }

    /** What is to be said before a ring is cut on a limb of it. */
    List<Remark> ofLimb(
            MotherView mother, SpeciesProfile species, Limb facts, LimbView limb, HouseRules rules, Format format) {
        List<Remark> all = new ArrayList<>(
                of(mother, species, Method.AIR, capacity(mother, 0, rules), limb.shootBelow(), format).stream()
                        .filter(remark -> remark.key().equals(MotherRule.NO_SHOOT_BELOW.name()))
                        .toList());
        Map<String, String> values = Map.of(
                "thin", format.lengthMm(RingAndBall.thinMm(rules)),
                "leaves", String.valueOf(LimbScore.leavesWanted(rules)));
        BranchRule.checkAll(rules, facts).stream()
                .filter(entry -> entry.level() != Level.FINE)
                .forEach(entry -> all.add(new Remark(
                        entry.level(), entry.rule().name(), phrases.say("limb.remark." + entry.rule(), values))));
        return all;
    }

    /** How many more layers it can take: none of one that may not be cloned. */
    int room(MotherView mother, MotherCapacity capacity) {
        return mother.sick() || !mother.inUse() || mother.rights() == Rights.PROTECTED ? 0 : capacity.room();
    }

    /** How many more layers it can take, and why not more. */
    String roomWords(MotherView mother, SpeciesProfile species, MotherCapacity capacity, Format format) {
        String key;
        if (!mother.inUse()) {
            key = "room.retired";
        } else if (mother.sick()) {
            key = "room.sick";
        } else if (mother.rights() == Rights.PROTECTED) {
            key = "room.rights";
        } else if (capacity.most() == 0) {
            key = "room.few";
        } else {
            key = capacity.room() > 0 ? "room.some" : "room.full";
        }
        return phrases.say(key, values(mother, species, capacity, format));
    }

    private static Map<String, String> values(
            MotherView mother, SpeciesProfile species, MotherCapacity capacity, Format format) {
        Map<String, String> values = new HashMap<>();
        values.put("mother", mother.code());
        values.put("variety", mother.variety().isBlank() ? species.common() : mother.variety());
        values.put("species", species.common());
        values.put("fit", species.ownRoots().name().toLowerCase(Locale.ROOT));
        values.put("regulated", species.regulated());
        values.put("hazards", species.hazards());
        values.put("shoots", String.valueOf(mother.leafyShoots()));
        values.put("count", String.valueOf(capacity.underRings()));
        values.put("most", String.valueOf(capacity.most()));
        values.put("room", String.valueOf(capacity.room()));
        values.put("on", mother.retiredOn() == null ? "" : format.day(mother.retiredOn()));
        return values;
    }
}
