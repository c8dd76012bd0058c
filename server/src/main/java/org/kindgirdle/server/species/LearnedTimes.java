package org.kindgirdle.server.species;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.nursery.Versions;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** For which species the nursery goes by its own records, and what they said when that was settled. */
@Service
public class LearnedTimes {

    private final LearnedTimeRepository times;
    private final NurseryLock lock;
    private final ApplicationEventPublisher events;

    LearnedTimes(LearnedTimeRepository times, NurseryLock lock, ApplicationEventPublisher events) {
        this.times = times;
        this.lock = lock;
        this.events = events;
    }

    /**
     * What was settled for a species.
     *
     * @param number of the decision, rising
     * @param time of its own records; null to go by the profile
     */
    public record Settled(
            String speciesCode, long number, @Nullable RootingTime time, String madeBy, LocalDate madeOn) {}

    /** The newest decision of each species that had one by a day. */
    @Transactional(readOnly = true)
    public Map<String, Settled> asOf(LocalDate day) {
        return times.newestBy(day).stream()
                .map(LearnedTimeRow::settled)
                .collect(Collectors.toMap(Settled::speciesCode, Function.identity()));
    }

    /** Every decision of a species, the newest first. */
    @Transactional(readOnly = true)
    public List<Settled> of(String speciesCode) {
        return times.findBySpeciesCodeOrderByIdDesc(speciesCode).stream()
                .map(LearnedTimeRow::settled)
                .toList();
    }

    /**
     * Goes by own records, or back to the profile; the dates of all layers under way follow.
     *
     * @param number of the newest decision that was seen; 0 for none
     * @throws org.kindgirdle.server.problem.ProblemException if another was made meanwhile
     */
    @Transactional
    public void settle(String speciesCode, @Nullable RootingTime time, long number, String by, LocalDate on) {
        lock.holdForChange();
        Settled now = of(speciesCode).stream().findFirst().orElse(null);
        Versions.check(number, now == null ? 0 : now.number(), number, now == null ? "" : now);
        times.save(new LearnedTimeRow(speciesCode, time, by, on));
        events.publishEvent(new MasterDataChanged("learned time of " + speciesCode));
    }
}
