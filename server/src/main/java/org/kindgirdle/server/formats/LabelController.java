package org.kindgirdle.server.formats;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Labels over HTTP. */
@RestController
@RequestMapping("/api/v1")
class LabelController {

    private final Labels labels;
    private final String address;

    /** @param address that phones reach the application by; the one of the request if it is empty */
    LabelController(Labels labels, @Value("${kindgirdle.public-address:}") String address) {
        this.labels = labels;
        this.address = address;
    }

    @GetMapping("/label-grids")
    List<LabelGrid> labelGrids() {
        return LabelGrid.COMMON;
    }

    /**
     * @param codes of layers, in the order in which they are printed
     * @param batch all layers of a batch, in place of codes
     * @param mothers ids of mothers
     * @param grid a common one, or the dimensions of one's own
     * @param start position of the first label on the sheet, from 1
     */
    @GetMapping(value = "/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> printLabels(
            @RequestParam(defaultValue = "") List<String> codes,
            @RequestParam(required = false) @Nullable UUID batch,
            @RequestParam(defaultValue = "") List<Long> mothers,
            @RequestParam(defaultValue = "A4_3x8") String grid,
            @RequestParam(defaultValue = "1") int start) {
        String base = address.isBlank()
                ? ServletUriComponentsBuilder.fromCurrentContextPath().toUriString()
                : address;
        if (mothers.stream().anyMatch(Objects::isNull)) {
            throw ProblemException.invalid(
                    "mothers", "", Refusals.say("label.mothers.allowed"), Refusals.say("label.mothers"));
        }
        return pdf("labels", labels.print(base, codes, batch, mothers, grid(grid), start));
    }

    /** A common grid by its code, or {@code OWN:} with page, columns and rows, label, margins and distances in mm. */
    private static LabelGrid grid(String code) {
        return LabelGrid.find(code)
                .or(() -> LabelGrid.own(code))
                .filter(LabelGrid::fits)
                .orElseThrow(() -> ProblemException.invalid(
                        "grid", code, Refusals.say("label.grid.allowed"), Refusals.say("label.grid")));
    }

    static ResponseEntity<byte[]> pdf(String name, byte[] content) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + ".pdf\"")
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(content);
    }
}
