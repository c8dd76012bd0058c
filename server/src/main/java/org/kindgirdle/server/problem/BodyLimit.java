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
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses bodies over one megabyte, whether they say their length or not: no record comes near it. A picture may have
 * more.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {

    private static final long MOST_BYTES = 1_000_000;

    /** A phone's picture at its largest is half of this. */
    private static final long MOST_BYTES_OF_A_PHOTO = 16_000_000;

    /** A table of a quarter of a million layers has half of this. */
    private static final long MOST_BYTES_OF_A_TABLE = 100_000_000;

    /** With its pictures; it is read as it comes in. */
    private static final long MOST_BYTES_OF_A_NURSERY = 20_000_000_000L;

    /** In which a record of any length arrives, by the slowest network that is any use. */
    private static final int GRACE_SECONDS = 15;

    private static final int LEAST_BYTES_A_SECOND = 2_000;

    private static final Pattern PHOTO = Pattern.compile("/api/v1/layers/[^/]+/photos");
    private static final Pattern IMPORT = Pattern.compile("/api/v1/imports/[^/]+");

    private static boolean isPhoto(HttpServletRequest request) {
        return PHOTO.matcher(request.getRequestURI()).matches();
    }

    private static boolean isImport(HttpServletRequest request) {
        return request.getMethod().equals("PUT")
                && IMPORT.matcher(request.getRequestURI()).matches();
    }

    private static long most(HttpServletRequest request) {
        if (isImport(request)) {
            boolean isNursery = String.valueOf(request.getContentType()).startsWith("application/json");
            return isNursery ? MOST_BYTES_OF_A_NURSERY : MOST_BYTES_OF_A_TABLE;
        }
        return isPhoto(request) ? MOST_BYTES_OF_A_PHOTO : MOST_BYTES;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > most(request)) {
            write(response, tooLarge(request));
            return;
        }
        if (isForm(request)) {
            write(
                    response,
                    415,
                    "Not as a form",
                    "Nothing was written. Send JSON, or the file itself, with its own content type; forms are not taken.",
                    "application/json, or the type of the file");
            return;
        }
        try {
            chain.doFilter(new Limited(request), response);
        } catch (CutShort cut) {
            if (!response.isCommitted()) {
                response.reset();
                write(response, cut);
            }
        }
    }

    /** Reading one would begin before anybody has asked who sends it. */
    private static boolean isForm(HttpServletRequest request) {
        String type = String.valueOf(request.getContentType()).toLowerCase(Locale.ROOT);
        return type.startsWith("application/x-www-form-urlencoded") || type.startsWith("multipart/");
    }

    private static CutShort tooLarge(HttpServletRequest request) {
        String advice = isPhoto(request)
                ? "take the picture at a lower resolution"
                : isImport(request) ? "split the file into several, each with the header" : "send less at a time";
        return CutShort.tooLarge(most(request), advice);
    }

    private static void write(HttpServletResponse response, CutShort cut) throws IOException {
        write(response, cut.status().value(), cut.title(), String.valueOf(cut.getMessage()), cut.allowed());
    }

    private static void write(HttpServletResponse response, int status, String title, String detail, String allowed)
            throws IOException {
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.getWriter()
                .write("{\"type\":\"about:blank\",\"title\":\"" + title + "\",\"status\":" + status + ",\"detail\":\""
                        + detail + "\",\"violations\":[{\"field\":\"\",\"value\":null,\"allowed\":\"" + allowed
                        + "\",\"message\":\"" + title + "\"}]}");
    }

    private static final class Limited extends HttpServletRequestWrapper {

        private final long most;

        Limited(HttpServletRequest request) {
            super(request);
            this.most = most(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream in = super.getInputStream();
            return new ServletInputStream() {
                private long left = most;
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
                        throw tooLarge(Limited.this);
                    }
                    long seconds = TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - began);
                    if (seconds > GRACE_SECONDS + (most - left) / LEAST_BYTES_A_SECOND) {
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
