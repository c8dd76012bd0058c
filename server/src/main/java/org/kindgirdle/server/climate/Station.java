package org.kindgirdle.server.climate;

import java.time.LocalDate;
import java.util.List;

/** A weather station and its forecast service, as far as the nursery needs them. */
interface Station {

    /** Days of the half-open span [from, to), as they were measured. */
    List<WeatherDay> measured(LocalDate from, LocalDate to);

    /** The forecast issued on a day: that day and the six after it. */
    List<WeatherDay> forecast(LocalDate issuedOn);
}
