package org.kindgirdle.server.records;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.server.problem.FileValues;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Between the records of the core and the JSON of the journal. */
@Component
public class RecordCodec {

    private final JsonMapper json;

    RecordCodec(JsonMapper json) {
        this.json = json;
    }

    public LayerRecord read(RecordKind kind, JsonNode details) {
        return json.treeToValue(details, kind.type());
    }

    /**
     * What somebody sends now.
     *
     * @throws ProblemException with everything that is wrong with it
     */
    public LayerRecord readSent(RecordKind kind, JsonNode details) {
        LayerRecord read;
        List<Violation> misspelt = misspelt(kind, details);
        if (!misspelt.isEmpty()) {
            throw ProblemException.invalid(misspelt);
        }
        try {
            read = json.treeToValue(details, kind.type());
        } catch (JacksonException refused) {
            throw ProblemException.invalid(List.of(FileValues.violation("details", refused)));
        }
        if (read instanceof LayerRecord.Deferred deferred) {
            List<Violation> unknown = deferred.jobs().stream()
                    .filter(job -> !Job.isCode(job))
                    .map(job -> new Violation(
                            "details.jobs", job, Refusals.say("record.jobs.allowed"), Refusals.say("record.jobs")))
                    .toList();
            if (!unknown.isEmpty()) {
                throw ProblemException.invalid(unknown);
            }
        }
        return read;
    }

    /** All of them by name, before anything that is missing for it. */
    private static List<Violation> misspelt(RecordKind kind, JsonNode details) {
        Set<String> known = Arrays.stream(kind.type().getRecordComponents())
                .map(RecordComponent::getName)
                .collect(Collectors.toSet());
        return details.propertyNames().stream()
                .filter(name -> !known.contains(name))
                .map(name -> new Violation(
                        "details." + name,
                        null,
                        Refusals.say("body.field.allowed"),
                        Refusals.say("body.field", "name", name)))
                .toList();
    }

    /**
     * A record of an older page.
     *
     * @param remark what of it could not be taken, as it was sent; empty if all was
     * @param isRead whether it is the record that was meant, and no mere remark
     */
    public record OfOldPage(LayerRecord what, String remark, boolean isRead) {}

    /** Takes what can be taken of it, and says the rest in words: nothing that waited on a device is lost. */
    public OfOldPage readOfOldPage(RecordKind kind, JsonNode details) {
        try {
            return new OfOldPage(readSent(kind, details), "", true);
        } catch (ProblemException strict) {
            try {
                LayerRecord read = json.rebuild()
                        .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                        .build()
                        .treeToValue(details, kind.type());
                return new OfOldPage(read, "(An older page sent: " + details + ")", true);
            } catch (JacksonException unreadable) {
                return new OfOldPage(
                        new LayerRecord.Noted(),
                        "(An older page sent a " + kind + " that can't be read: " + details + ")",
                        false);
            }
        }
    }

    public String write(Object value) {
        return json.writeValueAsString(value);
    }

    public JsonNode tree(String text) {
        return json.readTree(text);
    }

    /** The row of a record that is written now; whose layer's it is is said later. */
    public LayerEventRow row(LayerEvent event, String note, long personId, int clockOffsetDays) {
        LayerEventRow row = new LayerEventRow(event, RecordKind.of(event.what()), write(event.what()));
        row.note = note;
        row.personId = personId;
        row.clockOffsetDays = clockOffsetDays;
        return row;
    }

    public LayerEvent event(LayerEventRow row) {
        return new LayerEvent(
                row.uuid,
                row.onDate,
                row.occurredAt,
                row.recordedAt,
                row.corrects,
                json.readValue(row.details, row.kind.type()));
    }

    public List<LayerEvent> events(List<LayerEventRow> rows) {
        return rows.stream().map(this::event).toList();
    }
}
