package org.kindgirdle.server.mothers;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.mothers.MotherHistory.EntryKind;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.nursery.Versions;
import org.kindgirdle.server.places.Places;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.species.SpeciesProfiles;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The mothers. No row of them is ever deleted, and every change of one is in its history. */
@Service
public class Mothers {

    /** What a history has entries of their own for, or does not tell. */
    private static final Set<String> NO_FACTS = Set.of("id", "version", "retiredOn", "mergedInto");

    private final MotherRepository mothers;
    private final SpeciesProfiles species;
    private final Places places;
    private final Limbs limbs;
    private final MotherHistory history;
    private final NurseryLock lock;
    private final BusinessClock clock;
    private final ApplicationEventPublisher events;

    Mothers(
            MotherRepository mothers,
            SpeciesProfiles species,
            Places places,
            Limbs limbs,
            MotherHistory history,
            NurseryLock lock,
            BusinessClock clock,
            ApplicationEventPublisher events) {
        this.mothers = mothers;
        this.species = species;
        this.places = places;
        this.limbs = limbs;
        this.history = history;
        this.lock = lock;
        this.clock = clock;
        this.events = events;
    }

    /** One mother turned out to be another one: what was set on it belongs to the other, in the open transaction. */
    public record Merged(long from, long into) {}

    /** Also those that are no longer used, in the order of their codes. */
    @Transactional(readOnly = true)
    public List<MotherView> all() {
        return mothers.findAll().stream()
                .map(Mother::view)
                .sorted((a, b) -> a.code().compareTo(b.code()))
                .toList();
    }

    @Transactional(readOnly = true)
    public MotherView one(long id) {
        return found(id).view();
    }

    @Transactional
    public MotherView save(MotherView edit) {
        if (edit.id() == null) {
            // no record is reckoned from a mother that was not there
            lock.shareForMore();
        } else {
            lock.holdForChange();
        }
        Mother one = edit.id() == null ? Mother.fresh() : found(edit.id());
        if (edit.id() != null) {
            Versions.check(edit.version(), one.version, edit, one.view());
        }
        check(edit, one);
        Map<String, @Nullable Object> before = edit.id() == null ? Map.of() : facts(one);
        one.take(edit);
        Mother saved = written(one);
        List<MotherHistory.Change> changes = MotherHistory.changes(before, facts(saved));
        if (edit.id() == null || !changes.isEmpty()) {
            history.add(id(saved), edit.id() == null ? EntryKind.ADDED : EntryKind.EDITED, clock.today(), changes, "");
        }
        if (edit.id() != null) {
            events.publishEvent(new MasterDataChanged("mother " + edit.code(), edit.id()));
        }
        return saved.view();
    }

    private Mother written(Mother one) {
        try {
            return mothers.saveAndFlush(one);
        } catch (DataIntegrityViolationException another) {
            // two added it at the same moment
            throw Versions.taken("code", one.code, "mother");
        }
    }

    /** The same, of a mother that was just saved. */
    @Transactional
    public MotherView retire(long id, LocalDate on, String reason) {
        return retire(id, new MotherChanges.Retirement(on, reason, found(id).version));
    }

    /** From a day on it is no longer used; its layers stay on it and are looked after. */
    @Transactional
    MotherView retire(long id, MotherChanges.Retirement why) {
        Mother one = forChange(id, why.version(), why);
        if (one.retiredOn != null) {
            throw ProblemException.invalid(
                    "on",
                    why.on(),
                    Refusals.say("mother.retired.allowed"),
                    Refusals.say("mother.retired", "code", one.code, "retiredOn", one.retiredOn));
        }
        LocalDate today = clock.today();
        if (why.on().isAfter(today) || why.on().isBefore(today.minusYears(10))) {
            throw ProblemException.invalid(
                    "on",
                    why.on(),
                    Refusals.say("between.allowed", "first", today.minusYears(10), "last", today),
                    Refusals.say("mother.retiredOn"));
        }
        one.retiredOn = why.on();
        history.add(id, EntryKind.RETIRED, why.on(), List.of(), why.reason().strip());
        return changed(one);
    }

    @Transactional
    MotherView takeBack(long id, MotherChanges.Return why) {
        Mother one = forChange(id, why.version(), why);
        if (one.retiredOn == null || one.mergedInto != null) {
            throw ProblemException.invalid(
                    "id",
                    id,
                    Refusals.say("mother.unretire.allowed"),
                    one.mergedInto == null
                            ? Refusals.say("mother.inUse", "code", one.code)
                            : Refusals.say("mother.same", "code", one.code, "other", found(one.mergedInto).code));
        }
        one.retiredOn = null;
        history.add(
                id, EntryKind.RETURNED, clock.today(), List.of(), why.reason().strip());
        return changed(one);
    }

