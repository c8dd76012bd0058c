package org.kindgirdle.server.plan;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The stock over HTTP: what the mothers can still carry, and why. */
@RestController
@RequestMapping("/api/v1/stock")
class StockController {

    private final Stock stock;

    StockController(Stock stock) {
        this.stock = stock;
    }

    @GetMapping
    List<StockView.MotherLine> stock() {
        return stock.lines();
    }

    @GetMapping("/{motherId}")
    StockView.MotherPage stockOfMother(@PathVariable long motherId) {
        return stock.page(motherId);
    }
}
