package org.kindgirdle.server.harden;

import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.ReleaseTest;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.formats.Passport;
import org.kindgirdle.server.formats.PassportSheets;
import org.kindgirdle.server.layers.LiveLayers;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Reprojection;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.LadderWords;
import org.kindgirdle.server.words.MediumAdvice;
import org.kindgirdle.server.words.Words;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The ladder and the release over HTTP. */
@RestController
@RequestMapping("/api/v1")
class HardenController {

    private final Ladders ladders;
    private final LiveLayers layers;
    private final Snapshots snapshots;
    private final CurrentPerson person;
    private final LadderWords words;
    private final Words layerWords;
    private final Reprojection reprojection;
    private final Passports passports;
    private final Pedigrees pedigrees;
    private final CommandLedger commands;

    HardenController(
            Ladders ladders,
            LiveLayers layers,
            Snapshots snapshots,
            CurrentPerson person,
            LadderWords words,
            Words layerWords,
            Reprojection reprojection,
            Passports passports,
            Pedigrees pedigrees,
            CommandLedger commands) {
        this.ladders = ladders;
        this.layers = layers;
        this.snapshots = snapshots;
        this.person = person;
        this.words = words;
        this.layerWords = layerWords;
        this.reprojection = reprojection;
        this.passports = passports;
        this.pedigrees = pedigrees;
        this.commands = commands;
    }

    /** The papers of a plant, to be shown. */
    @GetMapping("/layers/{code}/passport")
    Passport passport(@PathVariable String code) {
        return passports.of(code(code));
    }

    /** The same on paper. */
    @GetMapping(value = "/layers/{code}/passport-sheet", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> passportSheet(@PathVariable String code) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + code(code) + ".pdf\"")
                .body(PassportSheets.of(passports.of(code(code))));
    }

    /** The plant becomes a mother. */
    @PostMapping("/layers/{code}/mother")
    @ResponseStatus(HttpStatus.CREATED)
    MotherView raiseMother(
            @PathVariable String code,
            @RequestHeader("Command-Id") UUID id,
            @Valid @RequestBody NewMotherRequest request) {
        return commands.once(
                id,
                "mother from " + code(code),
                request,
                MotherView.class,
                () -> pedigrees.raise(code(code), id, request));
    }

    @GetMapping("/mothers/{motherId}/pedigree")
    PedigreeView pedigreeOfMother(@PathVariable long motherId) {
        return pedigrees.of(motherId);
    }

    private static String code(String typed) {
        return LayerCode.parse(typed).orElseThrow(() -> ProblemException.notFound("layer", typed));
    }

    @GetMapping("/ladder")
    LadderView ladder() {
        reprojection.turnDay();
        return ladders.view();
    }

    /** The test for release, condition by condition. */
    @GetMapping("/layers/{code}/release-test")
    @Transactional(readOnly = true)
    public ReleaseView releaseTest(@PathVariable String code) {
        LiveLayers.Live one = layers.one(code(code));
        PlantState plant = one.projection().state().plant();
        if (plant == null) {
            throw ProblemException.conflict(
                    Refusals.say("release.onMother.title"), Refusals.say("release.onMother", "code", code), Map.of());
        }
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        ReleaseTest test = ReleaseTest.of(nursery.rules(), plant, one.context().standing(), nursery.today());
        List<String> planting = layerWords.firstMedia(one.context(), format).stream()
                .filter(advice -> advice.medium() == FirstMedium.GROUND)
                .map(MediumAdvice::remarks)
                .findFirst()
                .orElse(List.of());
        return new ReleaseView(
                one.code(),
                test.passed(),
                test.checks().stream()
                        .map(check -> new ReleaseView.CheckView(
                                check.condition(), check.passed(), words.check(check, format)))
                        .toList(),
                Objects.requireNonNull(planting));
    }
}
