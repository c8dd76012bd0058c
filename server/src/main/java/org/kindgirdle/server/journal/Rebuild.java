package org.kindgirdle.server.journal;

import org.springframework.stereotype.Component;

/** Makes every projection anew from the journal, at the day at which each stands. */
@Component
public class Rebuild {

    private final Reprojection reprojection;

    Rebuild(Reprojection reprojection) {
        this.reprojection = reprojection;
    }

    /** @return a sentence with the counts */
    public String run() {
        int[] counts = reprojection.everyLayer();
        return counts[0] + " layers made anew from the journal, " + counts[1] + " rows changed.";
    }
}
