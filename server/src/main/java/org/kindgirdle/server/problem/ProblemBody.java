package org.kindgirdle.server.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.json.ProblemDetailJacksonMixin;
import tools.jackson.databind.json.JsonMapper;

/** A refusal as it is sent by what answers before the controllers do, or in their place. */
public final class ProblemBody {

    private static final JsonMapper JSON = JsonMapper.builder()
            .addMixIn(ProblemDetail.class, ProblemDetailJacksonMixin.class)
            .build();

    private ProblemBody() {}

    public static String of(HttpStatus status, String title, String detail) {
        return JSON.writeValueAsString(ProblemAdvice.detail(status, title, detail, List.of()));
    }

    public static void write(HttpServletResponse response, HttpStatus status, String title, String detail)
            throws IOException {
        write(response, ProblemAdvice.detail(status, title, detail, List.of()));
    }

    static void write(HttpServletResponse response, ProblemDetail problem) throws IOException {
        response.setStatus(problem.getStatus());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write(JSON.writeValueAsString(problem));
    }
}
