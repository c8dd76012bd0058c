package org.kindgirdle.server.harden;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.formats.Passport;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.mothers.MotherOrigins;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.units.Units;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The papers of a plant: what it is, where it comes from, and what was done. */
@Service
class Passports {

    private final LiveLayers layers;
    private final Snapshots snapshots;
    private final MotherOrigins origins;
    private final CurrentPerson person;
    private final Phrases phrases;

    Passports(LiveLayers layers, Snapshots snapshots, MotherOrigins origins, CurrentPerson person, Phrases phrases) {
        this.layers = layers;
        this.snapshots = snapshots;
        this.origins = origins;
        this.person = person;
        this.phrases = phrases;
    }

    @Transactional(readOnly = true)
    public Passport of(String code) {
        NurserySnapshot nursery = snapshots.take();
        LiveLayers.Live one = layers.one(code);
        Units units = person.units();
        Format format = new Format(units, nursery.today());
        SpeciesProfile species = one.context().species();
        List<String> small =
                new ArrayList<>(List.of(phrases.say("passport.printed", Map.of("day", day(nursery.today(), format)))));
        if (!species.hazards().isBlank()) {
            small.add(phrases.say("caution.SAP", Map.of("species", species.common(), "hazards", species.hazards())));
        }
        if (!species.regulated().isBlank()) {
            small.add(phrases.say("plan.WARN.REGULATED", Map.of("regulated", species.regulated())));
        }
        String variety = one.mother().variety();
        return new Passport(
                code,
                species.common() + (variety.isBlank() ? "" : " \u2018" + variety + "\u2019"),
                facts(one, species, nursery, format),
                history(one, format),
                small,
                units == Units.US);
    }

    private List<Passport.Line> facts(
            LiveLayers.Live one, SpeciesProfile species, NurserySnapshot nursery, Format format) {
        List<Passport.Line> facts = new ArrayList<>();
        Recipe recipe = one.context().recipe();
        LayerState state = one.projection().state();
        facts.add(line("passport.species", species.botanical()));
        facts.add(line("passport.mother", one.mother().code()));
        String line = origins
                .ancestry(one.mother().id() == null ? 0 : one.mother().id())
                .stream()
                .map(origin -> phrases.say(
                        "passport.from",
                        Map.of(
                                "layer", origin.layer(),
                                "mother", nursery.mother(origin.parentId()).code())))
                .collect(Collectors.joining("; "));
        if (!line.isEmpty()) {
            facts.add(line("passport.line", line));
        }
        facts.add(line("passport.method", phrases.say("passport.method." + recipe.method())));
        facts.add(line(
                "passport.recipe",
                phrases.say(
                        "passport.recipe.words",
                        Map.of(
                                "wound", phrases.say("passport.wound." + recipe.wound()),
                                "ppm", Math.round(recipe.hormonePpm()) + " ppm",
                                "medium", phrases.say("passport.medium." + recipe.medium())))));
        facts.add(line("passport.branch", format.lengthMm(state.set().diameterMm())));
        return facts;
    }

    private Passport.Line line(String key, String text) {
        return new Passport.Line(phrases.say(key), text);
    }

    /** What changed it, not every look at it: those are counted. */
    private List<Passport.Line> history(LiveLayers.Live one, Format format) {
        List<Passport.Line> history = new ArrayList<>();
        int looks = 0;
        int waterings = 0;
        for (LayerEvent event : one.inForce()) {
            if (event.what() instanceof LayerRecord.Looked) {
                looks++;
            } else if (event.what() instanceof LayerRecord.ToppedUp) {
                waterings++;
            } else {
                said(event.what(), format)
                        .ifPresent(text -> history.add(new Passport.Line(day(event.on(), format), text)));
            }
        }
        history.add(new Passport.Line(
                phrases.say("passport.care"),
                phrases.say(
                        "passport.care.words",
                        Map.of("looks", String.valueOf(looks), "waterings", String.valueOf(waterings)))));
        return history;
    }

    private static String day(LocalDate on, Format format) {
        // papers are read in other years than they were printed in
        return new Format(format.units(), on.plusYears(1)).day(on);
    }

    private Optional<String> said(LayerRecord what, Format format) {
        Map<String, String> values = new HashMap<>();
        String key;
        if (what instanceof LayerRecord.Setting) {
            key = "done.SET";
        } else if (what instanceof LayerRecord.Rerung again) {
            key = again.ringMm() == null ? "done.RERUNG.unmeasured" : "done.RERUNG";
            if (again.ringMm() != null) {
                values.put("ring", format.lengthMm(again.ringMm()));
            }
        } else if (what instanceof LayerRecord.StoodInWater) {
            key = "done.STOOD_IN_WATER";
        } else if (what instanceof LayerRecord.Severed cut) {
            Integer before = cut.leavesBefore();
            Integer left = cut.leavesLeft();
            key = before == null || left == null
                    ? "done.SEVERED.uncounted"
                    : before == 0 ? "done.SEVERED.bare" : "done.SEVERED";
            values.put("before", String.valueOf(before));
            values.put("left", String.valueOf(left));
        } else if (what instanceof LayerRecord.Potted potted) {
            Double potMl = potted.potMl();
            if (potMl != null && potMl == 0) {
                key = "done.PLANTED";
            } else {
                key = potMl == null || potted.medium() == null ? "done.POTTED.unsaid" : "done.POTTED";
                values.put("pot", potMl == null ? "" : format.volumeMl(potMl));
            }
            values.put(
                    "medium",
                    potted.medium() == null
                            ? ""
                            : phrases.say("medium.first." + potted.medium()).toLowerCase(Locale.ROOT));
        } else if (what instanceof LayerRecord.Moved moved) {
            key = "done.MOVED";
            values.put("rung", phrases.say("done.rung." + moved.rung()));
        } else if (what instanceof LayerRecord.Released released) {
            key = "done.RELEASED." + (released.destination() == null ? "UNSAID" : released.destination());
        } else if (what instanceof LayerRecord.Lost lost) {
            key = "done.LOST";
            values.put(
                    "cause",
                    lost.words() == null || lost.words().isEmpty()
                            ? phrases.say("cause." + lost.cause())
                            : lost.words());
        } else {
            return Optional.empty();
        }
        return Optional.of(phrases.say(key, values));
    }
}
