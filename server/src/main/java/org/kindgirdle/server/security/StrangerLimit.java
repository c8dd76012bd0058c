package org.kindgirdle.server.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import org.kindgirdle.server.problem.ProblemBody;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Whoever is not signed in can't take all threads: only so many of their bodies are read at once. */
final class StrangerLimit extends OncePerRequestFilter {

    /** A third of the server's threads. */
    private static final int AT_ONCE = 20;

    static final int AGAIN_SECONDS = 5;

    private final Semaphore turns = new Semaphore(AT_ONCE);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean hasBody = request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
        if (!hasBody || isSomebody()) {
            chain.doFilter(request, response);
            return;
        }
        if (!turns.tryAcquire()) {
            response.setHeader("Retry-After", Integer.toString(AGAIN_SECONDS));
            ProblemBody.write(
                    response,
                    HttpStatus.SERVICE_UNAVAILABLE,
                    Refusals.say("tooMuch.title"),
                    Refusals.say("tooMuch.strangers"));
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            turns.release();
        }
    }

    private static boolean isSomebody() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who != null && !(who instanceof AnonymousAuthenticationToken);
    }
}
