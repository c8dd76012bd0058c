package org.kindgirdle.core.set;

/** How the balls of a recipe are kept moist: growers disagree. */
public enum Watering {
    /** when half of its water is gone, by its wrap, its place and its weather */
    BY_THE_SUM,
    /** sealed when it is made, and never watered; what is found dry is still wetted */
    NEVER,
    /** every week by syringe, whatever the sum says */
    WEEKLY;

    /** Days between waterings where they do not go by the sum. */
    public static final int WEEK_DAYS = 7;
}
