package org.kindgirdle.server.formats;

import java.util.List;

/**
 * The papers of one plant.
 *
 * @param title species and variety
 * @param facts what it is
 * @param history what was done, oldest first
 * @param small what stands at the foot
 * @param inches whether it is printed on Letter
 */
public record Passport(
        String code, String title, List<Line> facts, List<Line> history, List<String> small, boolean inches) {

    /** A word, or a day, and what stands beside it. */
    public record Line(String label, String text) {}
}
