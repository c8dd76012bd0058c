package org.kindgirdle.server.journal;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.records.RecordKind;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;

/**
 * When something happened, as it was said: the moment, or the day alone, as of a round on paper.
 *
 * @param at null where the day alone was said, or nothing: then it happened now
 * @param on null where the moment was said
 */
record When(@Nullable Instant at, @Nullable LocalDate on) {

    /** A device's clock may run ahead of the server's by this much. */
    private static final Duration CLOCK_SLACK = Duration.ofMinutes(10);

    private static final int MAX_DAYS_BACK = 4 * 365;

    /** @throws ProblemException if both were said, or what was said lies ahead, or too far back */
    void check(BusinessClock clock) {
        if (at != null && on != null) {
            throw ProblemException.invalid(
                    "occurredOn", on, Refusals.say("record.when.allowed"), Refusals.say("record.when"));
        }
        Instant latest = clock.now().plus(CLOCK_SLACK);
        Instant earliest = clock.now().minus(Duration.ofDays(MAX_DAYS_BACK));
        if (at != null && (at.isAfter(latest) || at.isBefore(earliest))) {
            throw refused("occurredAt", at, earliest, latest);
        }
        LocalDate today = clock.today();
        LocalDate first = today.minusDays(MAX_DAYS_BACK);
        if (on != null && (on.isAfter(today) || on.isBefore(first))) {
            throw refused("occurredOn", on, first, today);
        }
    }

    private static ProblemException refused(String field, Object value, Object first, Object last) {
        return ProblemException.invalid(
                field,
                value.toString(),
                Refusals.say("between.allowed", "first", first, "last", last),
                Refusals.say("record.occurredAt"));
    }

    /**
     * The moment that it is kept under. Of a past day the hour is not known: noon, but after all else of that day, for
     * whoever writes it down later has done it after what is here. A setting comes first on its day.
     *
     * @param corrects the record that it stands in place of, which is no other of that day
     */
    Instant in(List<LayerEvent> journal, RecordKind kind, @Nullable UUID corrects, BusinessClock clock) {
        if (on == null) {
            return at == null ? clock.now() : at;
        }
        if (kind == RecordKind.SET) {
            return on.atStartOfDay(clock.zone()).toInstant();
        }
        if (on.equals(clock.today())) {
            return clock.now();
        }
        Instant moment = on.atTime(LocalTime.NOON).atZone(clock.zone()).toInstant();
        for (LayerEvent event : journal) {
            boolean isOther = event.on().equals(on) && !event.id().equals(corrects);
            if (isOther && !event.occurredAt().isBefore(moment)) {
                moment = event.occurredAt().plusMillis(1);
            }
        }
        return moment;
    }
}
