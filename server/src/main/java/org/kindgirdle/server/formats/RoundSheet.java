package org.kindgirdle.server.formats;

import java.util.List;

/**
 * A walk on paper.
 *
 * @param title whose day it is
 * @param sum how much there is
 * @param signs what can be ticked of a layer on its mother, in order
 * @param inches whether it is printed on Letter
 */
public record RoundSheet(String title, String sum, List<String> signs, List<AtPlace> places, boolean inches) {

    /** What is to be done at one place. */
    public record AtPlace(String place, List<SheetLine> rows) {}

    /**
     * One layer.
     *
     * @param what species, variety and mother
     * @param job what is to be done, with what is done beside
     * @param due till when
     * @param seen what was found last
     * @param ticks whether there is a stage to tick: on the mother, not after it
     */
    public record SheetLine(String code, String what, String job, String due, String seen, boolean ticks) {}
}
