package org.kindgirdle.server.exchange;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.sql.Date;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.exchange.NurseryTables.Field;
import org.kindgirdle.server.exchange.NurseryTables.Kept;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.persistence.Looking;
import org.kindgirdle.server.photos.PhotoFiles;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Reprojection;
import org.kindgirdle.server.security.ReplacedPeople;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectReader;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Puts a whole nursery from its file in the place of the one that is here: all of it, or nothing changes. */
@Component
class NurseryReader {

    private static final int ROWS_AT_ONCE = 500;
    private static final int TELL_EVERY = 2000;

    private final JdbcTemplate jdbc;
    private final TransactionTemplate transaction;
    private final NurseryTables tables;
    private final Shadows shadows;
    private final ReplacedPeople people;
    private final ImportStore store;
    private final PhotoFiles photos;
    private final Reprojection reprojection;
    private final NurseryLock lock;
    private final BusinessClock clock;
    private final JsonMapper json;
    private final ObjectReader oneRow;

    NurseryReader(
            JdbcTemplate jdbc,
            TransactionTemplate transaction,
            NurseryTables tables,
            Shadows shadows,
            ReplacedPeople people,
            ImportStore store,
            PhotoFiles photos,
            Reprojection reprojection,
            NurseryLock lock,
            BusinessClock clock,
            JsonMapper json) {
        this.jdbc = jdbc;
        this.transaction = transaction;
        this.tables = tables;
        this.shadows = shadows;
        this.people = people;
        this.store = store;
        this.photos = photos;
        this.reprojection = reprojection;
        this.lock = lock;
        this.clock = clock;
        this.json = json;
        // the next row follows
        this.oneRow = json.reader().without(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);
    }

    /**
     * @param look only see whether it could be done: it is done in tables that nobody else sees, and that are gone when
     *     it is over
     */
    ImportFindings run(UUID id, boolean look) {
        Counting counting = new Counting(look);
        transaction.executeWithoutResult(open -> {
            List<Kept> all = tables.all();
            List<String> names = all.stream().map(Kept::table).toList();
            if (look) {
                Looking.begin();
            } else {
                lock.holdForChange();
            }
            try (InputStream in = new BufferedInputStream(Files.newInputStream(store.path(id)), 1 << 16)) {
                replace(id, in, all, look, counting);
            } catch (JacksonException broken) {
                counting.broken(Refusals.say(
                        "import.nursery.unreadable",
                        "why",
                        broken.getOriginalMessage(),
                        "line",
                        broken.getLocation().getLineNr()));
            } catch (DataAccessException refused) {
                counting.broken(Refusals.say(
                        "import.nursery.together",
                        "why",
                        String.valueOf(refused.getMostSpecificCause().getMessage())
                                .replaceFirst("^\\(conn=\\d+\\) ", "")));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } finally {
                jdbc.execute("set @kg_replaces_nursery = null");
                jdbc.execute("set foreign_key_checks = 1");
                if (look) {
                    shadows.lift(names);
                }
            }
            if (look || counting.isBad()) {
                open.setRollbackOnly();
            }
        });
        return counting.outcome();
    }

    private void replace(UUID id, InputStream in, List<Kept> all, boolean look, Counting counting) {
        ReplacedPeople.Before before = people.before();
        List<String> from = new ArrayList<>(all.stream().map(Kept::table).toList());
        Collections.reverse(from);
        if (look) {
            shadows.cast(from);
        }
        // rows refer to one another both ways, and are looked at when all of them are there
        jdbc.execute("set foreign_key_checks = 0");
        jdbc.execute("set @kg_replaces_nursery = 1");
        from.forEach(table -> jdbc.update("delete from " + table));
        read(id, in, all, counting);
        if (counting.isBad()) {
            return;
        }
        people.after(before);
        checkReferences(all, counting);
        if (counting.isBad()) {
            return;
        }
        jdbc.execute("set foreign_key_checks = 1");
        if (!look) {
            jdbc.update("delete from command");
            clock.forgetZone();
        }
        jdbc.update("update layer l set set_on ="
                + " coalesce((select min(e.on_date) from layer_event e where e.layer_id = l.id), l.set_on)");
        long rows = counting.rows();
        if (!made(id, rows, counting)) {
            throw new ImportWork.CancelledException();
        }
        if (!look) {
            people.moved(before);
        }
    }

