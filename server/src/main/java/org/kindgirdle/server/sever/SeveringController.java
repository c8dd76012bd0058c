package org.kindgirdle.server.sever;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Within;
import org.kindgirdle.server.projection.Reprojection;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Severing over HTTP. */
@RestController
@RequestMapping("/api/v1")
class SeveringController {

    private final SeverToday today;
    private final LeafBalances balances;
    private final SupplyFigure supply;
    private final Reprojection reprojection;

    SeveringController(SeverToday today, LeafBalances balances, SupplyFigure supply, Reprojection reprojection) {
        this.today = today;
        this.balances = balances;
        this.supply = supply;
        this.reprojection = reprojection;
    }

    @GetMapping("/severing")
    SeveringView severing() {
        reprojection.turnDay();
        return today.view();
    }

    /** What severed plants say of the leaf that a ball carries. */
    @GetMapping("/supply-figure")
    SeveringView.SupplyView supplyFigure() {
        return supply.view();
    }

    @GetMapping("/layers/{code}/leaf-balance")
    LeafBalanceView leafBalance(
            @PathVariable String code,
            @RequestParam(required = false) @Nullable @Within(low = 0, high = 5000) Integer leaves,
            @RequestParam(required = false) @Nullable @Within(low = 0.1, high = 20_000, unit = "cm2") Double leafCm2) {
        return balances.of(
                LayerCode.parse(code).orElseThrow(() -> ProblemException.notFound("layer", code)), leaves, leafCm2);
    }
}
