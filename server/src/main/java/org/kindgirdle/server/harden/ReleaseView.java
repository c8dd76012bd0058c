package org.kindgirdle.server.harden;

import java.util.List;
import org.kindgirdle.core.harden.ReleaseTest;

/**
 * Whether a plant may go, and how it is planted out.
 *
 * @param plantingOut what to do where it goes into the ground
 */
record ReleaseView(String code, boolean passed, List<CheckView> checks, List<String> plantingOut) {

    record CheckView(ReleaseTest.Condition condition, boolean passed, String sentence) {}
}
