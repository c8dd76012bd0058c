package org.kindgirdle.server.security;

import java.util.List;
import java.util.Optional;
import org.kindgirdle.server.units.Units;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface PersonRepository extends JpaRepository<Person, Long> {

    Optional<Person> findByName(String name);

    List<Person> findAllByOrderByName();

    /** Somebody as the database has it, whatever was read before it was replaced. */
    record Known(long id, String name, String fullName, String passwordHash, Units units) {}

    @Query("""
            select new org.kindgirdle.server.security.PersonRepository$Known(
                one.id, one.name, one.fullName, one.passwordHash, one.units)
            from Person one
            """)
    List<Known> known();

    @Modifying
    @Query("update Person one set one.role = org.kindgirdle.server.security.Role.OWNER, one.disabledAt = null"
            + " where one.name = :name")
    int makeOwner(String name);

    @Modifying
    @Query("update Person one set one.passwordHash = :hash")
    void giveAll(String hash);

    @Modifying
    @Query("update Person one set one.passwordHash = :hash where one.name = :name")
    void give(String name, String hash);

    /** Spring Session's own table: its repository would end them at once, though the import may yet be taken back. */
    @Modifying
    @Query(value = "delete from SPRING_SESSION where principal_name <> :name", nativeQuery = true)
    void endSessionsOfAllBut(String name);

    /** As {@link #endSessionsOfAllBut}. */
    @Modifying
    @Query(value = "delete from SPRING_SESSION", nativeQuery = true)
    void endAllSessions();

    /** As {@link #endSessionsOfAllBut}: its repository would read the session and all that it holds first. */
    @Modifying
    @Query(value = """
            update SPRING_SESSION
            set last_access_time = :moment, expiry_time = :moment + max_inactive_interval * 1000
            where session_id = :session and last_access_time < :moment
            """, nativeQuery = true)
    void used(String session, long moment);
}
