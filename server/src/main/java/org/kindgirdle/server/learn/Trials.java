package org.kindgirdle.server.learn;

import jakarta.persistence.EntityManager;
import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.learn.RecipeDifference;
import org.kindgirdle.core.learn.TrialAllocation;
import org.kindgirdle.core.learn.TrialSize;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.recipes.RecipeViewBuilder;
import org.kindgirdle.server.recipes.Recipes;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Trials: their arms, their size and the deal of their places. */
@Service
public class Trials {

    private static final int MAX_PLACES = 2000;

    private final TrialRepository trials;
    private final TrialSlots slots;
    private final TrialWords words;
    private final TrialResults results;
    private final Recipes recipes;
    private final Snapshots snapshots;
    private final Limbs limbs;
    private final CurrentPerson person;
    private final TrialSlotRepository slotRows;
    private final EntityManager entities;
    private final SecureRandom random = new SecureRandom();

    Trials(
            TrialRepository trials,
            TrialSlots slots,
            TrialWords words,
            TrialResults results,
            Recipes recipes,
            Snapshots snapshots,
            Limbs limbs,
            CurrentPerson person,
            TrialSlotRepository slotRows,
            EntityManager entities) {
        this.trials = trials;
        this.slots = slots;
        this.words = words;
        this.results = results;
        this.recipes = recipes;
        this.snapshots = snapshots;
        this.limbs = limbs;
        this.person = person;
        this.slotRows = slotRows;
        this.entities = entities;
    }

    /** How many layers each of so many arms needs. */
    TrialView.TrialSizeView size(TrialView.SizeQuery query, int arms) {
        int perArm = perArm(query);
        return new TrialView.TrialSizeView(perArm, perArm * arms, words.size(query, perArm, arms));
    }

    private static int perArm(TrialView.SizeQuery query) {
        if (query.share().equals(query.otherShare())) {
            throw ProblemException.invalid(
                    "otherShare",
                    query.otherShare(),
                    Refusals.say("trial.otherShare.allowed", "share", query.share()),
                    Refusals.say("trial.otherShare"));
        }
        return TrialSize.perArm(query.share(), query.otherShare(), query.significance(), query.power());
    }

    /** The newest first. */
    @Transactional(readOnly = true)
    List<TrialView.TrialLine> all() {
        NurserySnapshot nursery = snapshots.take();
        Map<Long, List<TrialSlots.Slot>> places = slots.all();
        return trials.findAllByOrderByIdDesc().stream()
                .map(row -> line(row, places.getOrDefault(row.id(), List.of()), nursery))
                .toList();
    }

    @Transactional(readOnly = true)
    TrialView.TrialPage page(long id) {
        return page(trial(id));
    }

    @Transactional(readOnly = true)
    Optional<TrialView.OfLayer> ofLayer(String code) {
        NurserySnapshot nursery = snapshots.take();
        return slots.ofLayer(code).stream()
                .findFirst()
                .map(slot -> new TrialView.OfLayer(
                        slot.trialId(),
                        slot.trial(),
                        slot.letter(),
                        nursery.recipe(slot.assignedRecipe()).name(),
                        slot.isAsDealt()));
    }

    @Transactional
    public TrialView.TrialPage begin(TrialView.TrialEdit edit) {
        NurserySnapshot nursery = snapshots.take();
        trials.findByName(edit.name().strip()).ifPresent(other -> {
            throw taken(edit.name());
        });
        if (new HashSet<>(edit.recipeIds()).size() < edit.recipeIds().size()) {
            throw ProblemException.invalid(
                    "recipeIds",
                    edit.recipeIds(),
                    Refusals.say("trial.recipes.allowed"),
                    Refusals.say("trial.recipes"));
        }
        List<RecipeView> recipes =
                edit.recipeIds().stream().map(nursery::recipe).toList();
        List<TrialView.TrialPlaceEdit> places = places(edit, nursery);
        long seed = edit.seed() == null ? random.nextInt(Integer.MAX_VALUE) : edit.seed();
        TrialAllocation deal = TrialAllocation.of(
                places.stream().map(TrialView.TrialPlaceEdit::motherId).toList(), recipes.size(), seed);
        TrialRow row = TrialRow.fresh();
        row.name = edit.name().strip();
        row.question = edit.question().strip();
        row.share = edit.size().share();
        row.otherShare = edit.size().otherShare();
        row.significance = edit.size().significance();
        row.power = edit.size().power();
        row.perArm = perArm(edit.size());
        row.seed = seed;
        row.madeBy = person.fullName();
        row.madeOn = nursery.today();
        long id = written(row).id();
        for (int arm = 0; arm < recipes.size(); arm++) {
            RecipeView recipe = recipes.get(arm);
            entities.persist(new TrialArmRow(id, arm, key(recipe.id()), recipe.number()));
        }
        // the places refer to the arms
        entities.flush();
        for (int i = 0; i < places.size(); i++) {
            TrialView.TrialPlaceEdit place = places.get(i);
            entities.persist(new TrialSlotRow(
                    id, i + 1, place.motherId(), place.limbId(), deal.arms().get(i)));
        }
        return page(row);
    }

