package org.kindgirdle.server.species;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;

/** A species and the number of the profile in force. */
@Entity
class Species {

    @Id
    String code = "";

    int profileNumber;

    @Version
    long version;

    protected Species() {}

    Species(String code) {
        this.code = code;
        this.profileNumber = 1;
    }
}
