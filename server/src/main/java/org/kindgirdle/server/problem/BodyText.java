package org.kindgirdle.server.problem;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Type;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.json.JsonMapper;

/**
 * What holds for every body that is sent, whatever it is for: no holes in lists, no signs that nobody sees, names on one
 * line, days within the years that a nursery lives in. What is kept already is read as it is.
 */
@RestControllerAdvice
class BodyText extends RequestBodyAdviceAdapter {

    /** Fields whose text may have several lines. */
    private static final Set<String> LINES = Set.of("note", "reason", "permission", "csv", "text");

    private static final int MAX_VIOLATIONS = 50;

    private final JsonMapper json;

    BodyText(JsonMapper json) {
        this.json = json;
    }

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public HttpInputMessage beforeBodyRead(
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter)
            throws IOException {
        byte[] body = message.getBody().readAllBytes();
        List<Violation> violations = violations(body);
        if (!violations.isEmpty()) {
            throw ProblemException.invalid(violations);
        }
        return new HttpInputMessage() {
            @Override
            public InputStream getBody() {
                return new ByteArrayInputStream(body);
            }

            @Override
            public HttpHeaders getHeaders() {
                return message.getHeaders();
            }
        };
    }

    private List<Violation> violations(byte[] body) {
        List<Violation> violations = new ArrayList<>();
        try (JsonParser parser = json.createParser(body)) {
            Deque<String> path = new ArrayDeque<>();
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                boolean isHole = token == JsonToken.VALUE_NULL
                        && parser.streamReadContext().inArray();
                if (isHole && violations.size() < MAX_VIOLATIONS) {
                    violations.add(new Violation(
                            where(parser, path),
                            null,
                            Refusals.say("body.value.allowed"),
                            Refusals.say("body.missing")));
                }
                if (token == JsonToken.VALUE_STRING || token == JsonToken.PROPERTY_NAME) {
                    String field = String.valueOf(parser.currentName());
                    Violation wrong = wrong(
                            token == JsonToken.PROPERTY_NAME ? "" : field, parser.getString(), where(parser, path));
                    if (wrong != null && violations.size() < MAX_VIOLATIONS) {
                        violations.add(wrong);
                    }
                }
            }
        } catch (JacksonException noJson) {
            // whoever reads it says so, with what was expected
            return List.of();
        }
        return violations;
    }

    private static String where(JsonParser parser, Deque<String> path) {
        path.clear();
        for (var at = parser.streamReadContext(); at != null; at = at.getParent()) {
            if (at.inObject() && at.currentName() != null) {
                path.addFirst(
                        path.isEmpty() || path.peekFirst().startsWith("[") ? at.currentName() : at.currentName() + ".");
            } else if (at.inArray()) {
                path.addFirst("[" + at.getCurrentIndex() + "]" + (path.isEmpty() ? "" : "."));
            }
        }
        return String.join("", path).replace("..", ".").replace(".[", "[");
    }

    private static @Nullable Violation wrong(String field, String text, String where) {
        if (Unseen.in(text, LINES.contains(field))) {
            return new Violation(
                    where,
                    Unseen.shown(text),
                    LINES.contains(field) ? Refusals.say("body.text.allowed") : Refusals.say("body.line.allowed"),
                    Refusals.say("body.unseen"));
        }
        return LINES.contains(field) ? null : SaneDay.wrong(where, text);
    }
}
