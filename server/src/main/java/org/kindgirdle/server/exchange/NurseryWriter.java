package org.kindgirdle.server.exchange;

import java.io.OutputStream;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Objects;
import org.kindgirdle.server.exchange.NurseryTables.Field;
import org.kindgirdle.server.exchange.NurseryTables.Kept;
import org.kindgirdle.server.photos.PhotoFiles;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes the whole nursery as one JSON file, as it is at one moment: a row of a table on a line. The same nursery makes
 * the same bytes, so no time of writing is in it.
 */
@Component
class NurseryWriter {

    static final String PICTURE = "jpegBase64";

    private static final int ROWS_AT_ONCE = 500;

    private final JdbcTemplate jdbc;
    private final NurseryTables tables;
    private final PhotoFiles photos;
    private final JsonMapper json;

    NurseryWriter(JdbcTemplate jdbc, NurseryTables tables, PhotoFiles photos, JsonMapper json) {
        this.jdbc = new JdbcTemplate(Objects.requireNonNull(jdbc.getDataSource()));
        // read as they are written: a journal does not fit into the memory
        this.jdbc.setFetchSize(ROWS_AT_ONCE);
        this.tables = tables;
        this.photos = photos;
        this.json = json;
    }

    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(OutputStream to) {
        try (JsonGenerator out = json.createGenerator(to)) {
            out.writeStartObject();
            out.writeStringProperty("format", NurseryTables.FORMAT);
            out.writeNumberProperty("version", NurseryTables.VERSION);
            for (Kept table : tables.all()) {
                out.writeRaw("\n");
                out.writeName(table.key());
                out.writeStartArray();
                String columns = String.join(
                        ", ", table.fields().stream().map(Field::column).toList());
                jdbc.query("select " + columns + " from " + table.table() + " order by " + table.order(), row -> {
                    writeRow(out, table, row);
                });
                out.writeEndArray();
            }
            out.writeEndObject();
            out.writeRaw("\n");
        }
    }

    private void writeRow(JsonGenerator out, Kept table, ResultSet row) throws SQLException {
        out.writeRaw("\n");
        out.writeStartObject();
        for (int i = 0; i < table.fields().size(); i++) {
            Field field = table.fields().get(i);
            out.writeName(field.name());
            writeValue(out, field, row, i + 1);
        }
        if (table.key().equals("photos")) {
            out.writeName(PICTURE);
            photos.jpeg(row.getString("sha256")).ifPresentOrElse(out::writeBinary, out::writeNull);
        }
        out.writeEndObject();
    }

    private void writeValue(JsonGenerator out, Field field, ResultSet row, int index) throws SQLException {
        if (row.getObject(index) == null) {
            out.writeNull();
            return;
        }
        switch (field.kind()) {
            case WHOLE -> out.writeNumber(row.getLong(index));
            case NUMBER -> out.writeNumber(row.getDouble(index));
            case YES_NO -> out.writeBoolean(row.getBoolean(index));
            case DATE -> out.writeString(row.getObject(index, LocalDate.class).toString());
            case INSTANT ->
                out.writeString(row.getObject(index, LocalDateTime.class)
                        .toInstant(ZoneOffset.UTC)
                        .toString());
            case JSON -> out.writePOJO(json.readTree(row.getString(index)));
            default -> out.writeString(row.getString(index));
        }
    }
}
