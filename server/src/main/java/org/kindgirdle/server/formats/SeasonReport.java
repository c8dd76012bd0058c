package org.kindgirdle.server.formats;

import java.util.List;

/**
 * What came of a season, for whoever pays for it.
 *
 * @param pages that of the totals first
 * @param foot small print of every page
 * @param inches whether it is printed on Letter
 */
public record SeasonReport(List<Page> pages, String foot, boolean inches) {

    /**
     * One page.
     *
     * @param said sentences that stand before the numbers
     * @param tables of shares, one below another
     * @param bars what was lost, the commonest first
     */
    public record Page(String title, List<String> said, List<Table> tables, String barsTitle, List<Bar> bars) {}

    /** @param columns heads of the numbers beside the share */
    public record Table(String title, String shareHead, List<String> columns, List<ReportLine> rows) {}

    /**
     * A share with its interval, drawn and in words, and numbers beside it.
     *
     * @param share 0 to 1; NaN of none
     */
    public record ReportLine(String label, double share, double low, double high, String words, List<String> numbers) {}

    public record Bar(String label, int count) {}
}
