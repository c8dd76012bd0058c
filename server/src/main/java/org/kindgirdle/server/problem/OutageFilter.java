package org.kindgirdle.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Sessions are in the database too: with it gone, a request fails in the filters, outside of every controller. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OutageFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(OutageFilter.class);

    private final JsonMapper json;

    OutageFilter(JsonMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException failure) {
            if (!Outage.is(failure) || response.isCommitted()) {
                throw failure;
            }
            LOG.warn("The database can't be reached: {}", failure.getMessage());
            response.reset();
            response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            json.writeValue(response.getOutputStream(), Outage.detail());
        }
    }
}
