package org.kindgirdle.server.recipes;

import java.util.Arrays;
import java.util.List;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;

/**
 * A way of layering, as the forms have to know it.
 *
 * @param staysOnMother whether it roots on its mother; what does not is cut off when it is set
 * @param buriesTheBase whether the base of the mother itself is buried
 * @param wrapped whether its ball is wrapped round the limb
 * @param wounds that go with it, in the order of the form
 * @param wraps that can hold its medium, in the order of the form
 */
public record MethodView(
        Method method,
        boolean staysOnMother,
        boolean buriesTheBase,
        boolean wrapped,
        List<WoundView> wounds,
        List<Wrap> wraps) {

    /**
     * @param ring whether a band of bark is taken off
     * @param scraped whether the wood under it is scraped clean
     */
    public record WoundView(Wound wound, boolean ring, boolean scraped) {

        private static WoundView of(Wound wound) {
            return new WoundView(wound, wound.isRing(), wound.isScraped());
        }
    }

    /** All of them, in the order of the form. */
    static List<MethodView> all() {
        return Arrays.stream(Method.values()).map(MethodView::of).toList();
    }

    private static MethodView of(Method method) {
        return new MethodView(
                method,
                method.staysOnMother(),
                method.buriesTheBase(),
                method.isWrapped(),
                method.wounds().stream().sorted().map(WoundView::of).toList(),
                method.wraps().stream().sorted().toList());
    }
}
