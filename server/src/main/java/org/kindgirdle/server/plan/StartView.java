package org.kindgirdle.server.plan;

import java.util.List;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.server.words.Reasons;

/**
 * One start date with its reasons.
 *
 * @param sentence what it is worth
 * @param rules that were asked
 * @param otherwise what else could be done; empty where the date is good
 */
record StartView(SettingWindow window, String sentence, List<Reasons.RuleWords> rules, List<String> otherwise) {}
