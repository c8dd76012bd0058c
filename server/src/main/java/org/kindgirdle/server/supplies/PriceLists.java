package org.kindgirdle.server.supplies;

import org.kindgirdle.server.nursery.Versions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the nursery pays. */
@Service
public class PriceLists {

    private final PriceListRepository lists;

    PriceLists(PriceListRepository lists) {
        this.lists = lists;
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
        list.prices = edit.prices();
        return view(lists.saveAndFlush(list));
    }

    private PriceList only() {
        return lists.findById(PriceList.ONLY)
                .orElseThrow(() -> new IllegalStateException("the schema comes with its row of prices"));
    }

    private PricesView view(PriceList list) {
        return new PricesView(list.currency, list.prices, list.version);
    }
}
