package org.kindgirdle.server.formats;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A sheet of labels, or one label on a roll, by its dimensions.
 *
 * @param code its stable id
 * @param acrossMm from the left edge of one label to that of the next; {@code downMm} alike
 */
record LabelGrid(
        String code,
        double pageWidthMm,
        double pageHeightMm,
        int columns,
        int rows,
        double labelWidthMm,
        double labelHeightMm,
        double leftMm,
        double topMm,
        double acrossMm,
        double downMm) {

    /** What is to be had nearly everywhere: A4, Letter, and a roll. */
    static final List<LabelGrid> COMMON = List.of(
            new LabelGrid("A4_3x7", 210, 297, 3, 7, 63.5, 38.1, 7.25, 15.15, 66, 38.1),
            new LabelGrid("A4_3x8", 210, 297, 3, 8, 70, 37, 0, .5, 70, 37),
            new LabelGrid("A4_4x10", 210, 297, 4, 10, 48.5, 25.4, 8, 21.5, 48.5, 25.4),
            new LabelGrid("A4_5x13", 210, 297, 5, 13, 38.1, 21.2, 4.75, 10.7, 40.6, 21.2),
            new LabelGrid("LETTER_3x10", 215.9, 279.4, 3, 10, 66.675, 25.4, 4.7625, 12.7, 69.85, 25.4),
            new LabelGrid("LETTER_2x5", 215.9, 279.4, 2, 5, 101.6, 50.8, 3.96875, 12.7, 106.3625, 50.8),
            roll("ROLL_57x32", 57, 32));

    private static LabelGrid roll(String code, double widthMm, double heightMm) {
        return new LabelGrid(code, widthMm, heightMm, 1, 1, widthMm, heightMm, 0, 0, widthMm, heightMm);
    }

    static Optional<LabelGrid> find(String code) {
        return COMMON.stream().filter(one -> one.code().equals(code)).findFirst();
    }

    /**
     * One of one's own: {@code OWN:} and ten numbers with commas between, in the order of the record's components.
     *
     * @return empty if it can't be read or a number can't be
     */
    static Optional<LabelGrid> own(String code) {
        if (!code.matches("OWN:\\d+(\\.\\d+)?(,\\d+(\\.\\d+)?){9}")) {
            return Optional.empty();
        }
        double[] mm = Arrays.stream(code.substring(4).split(","))
                .mapToDouble(Double::parseDouble)
                .toArray();
        boolean sane = Arrays.stream(mm).allMatch(one -> one <= MAX_MM)
                && mm[0] >= LEAST_MM
                && mm[1] >= LEAST_MM
                && mm[2] >= 1
                && mm[3] >= 1
                && mm[4] >= LEAST_MM
                && mm[5] >= LEAST_MM;
        return sane
                ? Optional.of(new LabelGrid(
                        "OWN", mm[0], mm[1], (int) mm[2], (int) mm[3], mm[4], mm[5], mm[6], mm[7], mm[8], mm[9]))
                : Optional.empty();
    }

    int labels() {
        return columns * rows;
    }

    /** The left edge of the n-th label of a page, from 0, row by row. */
    double xMm(int position) {
        return leftMm + position % columns * acrossMm;
    }

    /** Its upper edge. */
    double yMm(int position) {
        return topMm + position / columns * downMm;
    }

    /** Whether all of it lies on the page and no label on another. */
    boolean fits() {
        return leftMm + (columns - 1) * acrossMm + labelWidthMm <= pageWidthMm + TOLERANCE_MM
                && topMm + (rows - 1) * downMm + labelHeightMm <= pageHeightMm + TOLERANCE_MM
                && (columns == 1 || acrossMm >= labelWidthMm - TOLERANCE_MM)
                && (rows == 1 || downMm >= labelHeightMm - TOLERANCE_MM);
    }

    private static final double LEAST_MM = 15;
    private static final double MAX_MM = 1000;

    /** What inches and rounding may add up to. */
    private static final double TOLERANCE_MM = .5;
}
