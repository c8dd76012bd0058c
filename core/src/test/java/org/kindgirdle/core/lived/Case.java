package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** One case of what must never happen. */
record Case(Never what, int layer, String species, LocalDate day, String words) {

    /** What was seen, by kind, the kinds that were not seen left out. */
    static Map<Never, List<Case>> byKind(List<Case> cases) {
        Map<Never, List<Case>> kinds = new EnumMap<>(Never.class);
        for (Case one : cases) {
            kinds.computeIfAbsent(one.what(), kind -> new ArrayList<>()).add(one);
        }
        return kinds;
    }

    @Override
    public String toString() {
        return what + " layer " + layer + " " + species + " " + day + ": " + words;
    }
}
