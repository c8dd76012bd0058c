package org.kindgirdle.server.exchange;

import java.util.List;
import org.kindgirdle.server.exchange.NurseryTables.Field;
import org.kindgirdle.server.exchange.NurseryTables.Kept;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The JSON Schema of a nursery file. */
@Component
class NurserySchema {

    private final NurseryTables tables;
    private final JsonMapper json;

    NurserySchema(NurseryTables tables, JsonMapper json) {
        this.tables = tables;
        this.json = json;
    }

    ObjectNode schema() {
        ObjectNode schema = json.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "A whole nursery of Kind Girdle");
        schema.put(
                "description",
                "All rows of all tables, those first that others refer to. Instants are UTC, days are in the zone of the"
                        + " site, quantities are SI with the unit in the name. References are by id.");
        schema.put("type", "object");
        schema.put("additionalProperties", false);
        ArrayNode needed = schema.putArray("required").add("format").add("version");
        ObjectNode parts = schema.putObject("properties");
        parts.putObject("format").put("const", NurseryTables.FORMAT);
        parts.putObject("version").put("const", NurseryTables.VERSION);
        List<Kept> all = tables.all();
        for (Kept table : all) {
            if (!NurseryTables.LATER.contains(table.key())) {
                needed.add(table.key());
            }
            ObjectNode part = parts.putObject(table.key());
            part.put("type", "array");
            row(table, part.putObject("items"));
        }
        return schema;
    }

    private void row(Kept table, ObjectNode row) {
        row.put("type", "object");
        row.put("additionalProperties", false);
        ArrayNode needed = row.putArray("required");
        ObjectNode fields = row.putObject("properties");
        for (Field field : table.fields()) {
            if (!field.optional()) {
                needed.add(field.name());
            }
            field(field, fields.putObject(field.name()));
        }
        if (table.key().equals("photos")) {
            ObjectNode picture = fields.putObject(NurseryWriter.PICTURE);
            picture.putArray("type").add("string").add("null");
            picture.put("contentEncoding", "base64");
            picture.put("contentMediaType", "image/jpeg");
        }
    }

    private static void field(Field field, ObjectNode to) {
        String type = switch (field.kind()) {
            case WHOLE -> "integer";
            case NUMBER -> "number";
            case YES_NO -> "boolean";
            case JSON -> "";
            default -> "string";
        };
        if (field.kind() == NurseryTables.TableKind.DATE) {
            to.put("format", "date");
        } else if (field.kind() == NurseryTables.TableKind.INSTANT) {
            to.put("format", "date-time");
        }
        ArrayNode types = to.putArray("type");
        if (type.isEmpty()) {
            types.add("object").add("array");
        } else {
            types.add(type);
        }
        if (field.nullable()) {
            types.add("null");
        }
    }
}
