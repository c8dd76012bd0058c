package org.kindgirdle.server.http;

import java.beans.PropertyEditorSupport;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.SaneDay;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Values in addresses are read in one way only, whatever language the browser speaks: days as 2026-07-10, numbers in
 * plain digits. Bodies are JSON.
 */
@ControllerAdvice
class StrictValues implements WebMvcConfigurer {

    private static final Pattern WHOLE = Pattern.compile("-?[0-9]{1,18}");
    private static final Pattern NUMBER =
            Pattern.compile("-?([0-9]{1,18}\\.?[0-9]{0,20}|\\.[0-9]{1,20})([eE][+-]?[0-9]{1,3})?");
    private static final Pattern DAY = Pattern.compile("[0-9]{4}-[0-9]{2}-[0-9]{2}");

    @InitBinder
    void bind(WebDataBinder binder) {
        for (Class<?> type : new Class<?>[] {Integer.class, int.class}) {
            binder.registerCustomEditor(type, new Editor(WHOLE, text -> Math.toIntExact(Long.parseLong(text))));
        }
        for (Class<?> type : new Class<?>[] {Long.class, long.class}) {
            binder.registerCustomEditor(type, new Editor(WHOLE, Long::valueOf));
        }
        for (Class<?> type : new Class<?>[] {Double.class, double.class}) {
            binder.registerCustomEditor(type, new Editor(NUMBER, text -> new BigDecimal(text).doubleValue()));
        }
        binder.registerCustomEditor(LocalDate.class, new Editor(DAY, StrictValues::day));
    }

    private static LocalDate day(String text) {
        LocalDate day = LocalDate.parse(text);
        if (day.isBefore(SaneDay.FIRST) || day.isAfter(SaneDay.LAST)) {
            throw new DateTimeException(text + " is outside of the years that a nursery plans with");
        }
        return day;
    }

    @Override
    public void configureMessageConverters(HttpMessageConverters.ServerBuilder builder) {
        // comes with the library that describes the API, and takes bodies that nobody meant
        builder.configureMessageConvertersList(all -> all.removeIf(one -> one.getSupportedMediaTypes().stream()
                .anyMatch(type -> type.getSubtype().contains("yaml"))));
    }

    /** Reads one form of text; empty text is no value. */
    private static final class Editor extends PropertyEditorSupport {

        private final Pattern form;
        private final Function<String, Object> reader;

        Editor(Pattern form, Function<String, Object> reader) {
            this.form = form;
            this.reader = reader;
        }

        @Override
        public void setAsText(@Nullable String text) {
            if (text == null || text.isEmpty()) {
                setValue(null);
                return;
            }
            // the same said twice is said once; two different ones are none
            String once = new LinkedHashSet<>(List.of(text.split(","))).size() == 1 ? text.split(",")[0] : text;
            if (!form.matcher(once).matches()) {
                throw new IllegalArgumentException("'" + text + "' can't be read");
            }
            try {
                setValue(reader.apply(once));
            } catch (ArithmeticException | DateTimeException outside) {
                throw new IllegalArgumentException(outside);
            }
        }
    }
}