    private TrialRow written(TrialRow row) {
        try {
            return trials.saveAndFlush(row);
        } catch (DataIntegrityViolationException another) {
            // two began it at the same moment
            throw taken(row.name);
        }
    }

    private static ProblemException taken(String name) {
        return ProblemException.invalid("name", name, Refusals.say("trial.name.allowed"), Refusals.say("trial.name"));
    }

    /** One entry a place, in the order in which they were listed. */
    private List<TrialView.TrialPlaceEdit> places(TrialView.TrialEdit edit, NurserySnapshot nursery) {
        List<TrialView.TrialPlaceEdit> all = new ArrayList<>();
        for (int i = 0; i < edit.places().size(); i++) {
            TrialView.TrialPlaceEdit place = edit.places().get(i);
            MotherView mother = nursery.mother(place.motherId());
            String field = "places[" + i + "].";
            if (!mother.inUse()) {
                throw ProblemException.invalid(
                        field + "motherId",
                        mother.code(),
                        Refusals.say("mother.unused.allowed"),
                        Refusals.say("mother.unused"));
            }
            Long limbId = place.limbId();
            if (limbId != null) {
                LimbView limb = limbs.one(limbId);
                if (!limb.motherId().equals(place.motherId()) || !limb.stands()) {
                    throw ProblemException.invalid(
                            field + "limbId",
                            limb.name(),
                            Refusals.say("trial.limb.allowed", "mother", mother.code()),
                            Refusals.say("trial.limb"));
                }
            }
            all.addAll(Collections.nCopies(place.count(), place));
        }
        if (all.size() < edit.recipeIds().size() || all.size() > MAX_PLACES) {
            throw ProblemException.invalid(
                    "places",
                    all.size(),
                    Refusals.say(
                            "trial.places.allowed", "least", edit.recipeIds().size(), "most", MAX_PLACES),
                    Refusals.say("trial.places"));
        }
        return all;
    }

    @Transactional
    TrialView.TrialPage close(long id, long version) {
        TrialRow row = trial(id);
        if (version != row.version || row.closedOn != null) {
            throw ProblemException.conflict(
                    Refusals.say("quicker.title"), Refusals.say("trial.changed"), Map.of("current", page(row)));
        }
        row.closedOn = snapshots.take().today();
        trials.saveAndFlush(row);
        return page(row);
    }

    private TrialRow trial(long id) {
        return trials.findById(id).orElseThrow(() -> ProblemException.notFound("trial", id));
    }

    private TrialView.TrialPage page(TrialRow row) {
        NurserySnapshot nursery = snapshots.take();
        List<TrialSlots.Slot> places = slots.ofTrial(row.id());
        TrialView.TrialLine line = line(row, places, nursery);
        TrialView.TrialResult result = results.of(line, places);
        return new TrialView.TrialPage(
                line,
                new TrialView.SizeQuery(row.share, row.otherShare, row.significance, row.power),
                row.seed,
                row.madeBy,
                words.remarks(line, result.open()),
                result,
                decision(row, line),
                places.stream().map(slot -> place(slot, nursery)).toList(),
                row.version);
    }

    private static TrialView.@Nullable TrialDecision decision(TrialRow row, TrialView.TrialLine line) {
        Integer arm = row.decidedArm;
        return arm == null
                ? null
                : new TrialView.TrialDecision(
                        arm,
                        line.arms().get(arm).recipe(),
                        Objects.requireNonNullElse(row.decidedBy, ""),
                        Objects.requireNonNull(row.decidedOn),
                        Objects.requireNonNullElse(row.decidedNote, ""));
    }

