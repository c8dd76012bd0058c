package org.kindgirdle.server.command;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A command that a client sent under a UUID of its own, and what was answered. */
@Entity
@Table(name = "command")
class CommandRow {

    @Id
    UUID id = new UUID(0, 0);

    long personId;
    String kind = "";
    String bodyHash = "";

    /** JSON of whatever type the command answers with */
    String response = "null";

    Instant createdAt = Instant.EPOCH;

    protected CommandRow() {}
}
