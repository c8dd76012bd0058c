package org.kindgirdle.server.journal;

import jakarta.validation.Valid;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.layers.LayerCard;
import org.kindgirdle.server.layers.LayerChanges;
import org.kindgirdle.server.layers.LayerList;
import org.kindgirdle.server.layers.LayerPage;
import org.kindgirdle.server.layers.LayerPages;
import org.kindgirdle.server.layers.LayerQuery;
import org.kindgirdle.server.persistence.OncePerRead;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Reprojection;
import org.kindgirdle.server.sentences.Refusals;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Layers over HTTP. */
@RestController
@RequestMapping("/api/v1")
class LayerController {

    private static final int MAX_CARDS = 100;

    private final LayerJournal journal;
    private final LayerPages pages;
    private final LayerList list;
    private final ManyRecords many;
    private final LayerChanges changes;
    private final CommandLedger commands;
    private final Reprojection reprojection;

    LayerController(
            LayerJournal journal,
            LayerPages pages,
            LayerList list,
            ManyRecords many,
            LayerChanges changes,
            CommandLedger commands,
            Reprojection reprojection) {
        this.journal = journal;
        this.pages = pages;
        this.list = list;
        this.many = many;
        this.changes = changes;
        this.commands = commands;
        this.reprojection = reprojection;
    }

    /**
     * @param recorded the same answer however often the record is sent
     * @param layer as it stands now
     */
    record RecordAnswer(Recorded recorded, LayerPage layer) {}

    @GetMapping("/layers")
    LayerList.LayerLines findLayers(@Valid @ParameterObject LayerQuery query) {
        reprojection.turnDay();
        return list.find(query);
    }

    @GetMapping("/layers/{code}")
    LayerPage layerPage(@PathVariable String code) {
        return pages.page(code(code));
    }

    /** Cards for the phone, to have them where there is no network. Codes that no layer has are left out. */
    @GetMapping("/layer-cards")
    List<LayerCard> layerCards(@RequestParam List<String> codes) {
        reprojection.turnDay();
        return pages.cards(some(codes));
    }

    /** For the drawings in a list. Codes that no layer has are left out. */
    @GetMapping("/layer-stems")
    List<LayerPages.LayerStem> layerStems(@RequestParam List<String> codes) {
        reprojection.turnDay();
        return pages.stems(some(codes));
    }

    private static List<String> some(List<String> codes) {
        if (codes.size() > MAX_CARDS) {
            throw ProblemException.invalid(
                    "codes",
                    codes.size(),
                    Refusals.say("layer.codes.allowed", "maxCards", MAX_CARDS),
                    Refusals.say("layer.codes"));
        }
        return codes.stream().map(LayerController::code).distinct().toList();
    }

    /** What was recorded since a moment, by anyone: asked for every few seconds while a round is open. */
    @GetMapping("/layer-changes")
    LayerChanges.Changes layerChanges(@RequestParam Instant since) {
        return changes.since(since);
    }

    @PostMapping("/layer-records")
    @ResponseStatus(HttpStatus.CREATED)
    ManyRecords.ManyRecorded recordForMany(
            @RequestHeader("Command-Id") UUID id, @Valid @RequestBody ManyRequest records) {
        OncePerRead.markStandingStill();
        return commands.once(id, "records", records, ManyRecords.ManyRecorded.class, () -> many.append(id, records));
    }

    /**
     * @param page version of an older page that made the record, which waited on a device since: what that page could
     *     not know is not held against it, and what can't be read at all is kept as a remark
     */
    @PostMapping("/layers/{code}/records")
    @ResponseStatus(HttpStatus.CREATED)
    RecordAnswer recordForLayer(
            @PathVariable String code,
            @RequestHeader("Command-Id") UUID id,
            @RequestHeader(name = "Made-By-Page", required = false) @Nullable String page,
            @Valid @RequestBody RecordRequest record) {
        OncePerRead.markStandingStill();
        Recorded recorded = commands.once(
                id,
                "record " + code(code),
                record,
                Recorded.class,
                () -> journal.append(code(code), id, record, page != null));
        return new RecordAnswer(recorded, pages.page(code(code)));
    }

    private static String code(String typed) {
        return LayerCode.parse(typed)
                .orElseThrow(() -> ProblemException.invalid(
                        "code", typed, Refusals.say("layer.code.allowed"), Refusals.say("layer.code")));
    }
}
