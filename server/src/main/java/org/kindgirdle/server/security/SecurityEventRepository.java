package org.kindgirdle.server.security;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface SecurityEventRepository extends JpaRepository<SecurityEvent, Long> {

    List<SecurityEvent> findByIdLessThanOrderByIdDesc(long before, Limit limit);
}
