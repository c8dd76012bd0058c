package org.kindgirdle.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
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
            refuse(request, response);
            return;
        }
        try {
            chain.doFilter(new Limited(request), response);
        } catch (TooLargeException tooLarge) {
            refuse(request, response);
        }
    }

    private static void refuse(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.setStatus(413);
        response.setContentType("application/problem+json");
        long most = most(request);
        String advice = isPhoto(request)
                ? "take the picture at a lower resolution"
                : isImport(request) ? "split the file into several, each with the header" : "send less at a time";
        response.getWriter()
                .write(
                        "{\"type\":\"about:blank\",\"title\":\"Too large\",\"status\":413,\"detail\":\"Nothing was written."
                                + " A body may have up to " + most + " bytes; " + advice + ".\",\"violations\":"
                                + "[{\"field\":\"\",\"value\":null,\"allowed\":\"up to " + most
                                + " bytes\",\"message\":\"is too large\"}]}");
    }

    /** Thrown through the reader of the body when a chunked one goes on for too long. */
    private static final class TooLargeException extends RuntimeException {}

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

                @Override
                public int read() throws IOException {
                    int one = in.read();
                    count(one < 0 ? 0 : 1);
                    return one;
                }

                @Override
                public int read(byte[] into, int from, int most) throws IOException {
                    int read = in.read(into, from, most);
                    count(Math.max(0, read));
                    return read;
                }

                private void count(int read) {
                    left -= read;
                    if (left < 0) {
                        throw new TooLargeException();
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
