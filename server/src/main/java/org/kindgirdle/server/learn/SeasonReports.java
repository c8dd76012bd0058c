package org.kindgirdle.server.learn;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.formats.SeasonReport;
import org.kindgirdle.server.layers.LayerQuery;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.units.Units;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What came of a year's layers, page by page. */
@Service
class SeasonReports {

    private final Ledger ledger;
    private final Snapshots snapshots;
    private final Phrases phrases;
    private final CurrentPerson person;

    SeasonReports(Ledger ledger, Snapshots snapshots, Phrases phrases, CurrentPerson person) {
        this.ledger = ledger;
        this.snapshots = snapshots;
        this.phrases = phrases;
        this.person = person;
    }

    @Transactional(readOnly = true)
    public SeasonReport of(int year) {
        NurserySnapshot nursery = snapshots.take();
        Format format = new Format(person.units(), nursery.today());
        LedgerView.LedgerTable bySpecies = ledger.table(LedgerBy.SPECIES, LayerQuery.of(null, year));
        List<SeasonReport.Page> pages = new ArrayList<>();
        pages.add(new SeasonReport.Page(
                say("report.title", Map.of("nursery", nursery.site().name(), "year", String.valueOf(year))),
                said(bySpecies.all(), bySpecies.currency()),
                List.of(table("report.species", bySpecies), weeks(year, null)),
                say("report.lost", Map.of()),
                bars(bySpecies.all())));
        for (LedgerView.LedgerLine line : bySpecies.lines()) {
            LedgerView.LedgerTable byRecipe = ledger.table(LedgerBy.RECIPE, LayerQuery.of(line.value(), year));
            LedgerView.LedgerTable byMother = ledger.table(LedgerBy.MOTHER, LayerQuery.of(line.value(), year));
            pages.add(new SeasonReport.Page(
                    capital(String.valueOf(line.label())) + ", " + year,
                    said(line, bySpecies.currency()),
                    List.of(
                            table("report.recipe", byRecipe),
                            table("report.mother", byMother),
                            weeks(year, line.value())),
                    say("report.lost", Map.of()),
                    bars(line)));
        }
        return new SeasonReport(
                pages,
                say(
                        "report.foot",
                        Map.of(
                                "on",
                                format.day(nursery.today()) + " "
                                        + nursery.today().getYear())),
                person.units() == Units.US);
    }

    private List<String> said(LedgerView.LedgerLine line, String currency) {
        Map<String, String> values = new HashMap<>();
        values.put("set", String.valueOf(line.set()));
        values.put("way", String.valueOf(line.underWay()));
        values.put("rooted", String.valueOf(line.rooted().n()));
        values.put("known", String.valueOf(line.rooted().of()));
        values.put("released", String.valueOf(line.established().n()));
        values.put("severed", String.valueOf(line.established().of()));
        values.put("hours", number(line.minutes() / 60, 0));
        values.put("cost", number(line.cost(), 2) + " " + currency);
        List<String> said = new ArrayList<>();
        said.add(say("report.set", values));
        said.add(say("report.known", values));
        said.add(say("report.work", values));
        if (line.costPerPlant() != null && line.minutesPerPlant() != null) {
            values.put("minutesEach", number(line.minutesPerPlant(), 0));
            values.put("costEach", number(line.costPerPlant(), 2) + " " + currency);
            said.add(say("report.each", values));
        }
        if (line.days() != null) {
            values.put("median", String.valueOf(line.days().median()));
            values.put("low", String.valueOf(line.days().low()));
            values.put("high", String.valueOf(line.days().high()));
            values.put("seen", String.valueOf(line.days().seen()));
            said.add(say("report.days", values));
        }
        return said;
    }

    private SeasonReport.Table weeks(int year, @Nullable String species) {
        return table("report.week", ledger.table(LedgerBy.WEEK, LayerQuery.of(species, year)));
    }

    private SeasonReport.Table table(String title, LedgerView.LedgerTable table) {
        return new SeasonReport.Table(
                say(title, Map.of()),
                say("report.rooted", Map.of()),
                List.of(
                        say("report.column.set", Map.of()),
                        say("report.column.released", Map.of()),
                        say("report.column.cost", Map.of("currency", table.currency()))),
                table.lines().stream().map(line -> row(table, line)).toList());
    }

    private SeasonReport.ReportLine row(LedgerView.LedgerTable table, LedgerView.LedgerLine line) {
        LedgerView.LedgerFigure rooted = line.rooted();
        String label = line.label() != null
                ? capital(line.label())
                : table.by() == LedgerBy.WEEK ? say("report.weekOf", Map.of("week", line.value())) : line.value();
        return new SeasonReport.ReportLine(
                label,
                rooted.share() == null ? Double.NaN : rooted.share(),
                rooted.low(),
                rooted.high(),
                rooted.of() == 0
                        ? say("report.none", Map.of())
                        : say(
                                rooted.of() < table.few() ? "report.few" : "report.share",
                                Map.of(
                                        "n", String.valueOf(rooted.n()),
                                        "of", String.valueOf(rooted.of()),
                                        "low", String.valueOf(Math.round(100 * rooted.low())),
                                        "high", String.valueOf(Math.round(100 * rooted.high())))),
                List.of(
                        String.valueOf(line.set()),
                        String.valueOf(line.established().n()),
                        line.costPerPlant() == null ? "-" : number(line.costPerPlant(), 2)));
    }

    private List<SeasonReport.Bar> bars(LedgerView.LedgerLine line) {
        return line.causes().stream()
                .map(cause -> new SeasonReport.Bar(phrases.say("cause." + cause.cause(), Map.of()), cause.count()))
                .toList();
    }

    private String say(String key, Map<String, String> values) {
        return phrases.say(key, values);
    }

    private static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ENGLISH) + text.substring(1);
    }

    private static String number(double value, int digits) {
        return String.format(Locale.ROOT, "%,." + digits + "f", value);
    }
}
