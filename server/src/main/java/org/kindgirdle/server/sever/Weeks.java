package org.kindgirdle.server.sever;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.sever.BestDay;
import org.kindgirdle.core.sever.DayAhead;

/** The days ahead at a place. */
final class Weeks {

    private static final Rule DAYS = Rule.of("sever.days");

    private Weeks() {}

    /** As many days as the house compares, today the first. */
    static List<DayAhead> ahead(HouseRules rules, PlaceClimate climate, LocalDate today) {
        List<DayAhead> week = new ArrayList<>();
        for (int day = 0; day < rules.count(DAYS); day++) {
            LocalDate on = today.plusDays(day);
            week.add(DayAhead.at(rules, climate, on));
        }
        return week;
    }

    static BestDay ranked(HouseRules rules, PlaceClimate climate, LocalDate today) {
        return BestDay.of(rules, ahead(rules, climate, today));
    }
}
