package org.kindgirdle.server.nursery;

import org.kindgirdle.core.plan.Prices;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What the nursery pays. */
@Service
public class PriceLists {

    private final PriceListRepository lists;
    private final JsonMapper json;

    PriceLists(PriceListRepository lists, JsonMapper json) {
        this.lists = lists;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public PricesView get() {
        return view(only());
    }

    @Transactional
    public PricesView save(PricesView edit) {
        PriceList list = only();
        Versions.check(edit.version(), list.version, edit, view(list));
        list.currency = edit.currency().strip();
        list.prices = json.writeValueAsString(edit.prices());
        return view(lists.saveAndFlush(list));
    }

    private PriceList only() {
        return lists.findById(PriceList.ONLY)
                .orElseThrow(() -> new IllegalStateException("the schema comes with its row of prices"));
    }

    private PricesView view(PriceList list) {
        return new PricesView(list.currency, json.readValue(list.prices, Prices.class), list.version);
    }
}
