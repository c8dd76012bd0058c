package org.kindgirdle.server.projection;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Tuple;
import java.lang.reflect.Field;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.records.RecordCodec;
import org.kindgirdle.server.records.RecordKind;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Finds out which value of a layer's row or journal can't be read, and says it. */
@Component
class Unreadable {

    private final EntityManager entities;
    private final RecordCodec codec;
    private final TransactionTemplate transaction;

    Unreadable(EntityManager entities, RecordCodec codec, PlatformTransactionManager transactions) {
        this.entities = entities;
        this.codec = codec;
        this.transaction = new TransactionTemplate(transactions);
        this.transaction.setReadOnly(true);
        this.transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** @param failure what it failed with, for where no single value is to blame */
    String sentence(long id, RuntimeException failure) {
        String found = transaction.execute(status -> {
            // by hand, as text: read as what it should be, it fails before it can be named
            Tuple row = tuples("select * from layer where id = :id", id).get(0);
            String where = column(row);
            String what = where != null ? where : record(id);
            return "Layer " + row.get("code") + ": " + (what != null ? what : String.valueOf(failure.getMessage()));
        });
        return Objects.requireNonNull(found);
    }

    private @Nullable String column(Tuple row) {
        for (Field field : Layer.class.getDeclaredFields()) {
            if (field.isAnnotationPresent(Enumerated.class)) {
                String column = field.getName().replaceAll("([A-Z])", "_$1").toLowerCase(Locale.ROOT);
                Object value = row.get(column);
                if (value != null && !names(field.getType()).contains(String.valueOf(value))) {
                    return "the column " + column + " says '" + value + "', which is none of "
                            + String.join(", ", names(field.getType())) + ".";
                }
            }
        }
        return null;
    }

    private static List<String> names(Class<?> type) {
        return Arrays.stream(type.getEnumConstants()).map(String::valueOf).toList();
    }

    private @Nullable String record(long id) {
        for (Tuple event : tuples("select uuid, kind, details from layer_event where layer_id = :id order by id", id)) {
            String kind = String.valueOf(event.get("kind"));
            if (!names(RecordKind.class).contains(kind)) {
                return "the column kind of its record " + event.get("uuid") + " says '" + kind + "'.";
            }
            try {
                codec.read(RecordKind.valueOf(kind), codec.tree(String.valueOf(event.get("details"))));
            } catch (RuntimeException unreadable) {
                return "the column details of its record " + event.get("uuid") + " (" + kind + ") can't be read: "
                        + String.valueOf(unreadable.getMessage())
                                .lines()
                                .findFirst()
                                .orElse("");
            }
        }
        return null;
    }

    @SuppressWarnings("unchecked")
    private List<Tuple> tuples(String sql, long id) {
        return entities.createNativeQuery(sql, Tuple.class)
                .setParameter("id", id)
                .getResultList();
    }
}
