package org.kindgirdle.server.words;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Unit;
import org.kindgirdle.server.units.Units;

/** Dates and quantities as a person reads them. */
public record Format(Units units, LocalDate today) {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
    private static final DateTimeFormatter DAY_AND_YEAR = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    /** "16 July", with the year where it is not this one. */
    public String day(@Nullable LocalDate day) {
        if (day == null) {
            return "more than four years ahead";
        }
        return day.format(day.getYear() == today.getYear() ? DAY : DAY_AND_YEAR);
    }

    /** "Friday". */
    public String weekday(LocalDate day) {
        return day.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }

    public String days(long days) {
        return days + (days == 1 ? " day" : " days");
    }

    /** A chance as so many in a hundred, 0 to 1 in. */
    public String percent(double share) {
        return share > 0 && share < .01
                ? "less than 1%"
                : share < 1 && share > .99 ? "more than 99%" : Math.round(share * 100) + "%";
    }

    public String lengthMm(double mm) {
        return units == Units.US ? String.format(Locale.ROOT, "%.2f in", Unit.INCH.fromSi(mm)) : Math.round(mm) + " mm";
    }

    /** "340 mL", "3.4 L"; "11.5 fl oz", "3.6 qt". */
    public String volumeMl(double ml) {
        if (units == Units.US) {
            double ounces = Unit.FLUID_OUNCE.fromSi(ml);
            return ounces < 32
                    ? String.format(Locale.ROOT, "%.1f fl oz", ounces)
                    : String.format(Locale.ROOT, "%.1f qt", Unit.QUART.fromSi(ml));
        }
        return ml < 1000 ? Math.round(ml) + " mL" : String.format(Locale.ROOT, "%.1f L", ml / 1000);
    }

    public String massG(double g) {
        if (units == Units.US) {
            return String.format(Locale.ROOT, "%.1f oz", Unit.OUNCE.fromSi(g));
        }
        return g < 1000 ? Math.round(g) + " g" : String.format(Locale.ROOT, "%.2f kg", g / 1000);
    }

    public String wind(double metresPerSecond) {
        return units == Units.US
                ? Math.round(metresPerSecond * 2.23694) + " mph"
                : Math.round(metresPerSecond) + " m/s";
    }

    public String temperatureC(double c) {
        return units == Units.US ? Math.round(Unit.FAHRENHEIT.fromSi(c)) + " F" : Math.round(c) + " C";
    }
}
