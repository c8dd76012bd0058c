package org.kindgirdle.server.places;

import java.util.List;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.nursery.Versions;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.site.FrostDates;
import org.kindgirdle.server.site.SiteView;
import org.kindgirdle.server.site.Sites;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The places of the nursery. An edit on an old version is refused with both sides. */
@Service
public class Places {

    private final PlaceRepository places;
    private final Sites sites;
    private final ApplicationEventPublisher events;
    private final NurseryLock lock;

    Places(PlaceRepository places, Sites sites, ApplicationEventPublisher events, NurseryLock lock) {
        this.places = places;
        this.sites = sites;
        this.events = events;
        this.lock = lock;
    }

    /** In walking order. */
    @Transactional(readOnly = true)
    public List<PlaceView> all() {
        return places.findAllByOrderByWalkingOrderAscNameAsc().stream()
                .map(Places::view)
                .toList();
    }

    @Transactional(readOnly = true)
    public boolean exists(long id) {
        return places.existsById(id);
    }

    /** Empty where there is none. */
    @Transactional(readOnly = true)
    public String name(long id) {
        return places.findById(id).map(place -> place.name).orElse("");
    }

    @Transactional
    public PlaceView save(PlaceView edit) {
        lock.holdForChange();
        Place place = edit.id() == null
                ? Place.fresh()
                : places.findById(edit.id()).orElseThrow(() -> ProblemException.notFound("place", edit.id()));
        if (edit.id() != null) {
            Versions.check(edit.version(), place.version, edit, view(place));
        }
        places.findByName(edit.name()).filter(other -> !other.equals(place)).ifPresent(other -> {
            throw Versions.taken("name", edit.name(), "place");
        });
        if ((edit.frosts() == PlaceFrosts.OWN) != (edit.ownFrosts() != null)) {
            throw ProblemException.invalid(
                    "ownFrosts",
                    String.valueOf(edit.ownFrosts()),
                    Refusals.say("place.frosts.allowed"),
                    Refusals.say("place.frosts"));
        }
        place.name = edit.name();
        place.walkingOrder = edit.walkingOrder();
        place.exposure = edit.exposure();
        place.minShiftC = edit.minShiftC();
        place.maxShiftC = edit.maxShiftC();
        place.vpdFactor = edit.vpdFactor();
        place.frosts = edit.frosts();
        place.own = FrostDates.of(edit.ownFrosts());
        place.winterLowC = edit.winterLowC();
        place.stand = edit.stand();
        if (sites.hasSite()) {
            checkShifts(edit);
        }
        PlaceView saved = view(places.saveAndFlush(place));
        events.publishEvent(new MasterDataChanged("place"));
        return saved;
    }

    private void checkShifts(PlaceView edit) {
        SiteView site = sites.site();
        double least = Double.POSITIVE_INFINITY;
        for (int month = 0; month < 12; month++) {
            least = Math.min(least, site.maxC().get(month) - site.minC().get(month));
        }
        if (edit.minShiftC() - edit.maxShiftC() > least) {
            throw ProblemException.invalid(
                    "minShiftC",
                    edit.minShiftC(),
                    Refusals.say("place.shifts.allowed", "most", edit.maxShiftC() + least),
                    Refusals.say("place.shifts"));
        }
    }

    private static PlaceView view(Place place) {
        return new PlaceView(
                place.id,
                place.name,
                place.walkingOrder,
                place.exposure,
                place.minShiftC,
                place.maxShiftC,
                place.vpdFactor,
                place.frosts,
                FrostDates.view(place.own),
                place.winterLowC,
                place.stand,
                place.version);
    }
}
