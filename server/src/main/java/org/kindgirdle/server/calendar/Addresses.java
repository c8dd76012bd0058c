package org.kindgirdle.server.calendar;

import java.time.LocalDate;
import java.util.Optional;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.security.People;
import org.kindgirdle.server.security.ReplacedPeople;
import org.kindgirdle.server.security.Secrets;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The secret address of each person's calendar. Only its hash is kept: it is shown once, and made anew if it is lost. */
@Component
class Addresses {

    private final CalendarAddressRepository addresses;
    private final CurrentPerson person;
    private final BusinessClock clock;

    Addresses(CalendarAddressRepository addresses, CurrentPerson person, BusinessClock clock) {
        this.addresses = addresses;
        this.person = person;
        this.clock = clock;
    }

    /** A new one in place of any that there was, which leads nowhere from now on. */
    @Transactional
    String renew() {
        String token = Secrets.token();
        addresses.put(person.id(), Secrets.hash(token), clock.today());
        return token;
    }

    @Transactional
    void remove() {
        addresses.remove(person.id());
    }

    @EventListener
    @Transactional
    public void onDisabled(People.Disabled disabled) {
        addresses.remove(disabled.personId());
    }

    @EventListener
    @Transactional
    public void onRenumbered(ReplacedPeople.Renumbered people) {
        people.were().forEach(addresses::remove);
    }

    /** When the one of whoever is signed in was made. */
    @Transactional(readOnly = true)
    Optional<LocalDate> madeOn() {
        return addresses.findById(person.id()).map(one -> one.madeOn);
    }

    /** Whose it is. */
    @Transactional(readOnly = true)
    Optional<Long> owner(String token) {
        return addresses.owner(Secrets.hash(token));
    }
}
