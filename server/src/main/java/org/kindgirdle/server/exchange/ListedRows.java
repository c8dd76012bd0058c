package org.kindgirdle.server.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Rows that live in one list, which is kept as a whole. */
final class ListedRows<T> implements BeanTable.KeptRows<T> {

    private final Supplier<List<T>> list;
    private final Consumer<List<T>> keep;
    private final Function<T, Object> key;
    private final boolean whole;
    private final Map<Object, T> edited = new LinkedHashMap<>();

    ListedRows(Supplier<List<T>> list, Consumer<List<T>> keep, Function<T, Object> key) {
        this(list, keep, key, true);
    }

    /** Rows of which only those that change are kept anew. */
    static <T> ListedRows<T> ofSome(Supplier<List<T>> list, Consumer<List<T>> keep, Function<T, Object> key) {
        return new ListedRows<>(list, keep, key, false);
    }

    private ListedRows(Supplier<List<T>> list, Consumer<List<T>> keep, Function<T, Object> key, boolean whole) {
        this.whole = whole;
        this.list = list;
        this.keep = keep;
        this.key = key;
    }

    @Override
    public List<T> all() {
        return list.get();
    }

    @Override
    public Object key(T row) {
        return key.apply(row);
    }

    @Override
    public T keep(T row, @Nullable T before) {
        edited.put(key.apply(row), row);
        return row;
    }

    @Override
    public void finish() {
        if (!edited.isEmpty()) {
            Map<Object, T> all = new LinkedHashMap<>();
            if (whole) {
                list.get().forEach(one -> all.put(key.apply(one), one));
            }
            all.putAll(edited);
            keep.accept(new ArrayList<>(all.values()));
        }
    }
}
