package org.kindgirdle.server.learn;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.command.CommandLedger;
import org.kindgirdle.server.problem.Within;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Trials over HTTP. */
@RestController
@RequestMapping("/api/v1")
class TrialController {

    private final Trials trials;
    private final CommandLedger commands;

    TrialController(Trials trials, CommandLedger commands) {
        this.trials = trials;
        this.commands = commands;
    }

    @GetMapping("/trials")
    List<TrialView.TrialLine> trials() {
        return trials.all();
    }

    @GetMapping("/trials/{trialId}")
    TrialView.TrialPage trialPage(@PathVariable long trialId) {
        return trials.page(trialId);
    }

    /** How many layers each arm needs, so that a true difference is found. */
    @GetMapping("/trial-sizes")
    TrialView.TrialSizeView trialSize(
            @RequestParam @Within(low = .01, high = .99) double share,
            @RequestParam @Within(low = .01, high = .99) double otherShare,
            @RequestParam(defaultValue = ".05") @Within(low = .001, high = .3) double significance,
            @RequestParam(defaultValue = ".8") @Within(low = .5, high = .99) double power,
            @RequestParam(defaultValue = "2") @Within(low = 2, high = 6) int arms) {
        return trials.size(new TrialView.SizeQuery(share, otherShare, significance, power), arms);
    }

    /** In what recipes differ from the first of them, in words. */
    @GetMapping("/recipe-differences")
    List<String> recipeDifferences(@RequestParam @Size(min = 2, max = 6) List<@NotNull Long> recipes) {
        return trials.compare(recipes);
    }

    /** 204 for a layer that is part of none. */
    @GetMapping("/layers/{code}/trial")
    @ApiResponse(responseCode = "200", description = "The trial that it is part of", useReturnTypeSchema = true)
    @ApiResponse(responseCode = "204", description = "It is part of none", content = @Content)
    ResponseEntity<TrialView.OfLayer> trialOfLayer(@PathVariable String code) {
        return trials.ofLayer(code)
                .map(ResponseEntity::ok)
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    @PostMapping("/trials")
    @ResponseStatus(HttpStatus.CREATED)
    TrialView.TrialPage beginTrial(@RequestHeader("Command-Id") UUID id, @Valid @RequestBody TrialView.TrialEdit edit) {
        return commands.once(id, "trial", edit, TrialView.TrialPage.class, () -> trials.begin(edit));
    }

    @PostMapping("/trials/{trialId}/closing")
    TrialView.TrialPage closeTrial(
            @RequestHeader("Command-Id") UUID id,
            @PathVariable long trialId,
            @Valid @RequestBody TrialView.Closing closing) {
        return commands.once(
                id,
                "close trial " + trialId,
                closing,
                TrialView.TrialPage.class,
                () -> trials.close(trialId, closing.version()));
    }

    /** What is done from now on; it changes the recipe of the first arm. */
    @PostMapping("/trials/{trialId}/decision")
    TrialView.TrialPage decideTrial(
            @RequestHeader("Command-Id") UUID id,
            @PathVariable long trialId,
            @Valid @RequestBody TrialView.TrialChoice choice) {
        return commands.once(
                id, "decide trial " + trialId, choice, TrialView.TrialPage.class, () -> trials.decide(trialId, choice));
    }
}
