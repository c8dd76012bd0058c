package org.kindgirdle.server.mothers;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.kindgirdle.server.nursery.Versions;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The limbs of the mothers. One that is gone keeps its row. */
@Service
public class Limbs {

    private final LimbRepository limbs;
    private final MotherRepository mothers;
    private final BusinessClock clock;

    Limbs(LimbRepository limbs, MotherRepository mothers, BusinessClock clock) {
        this.limbs = limbs;
        this.mothers = mothers;
        this.clock = clock;
    }

    /** Of one mother, also those that are gone, by name. */
    @Transactional(readOnly = true)
    public List<LimbView> of(long motherId) {
        return limbs.findByMotherIdOrderByNameAsc(motherId).stream()
                .map(Limbs::view)
                .toList();
    }

    /** Of all mothers. */
    @Transactional(readOnly = true)
    public List<LimbView> all() {
        return limbs.findAll().stream().map(Limbs::view).toList();
    }

    @Transactional(readOnly = true)
    public LimbView one(long id) {
        return view(found(id));
    }

    /** Names of some limbs, by id. */
    @Transactional(readOnly = true)
    public Map<Long, String> names(Collection<Long> ids) {
        return ids.isEmpty()
                ? Map.of()
                : limbs.findAllById(ids).stream()
                        .map(Limbs::view)
                        .collect(Collectors.toMap(one -> Objects.requireNonNull(one.id()), LimbView::name));
    }

    @Transactional
    public LimbView save(LimbView edit) {
        Limb one = edit.id() == null ? Limb.fresh() : found(edit.id());
        if (edit.id() != null) {
            Versions.check(edit.version(), one.version, edit, view(one));
        }
        long motherId = edit.id() == null ? edit.motherId() : one.motherId;
        if (!mothers.existsById(motherId)) {
            throw ProblemException.notFound("mother", motherId);
        }
        limbs.findByMotherIdAndName(motherId, edit.name().strip())
                .filter(other -> !other.equals(one))
                .ifPresent(other -> {
                    throw Versions.taken("name", edit.name(), "limb of this mother");
                });
        if (edit.id() == null || isMeasured(one, edit)) {
            one.measuredOn = clock.today();
        }
        one.motherId = motherId;
        one.name = edit.name().strip();
        one.diameterMm = edit.diameterMm();
        one.wood = edit.wood();
        one.leanDeg = edit.leanDeg();
        one.lengthMm = edit.lengthMm();
        one.nodes = edit.nodes();
        one.leaves = edit.leaves();
        one.toBePruned = edit.toBePruned();
        one.shootBelow = edit.shootBelow();
        one.note = edit.note();
        one.goneOn = edit.goneOn();
        return view(limbs.saveAndFlush(one));
    }

    /** The same, with the day on which it was measured as a file has it. */
    @Transactional
    public LimbView saveAsMeasured(LimbView edit) {
        LimbView saved = save(edit);
        LocalDate measuredOn = edit.measuredOn();
        if (measuredOn == null) {
            return saved;
        }
        if (measuredOn.isAfter(clock.today())) {
            throw ProblemException.invalid(
                    "measuredOn",
                    measuredOn,
                    Refusals.say("limb.measuredOn.allowed", "today", clock.today()),
                    Refusals.say("limb.measuredOn"));
        }
        Limb one = found(Objects.requireNonNull(saved.id()));
        one.measuredOn = measuredOn;
        return view(limbs.saveAndFlush(one));
    }

    /** To the record that a mother was merged into; a name that is taken there says where it came from. */
    void move(long from, String fromCode, long to) {
        for (Limb one : limbs.findByMotherIdOrderByNameAsc(from)) {
            if (limbs.findByMotherIdAndName(to, one.name).isPresent()) {
                one.name = one.name + " (" + fromCode + ")";
            }
            one.motherId = to;
            limbs.saveAndFlush(one);
        }
    }

    private static boolean isMeasured(Limb one, LimbView edit) {
        return one.lengthMm != edit.lengthMm() || one.nodes != edit.nodes() || one.leaves != edit.leaves();
    }

    private Limb found(long id) {
        return limbs.findById(id).orElseThrow(() -> ProblemException.notFound("limb", id));
    }

    private static LimbView view(Limb one) {
        return LimbViewBuilder.stagedBuilder()
                .id(one.id)
                .motherId(one.motherId)
                .name(one.name)
                .diameterMm(one.diameterMm)
                .wood(one.wood)
                .leanDeg(one.leanDeg)
                .lengthMm(one.lengthMm)
                .nodes(one.nodes)
                .leaves(one.leaves)
                .toBePruned(one.toBePruned)
                .shootBelow(one.shootBelow)
                .note(one.note)
                .measuredOn(one.measuredOn)
                .goneOn(one.goneOn)
                .version(one.version)
                .build();
    }
}
