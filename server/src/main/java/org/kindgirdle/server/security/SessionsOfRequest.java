package org.kindgirdle.server.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Sessions that one request has read already; they are forgotten when it is over, whatever became of it. */
@Component
@Order(SessionRepositoryFilter.DEFAULT_ORDER - 10)
class SessionsOfRequest extends OncePerRequestFilter {

    private static final ThreadLocal<Map<String, Object>> KNOWN = new ThreadLocal<>();

    /** By id; null where no request is under way. */
    static @Nullable Map<String, Object> known() {
        return KNOWN.get();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        KNOWN.set(new HashMap<>());
        try {
            chain.doFilter(request, response);
        } finally {
            KNOWN.remove();
        }
    }
}
