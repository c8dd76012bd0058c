package org.kindgirdle.server.journal;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.records.RecordCodec;
import org.kindgirdle.server.records.RecordKind;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes the same record into many journals: all of them, or none. */
@Service
class ManyRecords {

    /** What is seen of each layer by itself is recorded one by one. */
    private static final Set<RecordKind> FOR_MANY = EnumSet.of(
            RecordKind.TOPPED_UP,
            RecordKind.WRAP_SEEN,
            RecordKind.TENDED,
            RecordKind.STOOD_IN_WATER,
            RecordKind.SEVERED,
            RecordKind.POTTED,
            RecordKind.MOVED,
            RecordKind.OBSERVED,
            RecordKind.DEFERRED,
            RecordKind.LOST,
            RecordKind.NOTED);

    private final LayerJournal journal;
    private final RecordCodec codec;

    ManyRecords(LayerJournal journal, RecordCodec codec) {
        this.journal = journal;
        this.codec = codec;
    }

    /** What became of each layer's record, in the order of the codes. */
    record ManyRecorded(List<RecordedOn> records) {}

    record RecordedOn(String code, Recorded recorded) {}

    @Transactional
    public ManyRecorded append(UUID id, ManyRequest request) {
        if (!FOR_MANY.contains(request.kind())) {
            throw ProblemException.invalid(
                    "kind",
                    request.kind(),
                    Refusals.say("record.kind.many.allowed", "forMany", FOR_MANY),
                    Refusals.say("record.kind.many"));
        }
        List<String> codes = codes(request);
        List<LayerJournal.Sent> all = new ArrayList<>();
        for (int i = 0; i < codes.size(); i++) {
            LayerRecord what = codec.readSent(request.kind(), request.details());
            all.add(new LayerJournal.Sent(codes.get(i), UUID.nameUUIDFromBytes((id + "/" + i).getBytes()), what));
        }
        List<Recorded> recorded = journal.appendAll(all, request.when(), request.note() == null ? "" : request.note());
        return new ManyRecorded(IntStream.range(0, codes.size())
                .mapToObj(i -> new RecordedOn(codes.get(i), recorded.get(i)))
                .toList());
    }

    /** All that are wrong are named at once. */
    private List<String> codes(ManyRequest request) {
        List<String> codes = new ArrayList<>();
        List<Violation> wrong = new ArrayList<>();
        for (int i = 0; i < request.codes().size(); i++) {
            String typed = request.codes().get(i);
            String code = LayerCode.parse(typed).orElse(null);
            if (code == null || codes.contains(code)) {
                wrong.add(new Violation(
                        "codes[" + i + "]",
                        typed,
                        Refusals.say("record.codes.each.allowed"),
                        code == null
                                ? Refusals.say("record.codes.noCode", "typed", typed)
                                : Refusals.say("record.codes.twice", "typed", typed)));
            } else {
                codes.add(code);
            }
        }
        Set<String> known = journal.known(codes);
        for (int i = 0; i < codes.size(); i++) {
            if (!known.contains(codes.get(i))) {
                wrong.add(new Violation(
                        "codes",
                        codes.get(i),
                        Refusals.say("record.codes.allowed"),
                        Refusals.say("record.codes.unknown", "code", codes.get(i))));
            }
        }
        if (!wrong.isEmpty()) {
            throw ProblemException.invalid(wrong);
        }
        return codes;
    }
}
