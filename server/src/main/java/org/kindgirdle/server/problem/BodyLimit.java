package org.kindgirdle.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses bodies over one megabyte, whether they say their length or not: no record comes near it. What may be longer
 * says so itself.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {

    private static final LongBody.Allowance USUAL = new LongBody.Allowance(1_000_000, "send less at a time");

    /** In which a record of any length arrives, by the slowest network that is any use. */
    private static final int GRACE_SECONDS = 15;

    private static final int LEAST_BYTES_A_SECOND = 2_000;

    private final List<LongBody> longer;

    BodyLimit(List<LongBody> longer) {
        this.longer = longer;
    }

    private LongBody.Allowance allowance(HttpServletRequest request) {
        return longer.stream()
                .flatMap(one -> one.of(request).stream())
                .findFirst()
                .orElse(USUAL);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        LongBody.Allowance allowance = allowance(request);
        if (request.getContentLengthLong() > allowance.bytes()) {
            ProblemBody.write(response, tooLarge(allowance).detail());
            return;
        }
        if (isForm(request)) {
            ProblemBody.write(response, CutShort.aForm().detail());
            return;
        }
        try {
            chain.doFilter(new Limited(request, allowance), response);
        } catch (CutShort cut) {
            if (!response.isCommitted()) {
                response.reset();
                ProblemBody.write(response, cut.detail());
            }
        }
    }

    /** Reading one would begin before anybody has asked who sends it. */
    private static boolean isForm(HttpServletRequest request) {
        String type = String.valueOf(request.getContentType()).toLowerCase(Locale.ROOT);
        return type.startsWith("application/x-www-form-urlencoded") || type.startsWith("multipart/");
    }

    private static CutShort tooLarge(LongBody.Allowance allowance) {
        return CutShort.tooLarge(allowance.bytes(), allowance.advice());
    }

    private static final class Limited extends HttpServletRequestWrapper {

        private final LongBody.Allowance allowance;

        Limited(HttpServletRequest request, LongBody.Allowance allowance) {
            super(request);
            this.allowance = allowance;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream in = super.getInputStream();
            return new ServletInputStream() {
                private long left = allowance.bytes();
                private final long began = System.nanoTime();

                @Override
                public int read() {
                    byte[] one = new byte[1];
                    return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
                }

                @Override
                public int read(byte[] into, int from, int most) {
                    int read;
                    try {
                        read = in.read(into, from, most);
                    } catch (IOException unread) {
                        // it is answered here: the container is not to take it for a failure of ours
                        removeAttribute(RequestDispatcher.ERROR_EXCEPTION);
                        throw unread instanceof SocketTimeoutException ? CutShort.tooSlow() : CutShort.brokenOff();
                    }
                    count(Math.max(0, read));
                    return read;
                }

                private void count(int read) {
                    left -= read;
                    if (left < 0) {
                        throw tooLarge(allowance);
                    }
                    long seconds = TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - began);
                    if (seconds > GRACE_SECONDS + (allowance.bytes() - left) / LEAST_BYTES_A_SECOND) {
                        throw CutShort.tooSlow();
                    }
                }

                @Override
                public boolean isFinished() {
                    return in.isFinished();
                }

                @Override
                public boolean isReady() {
                    return in.isReady();
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    in.setReadListener(listener);
                }
            };
        }
    }
}
