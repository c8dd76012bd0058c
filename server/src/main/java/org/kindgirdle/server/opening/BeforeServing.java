package org.kindgirdle.server.opening;

/** Work that must be done before the first request is answered; ordered by {@code @Order}. */
public interface BeforeServing {

    /** Does nothing if it was done at an earlier start. A failure ends the start. */
    void prepare();
}
