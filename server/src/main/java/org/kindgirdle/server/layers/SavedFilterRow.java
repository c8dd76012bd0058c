package org.kindgirdle.server.layers;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** Filters of the list of layers that a person has given a name. */
@Entity
@Table(name = "saved_filter")
class SavedFilterRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    long personId;
    String name = "";
    String query = "";

    protected SavedFilterRow() {}
}
