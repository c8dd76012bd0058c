package org.kindgirdle.server.http;

import io.swagger.v3.oas.models.media.Schema;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.kindgirdle.server.records.RecordKind;

/** What a record holds goes by its kind: the sealed union that it is in the code, in the description as well. */
@SuppressWarnings({"rawtypes", "unchecked"}) // the library's own maps are raw
final class RecordUnion {

    private static final String KIND = "kind";
    private static final String DETAILS = "details";

    private RecordUnion() {}

    /**
     * Says of every schema that has a kind of record and its details which details go with which kind.
     *
     * @param schema the reference to the schema of one kind
     */
    static void describe(Map<String, Schema> components, Function<Class<?>, Schema> schema) {
        List.copyOf(components.values()).stream()
                .filter(one -> has(one, KIND) && has(one, DETAILS))
                .forEach(one -> one.setOneOf(Arrays.stream(RecordKind.values())
                        .sorted(Comparator.comparing(Enum::name))
                        .map(kind -> branch(kind, schema.apply(kind.type())))
                        .toList()));
    }

    private static boolean has(Schema<?> schema, String property) {
        return schema.getProperties() != null && schema.getProperties().containsKey(property);
    }

    private static Schema branch(RecordKind of, Schema details) {
        Schema kind = new Schema();
        kind.setTypes(Set.of("string"));
        kind.setEnum(List.of(of.name()));
        Schema<?> branch = new Schema<>();
        branch.setTypes(new LinkedHashSet<>(List.of("object")));
        branch.addProperty(KIND, kind);
        branch.addProperty(DETAILS, details);
        branch.setRequired(List.of(DETAILS, KIND));
        return branch;
    }
}
