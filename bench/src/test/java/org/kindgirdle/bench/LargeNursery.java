package org.kindgirdle.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.MariaDbServer;

/**
 * A nursery of many years: 20,000 live layers set over the API, 180,000 finished ones and the rest of a million records
 * written into the database as the application would have written them.
 */
final class LargeNursery {

    static final LocalDate TODAY = LocalDate.of(2026, 7, 10);
    static final int LIVE = 20_000;
    static final int FINISHED = 180_000;
    private static final int EVENTS = 1_000_000;
    private static final int BATCH = 200;
    private static final int AT_ONCE = 5_000;
    private static final String LOOK =
            "{\"stage\":\"CALLUS\",\"sectors\":[1,0,0,1,0,0,0,0],\"fillPercent\":0.0,\"conditions\":[]}";

    private final Connection database;
    private final Random random = new Random(7);
    /** by the number of a finished one */
    private final LocalDate[] setOn = new LocalDate[FINISHED];

    private long event = 1_000_000_000L;

    private LargeNursery(Connection database) {
        this.database = database;
    }

    static void grow(Client owner, MariaDbServer server) throws SQLException {
        try (Connection database = DriverManager.getConnection(
                server.url() + (server.url().contains("?") ? "&" : "?") + "useBulkStmts=true", "root", "")) {
            database.setAutoCommit(false);
            LargeNursery nursery = new LargeNursery(database);
            Measured.setLayers(owner, TODAY, LIVE, BATCH);
            Measured.awaitRecalculation(owner);
            nursery.finished();
            nursery.records();
            database.commit();
            // the first walk of a day has every layer worked out anew beside it: that is over before jobs are spread
            owner.get("/api/v1/round").expect(200);
            Measured.awaitRecalculation(owner);
            try (Statement sql = database.createStatement()) {
                // as a nursery stands that does its rounds: what is due is spread over the weeks ahead
                sql.executeUpdate(
                        "update layer set job = 'LOOK', job_from = date '2026-07-10' + interval (id % 50) day,"
                                + " job_by = date '2026-07-12' + interval (id % 50) day where phase = 'ON_MOTHER'");
                sql.execute("analyze table layer, layer_event");
            }
            database.commit();
        }
    }

    private void finished() throws SQLException {
        List<Long> mothers = longs("select id from mother");
        long number =
                longs("select next_value from counter where name = 'layer'").get(0);
        try (PreparedStatement insert = database.prepareStatement(
                "insert into layer (id, number, code, batch_id, mother_id, set_mother_id, recipe_id, recipe_number,"
                        + " method, hand, set_on, revision, phase, stage, fill_percent, step, also_do, conflicts,"
                        + " profile_number, rules_number, as_of, wood, position, rooted, established, loss_cause,"
                        + " ready_low, ready_high, full_on, minutes, medium_ml, film_cm2)"
                        + " values (?, ?, ?, ?, ?, ?, 1, 1, 'AIR', ?, ?, 4, ?, 'FILLED', 90, null, '', 0, 1, 0, ?,"
                        + " 'ONE_TWO', ?, ?, ?, ?, ?, ?, ?, ?, 320, 700)")) {
            UUID batch = UUID.randomUUID();
            for (int i = 0; i < FINISHED; i++) {
                if (i % 40 == 0) {
                    batch = UUID.randomUUID();
                }
                LocalDate set = TODAY.minusDays(400 + random.nextInt(2500));
                setOn[i] = set;
                long mother = mothers.get(random.nextInt(mothers.size()));
                insert.setLong(1, 10_000_000L + i);
                insert.setLong(2, number + i);
                insert.setString(3, LayerCode.of((int) (number + i)));
                insert.setString(4, batch.toString());
                insert.setLong(5, mother);
                insert.setLong(6, mother);
                boolean lost = random.nextInt(5) == 0;
                boolean rooted = !lost || random.nextInt(4) == 0;
                double ready = 40 * Math.exp(.25 * random.nextGaussian());
                double looked = 5 + random.nextInt(10);
                insert.setString(7, "Hand " + random.nextInt(6));
                insert.setObject(8, set);
                insert.setString(9, lost ? "LOST" : "RELEASED");
                insert.setObject(10, set.plusDays(300));
                insert.setString(11, random.nextBoolean() ? "BELOW_NODE" : "BETWEEN_NODES");
                insert.setBoolean(12, rooted);
                insert.setObject(13, rooted ? !lost : null);
                insert.setString(14, lost ? rooted ? "WILTED_AFTER" : "NO_ROOTS" : null);
                insert.setDouble(15, Math.max(1, ready - looked));
                insert.setObject(16, rooted ? ready : null);
                insert.setObject(17, rooted ? set.plusDays(50 + random.nextInt(60)) : null);
                insert.setDouble(18, 10 + random.nextInt(10));
                insert.addBatch();
                if (i % AT_ONCE == AT_ONCE - 1) {
                    insert.executeBatch();
                    database.commit();
                }
            }
            insert.executeBatch();
        }
        try (Statement sql = database.createStatement()) {
            sql.executeUpdate("update counter set next_value = next_value + " + FINISHED + " where name = 'layer'");
        }
        database.commit();
    }

