package org.kindgirdle.server.nursery;

import org.jspecify.annotations.Nullable;

/**
 * Something that projections depend on was changed, in the transaction that is open.
 *
 * @param motherId of the only mother whose layers it touches; null if it may be any
 */
public record MasterDataChanged(String what, @Nullable Long motherId) {

    public static final String SITE = "site";

    public MasterDataChanged(String what) {
        this(what, null);
    }
}
