package org.kindgirdle.server.security;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface SignInTryRepository extends JpaRepository<SignInTry, Long> {

    @Query("select t.at from SignInTry t where t.device = :device and t.name = :name and t.at > :since and t.id <= :id"
            + " order by t.at desc")
    List<Instant> ofDevice(String device, String name, Instant since, long id);

    @Query("select t.at from SignInTry t where t.device = '' and t.name = :name and t.address = :address"
            + " and t.at > :since and t.id <= :id order by t.at desc")
    List<Instant> ofStranger(String name, String address, Instant since, long id);

    @Query("select t.at from SignInTry t where t.device = '' and t.address = :address and t.at > :since"
            + " and t.id <= :id order by t.at desc")
    List<Instant> ofAddress(String address, Instant since, long id);

    @Modifying
    @Query("delete from SignInTry t where t.at < :before")
    void deleteOlder(Instant before);

    @Modifying
    @Query("delete from SignInTry t where t.name = :name and t.address = :address and t.device = :device")
    void deleteOf(String name, String address, String device);
}