    private void records() throws SQLException {
        String set;
        try (Statement sql = database.createStatement();
                ResultSet row = sql.executeQuery(
                        "select details from layer_event where kind = 'SET' and note = 'to measure' limit 1")) {
            row.next();
            set = row.getString(1);
        }
        try (PreparedStatement insert = database.prepareStatement(
                "insert into layer_event (id, uuid, layer_id, kind, on_date, occurred_at, recorded_at,"
                        + " clock_offset_days, person_id, details, note, ready10_on, ready50_on, ready90_on)"
                        + " values (?, ?, ?, ?, ?, ?, ?, 0, 1, ?, ?, ?, ?, ?)")) {
            int written = 0;
            for (int i = 0; i < FINISHED; i++) {
                long layer = 10_000_000L + i;
                LocalDate on = setOn[i];
                add(insert, layer, "SET", on, set, "");
                add(insert, layer, "LOOKED", on.plusDays(30), LOOK, i % 500 == 0 ? "wasps near the ball" : "");
                add(insert, layer, "SEVERED", on.plusDays(70), "{\"leavesBefore\":9,\"leavesLeft\":5}", "");
                add(insert, layer, "RELEASED", on.plusDays(160), "{\"destination\":\"SALE\"}", "");
                written += 4;
            }
            List<Long> live = longs("select id from layer where phase = 'ON_MOTHER'");
            int left = EVENTS - written - live.size();
            for (int i = 0; i < left; i++) {
                // a dozen to each: mostly water
                long layer = live.get(i % live.size());
                LocalDate on = TODAY.minusDays(1 + i / live.size());
                boolean look = i % 5 == 0;
                add(insert, layer, look ? "LOOKED" : "TOPPED_UP", on, look ? LOOK : "{\"waterMl\":120.0}", "");
            }
            insert.executeBatch();
        }
        database.commit();
    }

    private void add(PreparedStatement insert, long layer, String kind, LocalDate on, String details, String note)
            throws SQLException {
        insert.setLong(1, event++);
        insert.setString(2, new UUID(random.nextLong(), random.nextLong()).toString());
        insert.setLong(3, layer);
        insert.setString(4, kind);
        insert.setObject(5, on);
        insert.setObject(6, on.atTime(9, 0));
        insert.setObject(7, on.atTime(9, 0));
        insert.setString(8, details);
        insert.setString(9, note);
        // what was said of the ball on that day
        boolean filling = kind.equals("SET") || kind.equals("LOOKED");
        int likeliest = 60 + random.nextInt(20);
        insert.setObject(10, filling ? on.plusDays(likeliest - 15) : null);
        insert.setObject(11, filling ? on.plusDays(likeliest) : null);
        insert.setObject(12, filling ? on.plusDays(likeliest + 20) : null);
        insert.addBatch();
        if (event % AT_ONCE == 0) {
            insert.executeBatch();
            database.commit();
        }
    }

    private List<Long> longs(String query) throws SQLException {
        List<Long> all = new ArrayList<>();
        try (Statement sql = database.createStatement();
                ResultSet row = sql.executeQuery(query)) {
            while (row.next()) {
                all.add(row.getLong(1));
            }
        }
        return all;
    }
}
