package org.kindgirdle.server.photos;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.regex.Pattern;
import org.kindgirdle.server.problem.LongBody;
import org.springframework.stereotype.Component;

@Component
class PictureBody implements LongBody {

    /** A phone's picture at its largest is half of this. */
    private static final Allowance PICTURE = new Allowance(16_000_000, "take the picture at a lower resolution");

    private static final Pattern ADDRESS = Pattern.compile("/api/v1/layers/[^/]+/photos");

    @Override
    public Optional<Allowance> of(HttpServletRequest request) {
        return ADDRESS.matcher(request.getRequestURI()).matches() ? Optional.of(PICTURE) : Optional.empty();
    }
}
