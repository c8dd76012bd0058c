package org.kindgirdle.server.species;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.server.nursery.Author;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.nursery.Versions;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The species and their profiles, in numbered versions. An edit on an old version is refused with both sides. */
@Service
public class SpeciesProfiles {

    private static final Pattern SPECIES_CODE = Pattern.compile("[A-Z][A-Z0-9]{2,11}");

    private final SpeciesRepository species;
    private final EntityManager rows;
    private final BusinessClock clock;
    private final Author author;
    private final ApplicationEventPublisher events;
    private final NurseryLock lock;

    SpeciesProfiles(
            SpeciesRepository species,
            EntityManager rows,
            BusinessClock clock,
            Author author,
            ApplicationEventPublisher events,
            NurseryLock lock) {
        this.species = species;
        this.rows = rows;
        this.clock = clock;
        this.author = author;
        this.events = events;
        this.lock = lock;
    }

    @Transactional(readOnly = true)
    public List<SpeciesView> all() {
        Map<String, SpeciesProfile> profiles = inForce();
        return species.findAll().stream()
                .map(one -> SpeciesView.of(profile(profiles, one.code), one.profileNumber, one.version))
                .sorted((a, b) ->
                        a.profile().common().compareToIgnoreCase(b.profile().common()))
                .toList();
    }

    @Transactional(readOnly = true)
    public SpeciesView one(String code) {
        Species one = species.findById(code).orElseThrow(() -> ProblemException.notFound("species", code));
        return SpeciesView.of(version(code, one.profileNumber), one.profileNumber, one.version);
    }

    /** A species by one of its profiles, in force or of before. */
    @Transactional(readOnly = true)
    public SpeciesView one(String code, int profileNumber) {
        Species one = species.findById(code).orElseThrow(() -> ProblemException.notFound("species", code));
        return SpeciesView.of(version(code, profileNumber), profileNumber, one.version);
    }

    @Transactional(readOnly = true)
    public boolean exists(String code) {
        return species.existsById(code);
    }

    /** The code itself where there is no such species. */
    @Transactional(readOnly = true)
    public String commonName(String code) {
        return species.findById(code)
                .map(one -> version(code, one.profileNumber).common())
                .orElse(code);
    }

    /** A profile as it was shipped. */
    SpeciesProfile shipped(String code) {
        SpeciesProfile profile = ShippedSpecies.profile(code);
        if (profile == null) {
            throw ProblemException.notFound("shipped profile of", code);
        }
        return profile;
    }

    /** A species of the nursery's own. */
    @Transactional
    public SpeciesView add(SpeciesView edit) {
        lock.holdForChange();
        String code = edit.profile().code();
        if (!SPECIES_CODE.matcher(code).matches()) {
            throw ProblemException.invalid(
                    "profile.code", code, Refusals.say("species.code.allowed"), Refusals.say("species.code"));
        }
        for (String name : List.of(edit.profile().common(), edit.profile().botanical())) {
            if (name.isBlank() || name.length() > 80) {
                throw ProblemException.invalid(
                        name.equals(edit.profile().common()) ? "profile.common" : "profile.botanical",
                        name,
                        Refusals.say("species.names.allowed"),
                        Refusals.say("species.names"));
            }
        }
        if (species.existsById(code)) {
            throw Versions.taken("profile.code", code, "species");
        }
        species.saveAndFlush(new Species(code));
        add(code, 1, edit.profile());
        return one(code);
    }

    /** A new profile makes a new number; the old ones stay. */
    @Transactional
    public SpeciesView save(String code, SpeciesView edit) {
        lock.holdForChange();
        if (!code.equals(edit.profile().code())) {
            throw ProblemException.invalid(
                    "profile.code", edit.profile().code(), code, Refusals.say("species.code.fixed"));
        }
        Species one = species.findById(code).orElseThrow(() -> ProblemException.notFound("species", code));
        Versions.check(edit.version(), one.version, edit, one(code));
        one.profileNumber++;
        add(code, one.profileNumber, edit.profile());
        species.saveAndFlush(one);
        events.publishEvent(new MasterDataChanged("species " + code));
        return one(code);
    }

    /** Takes in a shipped profile that is not there yet. */
    @Transactional
    public void ship(SpeciesProfile profile) {
        if (!species.existsById(profile.code())) {
            lock.holdForChange();
            species.saveAndFlush(new Species(profile.code()));
            add(profile.code(), 1, profile);
        }
    }

    private SpeciesProfile version(String code, int number) {
        return rows.find(SpeciesProfileRow.class, new SpeciesProfileRow.Key(code, number)).profile;
    }

    /** By code. */
    private Map<String, SpeciesProfile> inForce() {
        return rows.createQuery("""
                        select one from SpeciesProfileRow one join Species species
                            on species.code = one.key.speciesCode and species.profileNumber = one.key.number
                        """, SpeciesProfileRow.class).getResultList().stream()
                .collect(Collectors.toMap(one -> one.key.speciesCode(), one -> one.profile));
    }

    private void add(String code, int number, SpeciesProfile profile) {
        rows.persist(new SpeciesProfileRow(code, number, profile, author.name(), clock.systemNow()));
    }

    private static SpeciesProfile profile(Map<String, SpeciesProfile> all, String code) {
        SpeciesProfile profile = all.get(code);
        if (profile == null) {
            throw new IllegalStateException("species " + code + " has no profile");
        }
        return profile;
    }
}
