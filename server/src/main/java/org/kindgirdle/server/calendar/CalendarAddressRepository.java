package org.kindgirdle.server.calendar;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CalendarAddressRepository extends JpaRepository<CalendarAddressRow, Long> {

    /** In place of any that there was, in one statement: two may ask at once. */
    @Modifying
    @Query("""
            insert into CalendarAddressRow (personId, tokenHash, madeOn) values (:personId, :tokenHash, :madeOn)
            on conflict (personId) do update set tokenHash = excluded.tokenHash, madeOn = excluded.madeOn
            """)
    void put(long personId, String tokenHash, LocalDate madeOn);

    @Modifying
    @Query("delete from CalendarAddressRow one where one.personId = :personId")
    void remove(long personId);

    @Query("select one.personId from CalendarAddressRow one where one.tokenHash = :tokenHash")
    Optional<Long> owner(String tokenHash);
}
