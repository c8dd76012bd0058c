package org.kindgirdle.core.verdict;

/** Names an input of a decision; each kind of decision has an enum of them. */
public interface FactName {

    /** Where the value of an input comes from. */
    enum Source {
        /** what was seen at the last look */
        LOOK,
        /** what was done and is on record */
        RECORDS,
        /** the forecast of the roots or of the weather */
        FORECAST,
        /** the place, its frosts and its seasons */
        CLIMATE,
        /** a figure or a facility of the house */
        HOUSE,
        /** the recipe */
        RECIPE
    }

    /** A stable id, unique among the inputs of its kind of decision. */
    String name();

    Source source();
}