    /**
     * What is done from now on: the recipe of the first arm, which is the usual way, becomes what the chosen arm was. A
     * trial that is decided is over.
     */
    @Transactional
    TrialView.TrialPage decide(long id, TrialView.TrialChoice choice) {
        TrialRow row = trial(id);
        if (choice.version() != row.version || row.decidedArm != null) {
            throw ProblemException.conflict(
                    Refusals.say("quicker.title"), Refusals.say("trial.changed"), Map.of("current", page(row)));
        }
        NurserySnapshot now = snapshots.take();
        TrialView.TrialLine line = line(row, slots.ofTrial(id), now);
        if (choice.arm() >= line.arms().size()) {
            throw ProblemException.invalid(
                    "arm",
                    choice.arm(),
                    Refusals.say("trial.arm.allowed", "last", line.arms().size() - 1),
                    Refusals.say("trial.arm"));
        }
        if (choice.arm() > 0) {
            TrialView.ArmView chosen = line.arms().get(choice.arm());
            RecipeView usual = now.recipe(line.arms().get(0).recipeId());
            recipes.save(RecipeViewBuilder.builder(usual)
                    .school(now.recipe(chosen.recipeId()).school())
                    .recipe(now.recipe(chosen.recipeId(), chosen.recipeNumber()))
                    .build());
        }
        row.decidedArm = choice.arm();
        row.decidedBy = person.fullName();
        row.decidedOn = now.today();
        row.decidedNote = choice.note().strip();
        if (row.closedOn == null) {
            row.closedOn = now.today();
        }
        trials.saveAndFlush(row);
        return page(row);
    }

    private static TrialView.TrialSlotView place(TrialSlots.Slot slot, NurserySnapshot nursery) {
        Long actual = slot.actualRecipe();
        return new TrialView.TrialSlotView(
                slot.id(),
                slot.position(),
                slot.motherId(),
                nursery.mother(slot.motherId()).code(),
                slot.limbId(),
                slot.limb(),
                slot.arm(),
                slot.code(),
                actual == null ? null : nursery.recipe(actual).name());
    }

    private TrialView.TrialLine line(TrialRow row, List<TrialSlots.Slot> places, NurserySnapshot nursery) {
        List<TrialView.ArmView> arms = new ArrayList<>();
        List<TrialArmRow> kept = slotRows.arms(row.id());
        for (TrialArmRow arm : kept) {
            int number = arm.key.number();
            RecipeView recipe = nursery.recipe(arm.recipeId);
            RecipeView first = nursery.recipe(kept.get(0).recipeId);
            List<TrialSlots.Slot> dealt =
                    places.stream().filter(slot -> slot.arm() == number).toList();
            arms.add(new TrialView.ArmView(
                    number,
                    TrialSlots.letter(number),
                    key(recipe.id()),
                    arm.recipeNumber,
                    recipe.name(),
                    differences(first, recipe),
                    dealt.size(),
                    (int) dealt.stream().filter(TrialSlots.Slot::isAsDealt).count(),
                    (int) dealt.stream()
                            .filter(slot -> slot.code() != null && !slot.isAsDealt())
                            .count()));
        }
        return new TrialView.TrialLine(
                row.id(),
                row.name,
                row.question,
                arms,
                places.size(),
                (int) places.stream().filter(slot -> slot.code() != null).count(),
                row.perArm,
                row.madeOn,
                row.closedOn);
    }

    static Set<RecipeDifference> differences(RecipeView first, RecipeView other) {
        return RecipeDifference.between(first.recipe(), first.school(), other.recipe(), other.school());
    }

    /** What these recipes as arms would have to be told. */
    @Transactional(readOnly = true)
    List<String> compare(List<Long> recipeIds) {
        NurserySnapshot nursery = snapshots.take();
        List<RecipeView> recipes = recipeIds.stream().map(nursery::recipe).toList();
        List<String> said = new ArrayList<>();
        for (RecipeView other : recipes.subList(Math.min(1, recipes.size()), recipes.size())) {
            said.add(words.difference(recipes.get(0).name(), other.name(), differences(recipes.get(0), other)));
        }
        return said;
    }

    private static long key(@Nullable Long id) {
        return id == null ? 0 : id;
    }
}
