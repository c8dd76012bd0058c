package org.kindgirdle.server.site;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.nursery.Versions;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The one site of the nursery. An edit on an old version is refused with both sides. */
@Service
public class Sites {

    private final SiteRepository sites;
    private final ApplicationEventPublisher events;
    private final NurseryLock lock;

    Sites(SiteRepository sites, ApplicationEventPublisher events, NurseryLock lock) {
        this.sites = sites;
        this.events = events;
        this.lock = lock;
    }

    @Transactional(readOnly = true)
    public SiteView site() {
        return view(sites.findById(Site.ONLY).orElseThrow(() -> ProblemException.notFound("site", "yet")));
    }

    @Transactional(readOnly = true)
    public boolean hasSite() {
        return sites.existsById(Site.ONLY);
    }

    @Transactional
    public SiteView save(SiteView edit) {
        lock.holdForChange();
        Site site = sites.findById(Site.ONLY).orElseGet(Site::fresh);
        if (sites.existsById(Site.ONLY)) {
            Versions.check(edit.version(), site.version, edit, view(site));
        }
        checkZone(edit.zone());
        checkNormals(edit.minC(), edit.maxC());
        site.name = edit.name();
        site.latitude = edit.latitude();
        site.zone = edit.zone();
        site.minC = List.copyOf(edit.minC());
        site.maxC = List.copyOf(edit.maxC());
        site.frostFree = edit.frosts() == null;
        site.frosts = FrostDates.of(edit.frosts());
        site.winterLowC = edit.winterLowC();
        site.arid = edit.arid();
        site.roundDays = Set.copyOf(edit.roundDays());
        site.roundMinutes = edit.roundMinutes();
        SiteView saved = view(sites.saveAndFlush(site));
        events.publishEvent(new MasterDataChanged(MasterDataChanged.SITE));
        return saved;
    }

    private static void checkZone(String zone) {
        try {
            ZoneId.of(zone);
        } catch (DateTimeException unknown) {
            throw ProblemException.invalid("zone", zone, Refusals.say("site.zone.allowed"), Refusals.say("site.zone"));
        }
    }

    private static void checkNormals(List<Double> minC, List<Double> maxC) {
        for (int month = 0; month < 12; month++) {
            if (maxC.get(month) < minC.get(month)) {
                throw ProblemException.invalid(
                        "maxC[" + month + "]",
                        maxC.get(month),
                        Refusals.say("site.maxC.allowed", "minC", minC.get(month)),
                        Refusals.say("site.maxC"));
            }
        }
    }

    private static SiteView view(Site site) {
        return new SiteView(
                site.name,
                site.latitude,
                site.zone,
                site.minC,
                site.maxC,
                site.frostFree ? null : FrostDates.view(site.frosts),
                site.winterLowC,
                site.arid,
                new TreeSet<>(site.roundDays),
                site.roundMinutes,
                site.version);
    }
}
