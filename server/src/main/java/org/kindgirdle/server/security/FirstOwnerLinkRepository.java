package org.kindgirdle.server.security;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface FirstOwnerLinkRepository extends JpaRepository<FirstOwnerLinkRow, Integer> {

    /** Once: of two that use it at the same moment, one. @return 1 if it counted */
    @Modifying
    @Query("delete from FirstOwnerLinkRow link where link.tokenHash = :tokenHash")
    int use(String tokenHash);
}
