package org.kindgirdle.server.security;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The link by which the first owner is made, by the hash of its token; the newest counts. */
@Entity
@Table(name = "first_owner_link")
class FirstOwnerLinkRow {

    static final int ID = 1;

    @Id
    int id = ID;

    String tokenHash = "";

    protected FirstOwnerLinkRow() {}

    FirstOwnerLinkRow(String tokenHash) {
        this.tokenHash = tokenHash;
    }
}
