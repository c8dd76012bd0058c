package org.kindgirdle.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.kindgirdle.server.sentences.Refusals;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Sessions are in the database too: with it gone, a request fails in the filters, outside of every controller. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HardshipFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(HardshipFilter.class);

    private final JsonMapper json;

    private final DatabaseWatch database;

    HardshipFilter(JsonMapper json, DatabaseWatch database) {
        this.json = json;
        this.database = database;
    }

    private static final ProblemDetail UNDECODABLE = ProblemAdvice.detail(
            HttpStatus.BAD_REQUEST,
            Refusals.say("address.title"),
            Refusals.say("address"),
            List.of(ProblemAdvice.UNDECODABLE));

    /** Of an address, before any controller was reached. */
    private static boolean isUndecodable(Throwable failure) {
        for (Throwable one = failure; one != null; one = one.getCause()) {
            if (one instanceof InvalidParameterException) {
                return true;
            }
        }
        return false;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (database.isAway()
                && request.getMethod().equals("GET")
                && request.getRequestURI().startsWith("/api/")) {
            // nobody waits to read what is known not to be there: a page then shows at once what its device knows;
            // what is sent waits as long as it makes sense, for the database may be back any moment
            write(response, Hardship.away());
            return;
        }
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException failure) {
            ProblemDetail known = isUndecodable(failure) ? UNDECODABLE : Hardship.of(failure);
            if (known == null || response.isCommitted()) {
                throw failure;
            }
            LOG.warn("{}: {}", known.getTitle(), failure.getMessage());
            if (Hardship.isAway(known)) {
                database.noticed();
            }
            response.reset();
            write(response, known);
        }
    }

    private void write(HttpServletResponse response, ProblemDetail known) throws IOException {
        response.setStatus(known.getStatus());
        response.setHeader(HttpHeaders.RETRY_AFTER, Integer.toString(Hardship.AGAIN_SECONDS));
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        json.writeValue(response.getOutputStream(), known);
    }
}