    /** The projections, from the journal: that also reads every record of it. */
    private boolean made(UUID id, long rows, Counting counting) {
        try {
            return reprojection.ofFile(done -> store.advance(id, rows + done));
        } catch (ProblemException | JacksonException | IllegalArgumentException refused) {
            counting.broken(Refusals.say("import.nursery.record", "why", refused.getMessage()));
            return true;
        }
    }

    private void read(UUID id, InputStream in, List<Kept> all, Counting counting) {
        Map<String, Kept> byKey = all.stream().collect(Collectors.toMap(Kept::key, kept -> kept));
        Set<String> met = new HashSet<>();
        try (JsonParser parser = json.createParser(in)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                counting.broken(Refusals.say("import.nursery.other"));
                return;
            }
            String format = "";
            int version = 0;
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                String key = parser.currentName();
                parser.nextToken();
                if (key.equals("format")) {
                    format = parser.getString();
                } else if (key.equals("version")) {
                    version = parser.getIntValue();
                } else if (!format.equals(NurseryTables.FORMAT) || version != NurseryTables.VERSION) {
                    counting.broken(Refusals.say(
                            "import.nursery.version",
                            "version",
                            NurseryTables.VERSION,
                            "format",
                            NurseryTables.FORMAT));
                    return;
                } else if (!byKey.containsKey(key) || !met.add(key)) {
                    counting.broken(Refusals.say("import.nursery.part", "key", key));
                    return;
                } else {
                    rows(id, parser, byKey.get(key), counting);
                }
            }
        }
        Set<String> missing = new TreeSet<>(byKey.keySet());
        missing.removeAll(met);
        missing.removeAll(NurseryTables.LATER);
        if (!missing.isEmpty()) {
            counting.broken(Refusals.say("import.nursery.missing", "missing", String.join(", ", missing)));
        }
    }

    private void rows(UUID id, JsonParser parser, Kept table, Counting counting) {
        if (parser.currentToken() != JsonToken.START_ARRAY) {
            counting.broken(Refusals.say("import.nursery.rows", "key", table.key()));
            return;
        }
        Insert insert = new Insert(table);
        List<Object[]> some = new ArrayList<>();
        long row = 0;
        while (parser.nextToken() != JsonToken.END_ARRAY) {
            row++;
            counting.row();
            if (counting.rows() % TELL_EVERY == 0 && !store.advance(id, counting.rows())) {
                throw new ImportWork.CancelledException();
            }
            JsonNode tree = oneRow.readTree(parser);
            try {
                some.add(insert.values(tree));
                counting.count(Table.RowOutcome.NEW);
            } catch (RowException wrong) {
                counting.wrong(
                        row,
                        wrong.wrong().stream()
                                .map(one -> new Wrong(table.key() + "." + one.column(), one.value(), one.message()))
                                .toList());
            }
            if (some.size() >= ROWS_AT_ONCE) {
                jdbc.batchUpdate(insert.sql, some);
                some.clear();
            }
        }
        if (!some.isEmpty()) {
            jdbc.batchUpdate(insert.sql, some);
        }
    }

    /** How a row of the file becomes one of the table. */
    private final class Insert {

        /** Columns that stand in no file, and what they begin with until they are made from the journal. */
        private static final Map<String, String> FIRST = Map.of(
                "layer",
                "method = 'AIR', hand = '', wood = '', position = '', set_on = '1970-01-01', revision = 0,"
                        + " phase = 'WITHDRAWN', stage = 'NONE', fill_percent = 0, also_do = '', conflicts = 0,"
                        + " profile_number = 0, rules_number = 0, as_of = '1970-01-01'",
                "layer_event",
                "id = next value for layer_event_seq",
                "person",
                "password_hash = ''");

        private final Kept table;
        private final String sql;
        private final Set<String> known;

        Insert(Kept table) {
            this.table = table;
            this.known = table.fields().stream().map(Field::name).collect(Collectors.toSet());
            String first = FIRST.get(table.table());
            this.sql = "insert into " + table.table() + " set "
                    + table.fields().stream()
                            .map(field -> field.column() + " = ?")
                            .collect(Collectors.joining(", "))
                    + (first == null ? "" : ", " + first);
        }

        Object[] values(JsonNode row) {
            List<Wrong> wrong = new ArrayList<>();
            if (!(row instanceof ObjectNode object)) {
                throw new RowException("", Refusals.say("import.nursery.row"));
            }
            object.propertyNames().forEach(name -> {
                boolean isPicture = table.key().equals("photos") && name.equals(NurseryWriter.PICTURE);
                if (!known.contains(name) && !isPicture) {
                    wrong.add(new Wrong(name, "", Refusals.say("import.nursery.field")));
                }
            });
            List<@Nullable Object> values = new ArrayList<>();
            for (Field field : table.fields()) {
                try {
                    values.add(value(field, object.get(field.name())));
                } catch (IllegalArgumentException | DateTimeException | JacksonException bad) {
                    wrong.add(new Wrong(field.name(), "", Refusals.say("import.nursery.value", "kind", words(field))));
                }
            }
            if (!wrong.isEmpty()) {
                throw new RowException(wrong);
            }
            if (table.key().equals("photos")) {
                picture(object);
            }
            return values.toArray();
        }

        private void picture(ObjectNode row) {
            JsonNode picture = row.get(NurseryWriter.PICTURE);
            if (picture != null && !picture.isNull()) {
                try {
                    photos.keep(row.path("sha256").asString(""), picture.binaryValue());
                } catch (ProblemException | JacksonException refused) {
                    throw new RowException(NurseryWriter.PICTURE, Refusals.say("import.picture"));
                }
            }
        }

        private @Nullable Object value(Field field, @Nullable JsonNode node) {
            if (node == null || node.isNull()) {
                if (!field.nullable() && !(node == null && field.optional())) {
                    throw new IllegalArgumentException("missing");
                }
                return null;
            }
            return switch (field.kind()) {
                case WHOLE -> require(node, node.isIntegralNumber()).asLong();
                case NUMBER -> require(node, node.isNumber()).doubleValue();
                case YES_NO -> require(node, node.isBoolean()).booleanValue();
                case DATE ->
                    Date.valueOf(LocalDate.parse(require(node, node.isString()).asString()));
                case INSTANT ->
                    LocalDateTime.ofInstant(
                            Instant.parse(require(node, node.isString()).asString()), ZoneOffset.UTC);
                case JSON -> json.writeValueAsString(node);
                case TEXT -> require(node, node.isString()).asString();
            };
        }

        private static JsonNode require(JsonNode node, boolean fits) {
            if (!fits) {
                throw new IllegalArgumentException("another type");
            }
            return node;
        }

        private static String words(Field field) {
            String what = switch (field.kind()) {
                case WHOLE -> "a whole number";
                case NUMBER -> "a number";
                case YES_NO -> "true or false";
                case DATE -> "a day like 2026-07-10";
                case INSTANT -> "an instant like 2026-07-10T09:30:00Z";
                case JSON -> "an object or a list";
                case TEXT -> "a text";
            };
            return field.nullable() ? what + " or null" : what;
        }
    }

    /** Every reference leads to a row that is there. */
    private void checkReferences(List<Kept> all, Counting counting) {
        Map<String, String> keys = all.stream().collect(Collectors.toMap(Kept::table, Kept::key));
        Map<String, List<String[]>> references = new HashMap<>();
        jdbc.query(
                "select constraint_name, table_name, column_name, referenced_table_name, referenced_column_name"
                        + " from information_schema.key_column_usage where table_schema = database()"
                        + " and referenced_table_name is not null order by ordinal_position",
                row -> {
                    if (keys.containsKey(row.getString(2)) && keys.containsKey(row.getString(4))) {
                        references
                                .computeIfAbsent(row.getString(2) + "/" + row.getString(1), key -> new ArrayList<>())
                                .add(new String[] {
                                    row.getString(2), row.getString(3), row.getString(4), row.getString(5)
                                });
                    }
                });
        references.values().forEach(columns -> {
            String table = columns.get(0)[0];
            String other = columns.get(0)[2];
            String on = columns.stream()
                    .map(one -> "a." + one[1] + " = b." + one[3])
                    .collect(Collectors.joining(" and "));
            String present =
                    columns.stream().map(one -> "a." + one[1] + " is not null").collect(Collectors.joining(" and "));
            Long lost = jdbc.queryForObject(
                    "select count(*) from " + table + " a left join " + other + " b on " + on + " where " + present
                            + " and b." + columns.get(0)[3] + " is null",
                    Long.class);
            if (lost != null && lost > 0) {
                counting.wrong(
                        0,
                        List.of(new Wrong(
                                keys.get(table) + "." + columns.get(0)[1],
                                "",
                                Refusals.say("import.nursery.refs", "lost", lost, "table", keys.get(other)))));
            }
        });
    }
}
