package org.kindgirdle.server.snapshot;

import org.kindgirdle.server.mothers.MotherHistory;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.places.Places;
import org.kindgirdle.server.recipes.Recipes;
import org.kindgirdle.server.rules.HouseRuleBook;
import org.kindgirdle.server.site.Sites;
import org.kindgirdle.server.species.LeafRecords;
import org.kindgirdle.server.species.LearnedTimes;
import org.kindgirdle.server.species.SpeciesProfiles;
import org.springframework.stereotype.Component;

/** Where a snapshot is taken from. */
@Component
record MasterData(
        Sites sites,
        Places places,
        SpeciesProfiles species,
        Recipes recipes,
        HouseRuleBook rules,
        Mothers mothers,
        MotherHistory history,
        LearnedTimes learned,
        LeafRecords leaves) {}
