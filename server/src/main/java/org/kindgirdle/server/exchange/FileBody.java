package org.kindgirdle.server.exchange;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.regex.Pattern;
import org.kindgirdle.server.problem.LongBody;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;

@Component
class FileBody implements LongBody {

    private static final String ADVICE = "split the file into several, each with the header";

    /** A table of a quarter of a million layers has half of this. */
    private static final Allowance TABLE = new Allowance(100_000_000, ADVICE);

    /** With its pictures; it is read as it comes in. */
    private static final Allowance NURSERY = new Allowance(20_000_000_000L, ADVICE);

    private static final Pattern ADDRESS = Pattern.compile("/api/v1/imports/[^/]+");

    @Override
    public Optional<Allowance> of(HttpServletRequest request) {
        if (!request.getMethod().equals("PUT")
                || !ADDRESS.matcher(request.getRequestURI()).matches()) {
            return Optional.empty();
        }
        boolean isNursery = String.valueOf(request.getContentType()).startsWith(MediaType.APPLICATION_JSON_VALUE);
        return Optional.of(isNursery ? NURSERY : TABLE);
    }
}
