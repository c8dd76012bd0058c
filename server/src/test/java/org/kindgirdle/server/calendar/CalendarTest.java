package org.kindgirdle.server.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;

/** The feed, read back by another program's parser. */
@ExtendWith(NurseryExtension.class)
class CalendarTest {

    private final TestNursery nursery;

    CalendarTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @AfterEach
    void today() {
        nursery.clock().moveTo(TODAY);
    }

    @Test
    void rounds_windows_and_single_jobs_are_there_for_whoever_has_the_address() {
        String code = ready();
        ICalendar calendar = read(address());
        assertThat(calendar.getProductId().getValue()).contains("Kind Girdle");
        assertThat(calendar.getEvents()).allSatisfy(event -> {
            assertThat(event.getUid().getValue()).endsWith("@kind-girdle");
            assertThat(event.getDateStart().getValue().hasTime()).isFalse();
            assertThat(event.getDateEnd().getValue())
                    .isAfter(event.getDateStart().getValue());
        });
        VEvent job = find(calendar, "job-" + code).orElseThrow();
        assertThat(job.getSummary().getValue()).isEqualTo("Sever " + code);
        assertThat(job.getDescription().getValue()).contains("quince", "North field");
        VEvent round = calendar.getEvents().stream()
                .filter(event -> event.getUid().getValue().startsWith("round-")
                        && event.getDescription().getValue().contains(code))
                .findFirst()
                .orElseThrow();
        assertThat(round.getSummary().getValue()).matches("(Round|Between rounds): \\d+ to do, \\d+ minutes");
        assertThat(find(calendar, "window-closes-CYDOBL")).isPresent();
    }

    @Test
    void what_is_done_is_cancelled_and_what_changes_goes_out_again_under_the_same_id() {
        String address = address();
        String code = ready();
        VEvent before = find(read(address), "job-" + code).orElseThrow();
        assertThat(before.getSequence().getValue()).isZero();
        assertThat(before.getStatus().getValue()).isEqualTo("CONFIRMED");
        // read again it says the same, to the letter
        assertThat(feed(nursery.anonymous(), address).bytes())
                .isEqualTo(feed(nursery.anonymous(), address).bytes());
        nursery.record(code, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 8, "leavesLeft", 6)))
                .expect(201);
        VEvent gone = find(read(address), "job-" + code + "-SEVER").orElseThrow();
        assertThat(gone.getUid()).isEqualTo(before.getUid());
        assertThat(gone.getStatus().getValue()).isEqualTo("CANCELLED");
        assertThat(gone.getSequence().getValue()).isEqualTo(1);
        VEvent next = find(read(address), "job-" + code + "-POT").orElseThrow();
        assertThat(next.getStatus().getValue()).isEqualTo("CONFIRMED");
        // what is past is neither told nor cancelled
        nursery.clock().moveTo(TODAY.plusDays(40));
        assertThat(read(address).getEvents())
                .allSatisfy(
                        event -> assertThat(day(event.getDateEnd().getValue())).isAfter(TODAY.plusDays(40)));
    }

    @Test
    void an_address_is_secret_renewed_and_taken_away() {
        Client gale = nursery.again("gale");
        String first = address(gale);
        assertThat(first).matches(nursery.base() + "/calendar/[\\w-]{32}\\.ics");
        assertThat(nursery.sql()
                        .queryForList("select token_hash from calendar_address", String.class)
                        .toString())
                .doesNotContain(first.substring(first.lastIndexOf('/') + 1, first.length() - 4));
        assertThat(gale.get("/api/v1/me/calendar").body().path("madeOn").asString())
                .isEqualTo(TODAY.toString());
        gale.post("/api/v1/me/calendar", Map.of("replace", false)).expect(409);
        String second = address(gale);
        assertThat(feed(nursery.anonymous(), first).status()).isEqualTo(404);
        assertThat(feed(nursery.anonymous(), second).status()).isEqualTo(200);
        gale.send("DELETE", "/api/v1/me/calendar", null, null, true).expect(204);
        assertThat(feed(nursery.anonymous(), second).status()).isEqualTo(404);
        assertThat(gale.get("/api/v1/me/calendar").body().path("madeOn").isNull())
                .isTrue();
        nursery.anonymous().get("/api/v1/me/calendar").expect(401);
    }

    /** A layer that is full and to be severed. */
    private String ready() {
        long mother = nursery.mother("CYDOBL", nursery.field());
        String code = nursery.set(mother, TODAY.minusDays(70), 1).get(0);
        nursery.record(code, TestNursery.look("FILLED", 95)).expect(201);
        return code;
    }

    private String address() {
        return address(nursery.again("odile"));
    }

    private static String address(Client who) {
        return who.post("/api/v1/me/calendar", Map.of("replace", true))
                .expect(201)
                .body()
                .path("address")
                .asString();
    }

    private Client.Answer feed(Client who, String address) {
        return who.get(address.substring(nursery.base().length()));
    }

    private ICalendar read(String address) {
        Client.Answer answer = feed(nursery.anonymous(), address).expect(200);
        assertThat(answer.headers().get("content-type").toString()).contains("text/calendar");
        List<ICalendar> read = Biweekly.parse(new String(answer.bytes(), StandardCharsets.UTF_8))
                .all();
        assertThat(read).hasSize(1);
        return read.get(0);
    }

    private static Optional<VEvent> find(ICalendar calendar, String uid) {
        return calendar.getEvents().stream()
                .filter(event -> event.getUid().getValue().startsWith(uid))
                .findFirst();
    }

    private static LocalDate day(java.util.Date date) {
        return date.toInstant().atZone(ZoneId.systemDefault()).toLocalDate();
    }
}
