package org.kindgirdle.server.problem;

import jakarta.validation.ConstraintViolation;
import jakarta.validation.ConstraintViolationException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.NotOneOfException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.QuantityFormatException;
import org.kindgirdle.server.sentences.Refusals;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.validation.FieldError;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingRequestHeaderException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.InputCoercionException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Turns every refusal into problem details; a bug becomes a 500 with a reference and no trace. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

    private static final Pattern COERCED = Pattern.compile("value \\(\"(.{1,200}?)\"\\)");
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    private final DatabaseWatch database;

    ProblemAdvice(DatabaseWatch database) {
        this.database = database;
    }

    static final Violation UNDECODABLE =
            new Violation("", null, Refusals.say("body.address.allowed"), Refusals.say("body.address"));

    @ExceptionHandler
    ResponseEntity<Object> problem(ProblemException refused) {
        ProblemDetail detail = detail(refused.status(), refused.title(), refused.getMessage(), refused.violations());
        refused.more().forEach(detail::setProperty);
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(refused.status());
        if (refused.more().get(ProblemException.RETRY_AFTER) instanceof Integer seconds) {
            answer.header(HttpHeaders.RETRY_AFTER, seconds.toString());
        }
        return answer.body(detail);
    }

    @ExceptionHandler
    ResponseEntity<Object> outOfRange(OutOfRangeException refused) {
        return invalid(List.of(violation("", refused)));
    }

    @ExceptionHandler
    ResponseEntity<Object> notOneOf(NotOneOfException refused) {
        return invalid(List.of(violation("", refused)));
    }

    @ExceptionHandler
    ResponseEntity<Object> constraint(ConstraintViolationException refused) {
        return invalid(refused.getConstraintViolations().stream()
                .map(one -> violation(lastNode(one), one.getInvalidValue(), one.getMessage()))
                .toList());
    }

    @ExceptionHandler
    ResponseEntity<Object> wrongType(MethodArgumentTypeMismatchException refused) {
        Violation farOff = SaneDay.wrong(refused.getName(), String.valueOf(refused.getValue()));
        if (farOff != null && refused.getRequiredType() == LocalDate.class) {
            return invalid(List.of(farOff));
        }
        return invalid(List.of(new Violation(
                refused.getName(),
                shown(refused.getValue()),
                allowed(refused.getRequiredType()),
                Refusals.say("body.isNot", "allowed", allowed(refused.getRequiredType())))));
    }

    @ExceptionHandler
    ResponseEntity<Object> cutShort(CutShort cut) {
        return ResponseEntity.of(cut.detail()).build();
    }

    /** Of the address, before anything looked at it. */
    @ExceptionHandler
    ResponseEntity<Object> undecodable(InvalidParameterException refused) {
        return invalid(List.of(UNDECODABLE));
    }

    @ExceptionHandler
    ResponseEntity<Object> bug(Exception bug) {
        ProblemDetail known = Hardship.of(bug);
        if (known != null) {
            LOG.warn("{}: {}", known.getTitle(), bug.getMessage());
            if (Hardship.isAway(known)) {
                database.noticed();
            }
            return Hardship.answer(known);
        }
        String reference = Long.toString(System.nanoTime() & 0xFFFFFFL, 36);
        LOG.error("Unexpected failure, reference {}", reference, bug);
        return ResponseEntity.internalServerError()
                .body(detail(
                        HttpStatus.INTERNAL_SERVER_ERROR,
                        Refusals.say("hardship.bug.title"),
                        Refusals.say("hardship.bug", "reference", reference),
                        List.of()));
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException refused, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return invalid(refused.getBindingResult().getAllErrors().stream()
                .map(error -> {
                    String message = String.valueOf(error.getDefaultMessage()).strip();
                    if (error instanceof FieldError field && field.contains(TypeMismatchException.class)) {
                        String allowed = allowed(
                                field.unwrap(TypeMismatchException.class).getRequiredType());
                        return new Violation(
                                field.getField(),
                                shown(field.getRejectedValue()),
                                allowed,
                                Refusals.say("body.isNot", "allowed", allowed));
                    }
                    return error instanceof FieldError field
                            ? violation(field.getField(), field.getRejectedValue(), message)
                            : violation("", null, message);
                })
                // the validator keeps them in no order
                .sorted(Comparator.comparing(Violation::field).thenComparing(Violation::message))
                .toList());
    }

    @Override
    protected ResponseEntity<Object> handleHandlerMethodValidationException(
            HandlerMethodValidationException refused, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return invalid(refused.getParameterValidationResults().stream()
                .flatMap(result -> result.getResolvableErrors().stream()
                        .map(error -> violation(
                                String.valueOf(result.getMethodParameter().getParameterName()),
                                result.getArgument(),
                                String.valueOf(error.getDefaultMessage()).strip())))
                .toList());
    }

    @Override
    protected ResponseEntity<Object> handleMissingServletRequestParameter(
            MissingServletRequestParameterException refused,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        return invalid(List.of(missing(refused.getParameterName())));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException refused, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return invalid(List.of(unreadable(refused.getCause())));
    }

    @Override
    protected ResponseEntity<Object> handleServletRequestBindingException(
            ServletRequestBindingException refused, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String field = refused instanceof MissingRequestHeaderException header ? header.getHeaderName() : "";
        return invalid(List.of(new Violation(field, null, Refusals.say("body.missing"), refused.getMessage())));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMediaTypeNotSupported(
            HttpMediaTypeNotSupportedException refused,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        List<MediaType> all = refused.getSupportedMediaTypes();
        String allowed = all.contains(MediaType.APPLICATION_JSON)
                ? MediaType.APPLICATION_JSON_VALUE
                : all.stream().map(MediaType::toString).collect(Collectors.joining(", "));
        return ResponseEntity.status(status)
                .headers(headers)
                .body(detail(
                        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                        Refusals.say("body.contentType.title"),
                        Refusals.say("body.contentType.detail", "allowed", allowed),
                        List.of(new Violation(
                                "Content-Type",
                                shown(refused.getContentType()),
                                allowed,
                                Refusals.say("body.contentType")))));
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleExceptionInternal(
            Exception refused, @Nullable Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail detail = body instanceof ProblemDetail problem
                ? problem
                : detail(
                        HttpStatus.valueOf(status.value()),
                        Refusals.say("refused.title"),
                        String.valueOf(refused.getMessage()),
                        List.of());
        return ResponseEntity.status(status).headers(headers).body(detail);
    }

    /** What is wrong with a body, from the way in which reading it failed. */
    static Violation unreadable(@Nullable Throwable cause) {
        if (!(cause instanceof JacksonException json)) {
            return new Violation("", null, Refusals.say("body.json.allowed"), Refusals.say("body.noJson"));
        }
        String field = path(json);
        for (Throwable inner = cause; inner != null; inner = inner.getCause()) {
            if (inner instanceof OutOfRangeException range) {
                return violation(field, range);
            }
            if (inner instanceof NotOneOfException other) {
                return violation(field, other);
            }
            if (inner instanceof MissingValueException missing) {
                String at = field.endsWith(missing.name()) ? field : join(field, missing.name());
                return missing(at);
            }
            if (inner instanceof QuantityFormatException quantity) {
                return new Violation(
                        field, null, quantity.whatToDo(), quantity.getMessage() + ". " + quantity.whatToDo());
            }
        }
        if (cause instanceof InputCoercionException) {
            return new Violation(field, null, Refusals.say("body.tooLarge.allowed"), Refusals.say("body.tooLarge"));
        }
        if (cause instanceof UnrecognizedPropertyException unknown) {
            return new Violation(
                    field,
                    null,
                    Refusals.say("body.field.allowed"),
                    Refusals.say("body.field", "name", unknown.getPropertyName()));
        }
        if (cause instanceof InvalidFormatException format) {
            String allowed = allowed(format.getTargetType());
            return new Violation(
                    field, shown(format.getValue()), allowed, Refusals.say("body.isNot", "allowed", allowed));
        }
        if (cause instanceof MismatchedInputException mismatch) {
            if (mismatch.getOriginalMessage().startsWith("Cannot map `null`")) {
                return missing(field);
            }
            String allowed = allowed(mismatch.getTargetType());
            return new Violation(
                    field, shown(scalar(mismatch)), allowed, Refusals.say("body.isNot", "allowed", allowed));
        }
        if (json instanceof DatabindException && json.getCause() instanceof RuntimeException inner) {
            return new Violation(field, null, "", String.valueOf(inner.getMessage()));
        }
        return new Violation(
                field,
                null,
                Refusals.say("body.noJson.allowed"),
                Refusals.say("body.noJson.why", "why", json.getOriginalMessage()));
    }

    /** The value at which reading stopped, if it was a single one: the parser is closed by now, the text tells it. */
    private static @Nullable Object scalar(MismatchedInputException mismatch) {
        Matcher value = COERCED.matcher(mismatch.getOriginalMessage());
        return value.find() ? value.group(1) : null;
    }

    private static Violation missing(String field) {
        return new Violation(field, null, Refusals.say("body.value.allowed"), Refusals.say("body.missing"));
    }

    /** A constraint says "must be" what is allowed. */
    private static Violation violation(String field, @Nullable Object value, String message) {
        if (message.equals("must be there")) {
            return missing(field);
        }
        String allowed = message.startsWith("must be ") ? message.substring("must be ".length()) : message;
        // a secret is never sent back, nor does it get into anybody's log of answers
        boolean isSecret = field.endsWith("password") || field.endsWith("token");
        return new Violation(field, isSecret ? null : shown(value), allowed, message);
    }

    static String join(String path, String name) {
        return path.isEmpty() ? name : name.isEmpty() ? path : path + "." + name;
    }

    private static Violation violation(String at, NotOneOfException other) {
        String allowed = "one of " + String.join(", ", other.allowed());
        return new Violation(
                at.endsWith(other.name()) ? at : join(at, other.name()),
                other.value().name(),
                allowed,
                Refusals.say("body.other", "allowed", allowed));
    }

    private static Violation violation(String at, OutOfRangeException range) {
        String allowed = "from " + number(range.low()) + " to " + number(range.high());
        return new Violation(
                at.endsWith(range.name()) ? at : join(at, range.name()),
                Double.isNaN(range.value()) ? "NaN" : (Object) range.value(),
                allowed,
                Refusals.say("body.range", "allowed", allowed));
    }

    private static String number(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? Long.toString((long) value)
                : Double.toString(value);
    }

    private static String path(JacksonException json) {
        return json.getPath().stream()
                .map(step -> step.getPropertyName() != null ? step.getPropertyName() : "[" + step.getIndex() + "]")
                .collect(Collectors.joining("."))
                .replace(".[", "[");
    }

    private static String allowed(@Nullable Class<?> type) {
        if (type == null) {
            return "of the right type";
        }
        if (type.isEnum()) {
            return "one of "
                    + Arrays.stream(type.getEnumConstants())
                            .map(String::valueOf)
                            .collect(Collectors.joining(", "));
        }
        if (Number.class.isAssignableFrom(type) || type.isPrimitive() && type != boolean.class) {
            return "a number";
        }
        return switch (type.getSimpleName()) {
            case "boolean", "Boolean" -> "true or false";
            case "LocalDate" -> "a date like 2026-07-10";
            case "Instant" -> "an instant like 2026-07-10T09:30:00Z";
            case "UUID" -> "a UUID";
            case "List", "ArrayList", "Set", "HashSet" -> "a list";
            case "String" -> "a text";
            default -> "an object";
        };
    }

    private static String lastNode(ConstraintViolation<?> violation) {
        String path = violation.getPropertyPath().toString();
        return path.substring(path.indexOf('.') + 1);
    }

    private static @Nullable Object shown(@Nullable Object value) {
        if (value instanceof Double number && !Double.isFinite(number)) {
            return String.valueOf(number);
        }
        if (value == null || value instanceof Number || value instanceof Boolean) {
            return value;
        }
        // a name that is there twice in an address comes with both its values
        String text = value instanceof Object[] several ? Arrays.toString(several) : String.valueOf(value);
        return text.length() > 120 ? text.substring(0, 120) + "…" : text;
    }

    private static ResponseEntity<Object> invalid(List<Violation> violations) {
        ProblemException invalid = ProblemException.invalid(violations);
        return ResponseEntity.badRequest()
                .body(detail(invalid.status(), invalid.title(), String.valueOf(invalid.getMessage()), violations));
    }

    static ProblemDetail detail(HttpStatus status, String title, String text, List<Violation> violations) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, text);
        detail.setTitle(title);
        detail.setProperty("violations", violations);
        return detail;
    }
}
