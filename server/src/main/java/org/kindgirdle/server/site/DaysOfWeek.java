package org.kindgirdle.server.site;

import jakarta.persistence.Converter;
import java.time.DayOfWeek;
import org.kindgirdle.server.persistence.NamesInOrder;

/** Days of the week in one column. */
@Converter
class DaysOfWeek extends NamesInOrder<DayOfWeek> {

    DaysOfWeek() {
        super(DayOfWeek.class);
    }
}
