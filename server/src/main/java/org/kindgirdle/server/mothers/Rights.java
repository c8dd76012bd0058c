package org.kindgirdle.server.mothers;

/** Plant breeders' rights on a mother's variety. */
public enum Rights {
    /** none */
    FREE,
    /** protected, with a permission on record */
    PERMITTED,
    /** protected, and no permission on record */
    PROTECTED
}