    /** The tag was wrong: all that was taken from it is relabelled with it. */
    @Transactional
    MotherView relabel(long id, MotherChanges.Relabelling what) {
        Mother one = forChange(id, what.version(), what);
        checkSpecies(what.speciesCode());
        Map<String, @Nullable Object> before = facts(one);
        one.speciesCode = what.speciesCode();
        one.variety = what.variety().strip();
        List<MotherHistory.Change> changes = MotherHistory.changes(before, facts(one));
        if (changes.isEmpty()) {
            throw ProblemException.invalid(
                    "variety",
                    what.variety(),
                    Refusals.say("mother.labelled.allowed"),
                    Refusals.say("mother.labelled"));
        }
        history.add(
                id, EntryKind.RELABELLED, clock.today(), changes, what.reason().strip());
        return changed(one);
    }

    /** Two records of one plant become one: limbs and layers go over, and this record stays behind as retired. */
    @Transactional
    MotherView merge(long id, MotherChanges.Merger merger) {
        Mother one = forChange(id, merger.version(), merger);
        Mother into = mothers.findById(merger.into())
                .orElseThrow(() -> ProblemException.invalid(
                        "into", merger.into(), Refusals.say("mother.into.allowed"), Refusals.say("mother.into")));
        if (into == one || into.retiredOn != null || one.mergedInto != null) {
            throw ProblemException.invalid(
                    "into", into.code, Refusals.say("mother.merged.allowed"), Refusals.say("mother.merged"));
        }
        if (!into.speciesCode.equals(one.speciesCode)) {
            throw ProblemException.invalid(
                    "into",
                    into.code,
                    Refusals.say("mother.otherSpecies.allowed"),
                    Refusals.say("mother.otherSpecies", "code", one.code, "other", into.code));
        }
        LocalDate today = clock.today();
        if (one.retiredOn == null) {
            one.retiredOn = today;
        }
        one.mergedInto = into.id;
        String reason = merger.reason().strip();
        history.add(id, EntryKind.MERGED, today, List.of(new MotherHistory.Change("into", "", into.code)), reason);
        history.add(
                id(into), EntryKind.TOOK_IN, today, List.of(new MotherHistory.Change("from", "", one.code)), reason);
        mothers.flush();
        limbs.move(id, one.code, id(into));
        events.publishEvent(new Merged(id, id(into)));
        events.publishEvent(new MasterDataChanged("mother " + into.code, into.id));
        return changed(one);
    }

    private Mother forChange(long id, long version, Object edit) {
        lock.holdForChange();
        Mother one = found(id);
        Versions.check(version, one.version, edit, one.view());
        return one;
    }

    private MotherView changed(Mother one) {
        MotherView saved = mothers.saveAndFlush(one).view();
        events.publishEvent(new MasterDataChanged("mother " + one.code, one.id));
        return saved;
    }

    private void check(MotherView edit, Mother one) {
        mothers.findByCode(edit.code()).filter(other -> !other.equals(one)).ifPresent(other -> {
            throw Versions.taken("code", edit.code(), "mother");
        });
        checkSpecies(edit.speciesCode());
        if (edit.id() != null
                && !(edit.speciesCode().equals(one.speciesCode)
                        && edit.variety().equals(one.variety))) {
            throw ProblemException.invalid(
                    edit.speciesCode().equals(one.speciesCode) ? "variety" : "speciesCode",
                    edit.variety(),
                    Refusals.say("mother.relabel.allowed", "variety", one.variety),
                    Refusals.say("mother.relabel"));
        }
        if (!places.exists(edit.placeId())) {
            throw ProblemException.invalid(
                    "placeId", edit.placeId(), Refusals.say("mother.place.allowed"), Refusals.say("mother.place"));
        }
        if (edit.rights() == Rights.PERMITTED && edit.permission().isBlank()) {
            throw ProblemException.invalid(
                    "permission",
                    edit.permission(),
                    Refusals.say("mother.permission.allowed"),
                    Refusals.say("mother.permission"));
        }
        if (edit.plantedYear() != null && edit.plantedYear() > clock.today().getYear()) {
            throw ProblemException.invalid(
                    "plantedYear",
                    edit.plantedYear(),
                    Refusals.say(
                            "mother.plantedYear.allowed", "year", clock.today().getYear()),
                    Refusals.say("mother.plantedYear"));
        }
    }

    private void checkSpecies(String code) {
        if (!species.exists(code)) {
            throw ProblemException.invalid(
                    "speciesCode", code, Refusals.say("mother.species.allowed"), Refusals.say("mother.species"));
        }
    }

    private Mother found(long id) {
        return mothers.findById(id).orElseThrow(() -> ProblemException.notFound("mother", id));
    }

    /** What its history tells of, by the names that the pages know. */
    private Map<String, @Nullable Object> facts(Mother one) {
        Map<String, @Nullable Object> facts = new HashMap<>();
        MotherViewBuilder.stream(one.view())
                .filter(fact -> !NO_FACTS.contains(fact.getKey()))
                .forEach(fact -> facts.put(fact.getKey(), fact.getValue()));
        // as people know them
        facts.remove("speciesCode");
        facts.put("species", species.commonName(one.speciesCode));
        facts.remove("placeId");
        facts.put("place", places.name(one.placeId));
        return facts;
    }

    private static long id(Mother one) {
        if (one.id == null) {
            throw new IllegalStateException("saved without an id");
        }
        return one.id;
    }
}
