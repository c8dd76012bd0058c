package org.kindgirdle.server.problem;

/** Signs that nobody sees, or that turn the reading direction of what stands around them. */
public final class Unseen {

    private static final int SHOWN = 60;

    private Unseen() {}

    /** @param lines whether line ends and tabs may stand in it */
    public static boolean in(String text, boolean lines) {
        return text.codePoints()
                .anyMatch(sign -> isUnseen(sign) && !(lines && (sign == '\n' || sign == '\r' || sign == '\t')));
    }

    /** With a box for each of them. */
    public static String shown(String text) {
        StringBuilder shown = new StringBuilder();
        text.codePoints().limit(SHOWN).forEach(sign -> shown.appendCodePoint(isUnseen(sign) ? 0x25A1 : sign));
        return shown.toString();
    }

    private static boolean isUnseen(int sign) {
        int type = Character.getType(sign);
        return type == Character.CONTROL
                || type == Character.LINE_SEPARATOR
                || type == Character.PARAGRAPH_SEPARATOR
                || type == Character.SURROGATE
                // joiners belong to some scripts; what overrides directions belongs to none
                || sign >= 0x202A && sign <= 0x202E
                || sign >= 0x2066 && sign <= 0x2069
                || sign == 0xFEFF;
    }
}
