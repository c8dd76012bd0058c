package org.kindgirdle.server.calendar;

import java.time.Duration;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Value;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.LastModified;
import net.fortuna.ical4j.model.property.Name;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RefreshInterval;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Status;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** A calendar as text (RFC 5545). Its days are the site's, without hours, so that no time zone is needed. */
final class Feed {

    private static final Duration REFRESH = Duration.ofHours(6);

    private Feed() {}

    /** @param domain that makes its ids unique in the world */
    static String of(String name, String domain, List<ToldEntries.ToldEntry> entries) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Kind Girdle//Calendar//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(ImmutableMethod.PUBLISH);
        calendar.add(new Name(name));
        calendar.add(new RefreshInterval(new ParameterList(List.of(Value.DURATION)), REFRESH));
        for (ToldEntries.ToldEntry told : entries) {
            calendar.add(event(told, domain));
        }
        return calendar.toString();
    }

    private static VEvent event(ToldEntries.ToldEntry told, String domain) {
        Entry entry = told.entry();
        VEvent event = new VEvent(false);
        event.add(new Uid(entry.uid() + "@" + domain));
        event.add(new DtStamp(told.changedAt()));
        event.add(new LastModified(told.changedAt()));
        event.add(new DtStart<>(entry.from()));
        // the end of whole days is the day after the last
        event.add(new DtEnd<>(entry.to().plusDays(1)));
        event.add(new Summary(entry.summary()));
        event.add(new Description(entry.description()));
        event.add(new Sequence(told.sequence()));
        event.add(new Transp(Transp.VALUE_TRANSPARENT));
        event.add(new Status(told.cancelled() ? Status.VALUE_CANCELLED : Status.VALUE_CONFIRMED));
        return event;
    }
}
