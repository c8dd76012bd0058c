package org.kindgirdle.server.http;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.lang.annotation.Annotation;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.server.problem.Within;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;

/**
 * What may be sent, read off the records that bodies are read into: what must be there, what may be null, ranges, and
 * that nothing else is taken. Views that go both ways have a schema of their own for the way in, named "…Sent".
 */
@SuppressWarnings({"rawtypes", "unchecked"}) // the library's own maps are raw
final class SentSchemas {

    private static final String REF = "#/components/schemas/";

    private final Map<String, Schema> components;
    private final Set<String> answered;
    private final Map<Class<?>, String> names = new HashMap<>();

    private SentSchemas(Map<String, Schema> components, Set<String> answered) {
        this.components = components;
        this.answered = answered;
    }

    /** Replaces the schemas of all bodies. */
    static void describe(OpenAPI api, RequestMappingHandlerMapping handlers) {
        SentSchemas schemas = new SentSchemas(api.getComponents().getSchemas(), answered(api));
        handlers.getHandlerMethods().forEach((info, method) -> {
            Class<?> body = body(method);
            if (body != null && info.getPathPatternsCondition() != null) {
                info.getPathPatternsCondition()
                        .getPatternValues()
                        .forEach(path -> info.getMethodsCondition()
                                .getMethods()
                                .forEach(verb -> schemas.replace(operation(api, path, verb), body)));
            }
        });
        RecordUnion.describe(schemas.components, type -> ref(schemas.record(type)));
    }

    private static @Nullable Operation operation(OpenAPI api, String path, RequestMethod verb) {
        PathItem item = api.getPaths().get(path);
        return item == null ? null : item.readOperationsMap().get(PathItem.HttpMethod.valueOf(verb.name()));
    }

    private static @Nullable Class<?> body(HandlerMethod method) {
        return Arrays.stream(method.getMethodParameters())
                .filter(parameter -> parameter.hasParameterAnnotation(RequestBody.class))
                .findFirst()
                .<Class<?>>map(parameter -> parameter.getParameterType())
                .orElse(null);
    }

    /** Names of the schemas that answers are made of. */
    private static Set<String> answered(OpenAPI api) {
        Set<String> found = new LinkedHashSet<>();
        List<String> next = new ArrayList<>();
        api.getPaths()
                .values()
                .forEach(path -> path.readOperations()
                        .forEach(operation -> operation.getResponses().values().forEach(response -> {
                            if (response.getContent() != null) {
                                response.getContent().values().forEach(media -> refs(media.getSchema(), next));
                            }
                        })));
        while (!next.isEmpty()) {
            String name = next.remove(next.size() - 1);
            if (found.add(name)) {
                refs(api.getComponents().getSchemas().get(name), next);
            }
        }
        return found;
    }

    private static void refs(@Nullable Schema<?> schema, List<String> into) {
        if (schema == null) {
            return;
        }
        if (schema.get$ref() != null) {
            into.add(schema.get$ref().substring(REF.length()));
        }
        refs(schema.getItems(), into);
        if (schema.getAdditionalProperties() instanceof Schema<?> more) {
            refs(more, into);
        }
        for (Collection<?> some : Arrays.<Collection<?>>asList(
                schema.getProperties() == null
                        ? List.of()
                        : schema.getProperties().values(),
                schema.getOneOf() == null ? List.of() : schema.getOneOf(),
                schema.getAnyOf() == null ? List.of() : schema.getAnyOf(),
                schema.getAllOf() == null ? List.of() : schema.getAllOf())) {
            some.forEach(one -> refs((Schema<?>) one, into));
        }
    }

    private void replace(@Nullable Operation operation, Class<?> body) {
        if (operation == null || operation.getRequestBody() == null) {
            return;
        }
        var media = operation.getRequestBody().getContent().get("application/json");
        if (media != null) {
            operation.getRequestBody().setRequired(true);
            media.setSchema(ref(record(body)));
        }
    }

    private static Schema ref(String name) {
        return new Schema().$ref(REF + name);
    }

    private String record(Class<?> type) {
        String known = names.get(type);
        if (known != null) {
            return known;
        }
        String name = type.getSimpleName() + (answered.contains(type.getSimpleName()) ? "Sent" : "");
        names.put(type, name);
        Schema schema = new Schema().types(new LinkedHashSet<>(List.of("object")));
        List<String> required = new ArrayList<>();
        for (RecordComponent component : type.getRecordComponents()) {
            boolean isNullable = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
            schema.addProperty(component.getName(), property(component, isNullable));
            if (!isNullable) {
                required.add(component.getName());
            }
        }
        schema.setRequired(
                required.isEmpty() ? null : required.stream().sorted().toList());
        schema.setAdditionalProperties(false);
        components.put(name, schema);
        return name;
    }

    private Schema property(RecordComponent component, boolean isNullable) {
        Schema schema = schema(component.getAnnotatedType(), component.getName());
        limit(schema, component.getAnnotatedType());
        // a constraint on a component is kept with its accessor, its field, or its type
        limit(schema, component);
        limit(schema, component.getAccessor());
        return isNullable ? orNull(schema) : schema;
    }

    static Schema orNull(Schema schema) {
        if (schema.getTypes() != null) {
            Set<String> types = new LinkedHashSet<>(schema.getTypes());
            types.add("null");
            schema.setTypes(types);
            if (schema.getEnum() != null) {
                List<Object> values = new ArrayList<>(schema.getEnum());
                values.add(null);
                schema.setEnum(values);
            }
            return schema;
        }
        return new Schema().anyOf(List.of(schema, new Schema().types(new LinkedHashSet<>(List.of("null")))));
    }

    private Schema schema(AnnotatedType annotated, String name) {
        Type type = annotated.getType();
        if (type instanceof ParameterizedType parameterized
                && annotated instanceof AnnotatedParameterizedType arguments) {
            Class<?> raw = (Class<?>) parameterized.getRawType();
            AnnotatedType[] of = arguments.getAnnotatedActualTypeArguments();
            if (Map.class.isAssignableFrom(raw)) {
                return map(of);
            }
            Schema items = schema(of[0], name);
            limit(items, of[0]);
            Schema list = types("array");
            list.setItems(items);
            // a set takes the same thing twice, as one
            return list;
        }
        return plain((Class<?>) type, name);
    }

    private Schema map(AnnotatedType[] of) {
        Schema schema = types("object");
        Schema values = schema(of[1], "");
        limit(values, of[1]);
        schema.setAdditionalProperties(values);
        if (of[0].getType() instanceof Class<?> key && key.isEnum()) {
            Schema names = new Schema();
            names.setEnum(
                    Arrays.stream(key.getEnumConstants()).map(String::valueOf).toList());
            schema.setPropertyNames(names);
        }
        return schema;
    }

    private Schema plain(Class<?> type, String name) {
        if (type == Sectors.class) {
            Schema density = types("integer").minimum(BigDecimal.ZERO).maximum(BigDecimal.valueOf(3));
            Schema list = types("array");
            list.setItems(density);
            return list.minItems(8).maxItems(8);
        }
        if (type == JsonNode.class) {
            return new Schema()
                    .anyOf(Arrays.stream(LayerRecord.class.getPermittedSubclasses())
                            .filter(one -> one != LayerRecord.Setting.class)
                            .sorted(Comparator.comparing(Class::getSimpleName))
                            .map(one -> ref(record(one)))
                            .toList());
        }
        if (type.isEnum()) {
            Schema schema = types("string");
            schema.setEnum(
                    Arrays.stream(type.getEnumConstants()).map(String::valueOf).toList());
            return schema;
        }
        if (type == boolean.class || type == Boolean.class) {
            return types("boolean");
        }
        if (type == int.class || type == Integer.class) {
            return types("integer")
                    .format("int32")
                    .minimum(BigDecimal.valueOf(Integer.MIN_VALUE))
                    .maximum(BigDecimal.valueOf(Integer.MAX_VALUE));
        }
        if (type == long.class || type == Long.class) {
            return types("integer").format("int64");
        }
        if (type == double.class || type == Double.class) {
            return Quantities.dimension(name) == null ? types("number") : types("number", "string");
        }
        return type.isRecord() ? ref(record(type)) : text(type);
    }

    private static Schema text(Class<?> type) {
        Schema schema = types("string");
        if (type == LocalDate.class) {
            return schema.format("date");
        }
        if (type == Instant.class) {
            return schema.format("date-time");
        }
        if (type == UUID.class) {
            return schema.format("uuid");
        }
        return type == MonthDay.class ? schema.pattern("--\\d\\d-\\d\\d") : schema;
    }

    private static Schema types(String... types) {
        return new Schema().types(new LinkedHashSet<>(List.of(types)));
    }

    private static void limit(Schema schema, AnnotatedElement from) {
        for (Annotation one : from.getAnnotations()) {
            if (one instanceof Within range) {
                schema.setMinimum(plain(range.low()));
                schema.setMaximum(plain(range.high()));
            } else if (one instanceof Size size) {
                size(schema, size.min(), size.max());
            } else if (one instanceof NotEmpty) {
                size(schema, 1, Integer.MAX_VALUE);
            } else if (one instanceof NotBlank) {
                schema.setPattern(schema.getPattern() == null ? "\\S" : schema.getPattern());
            } else if (one instanceof Pattern pattern) {
                schema.setPattern("^(?:" + pattern.regexp() + ")$");
            }
        }
    }

    private static BigDecimal plain(double value) {
        return new BigDecimal(Double.toString(value)).stripTrailingZeros();
    }

    private static void size(Schema schema, int least, int most) {
        boolean isList = schema.getTypes() != null && schema.getTypes().contains("array");
        boolean isMap = schema.getTypes() != null && schema.getTypes().contains("object");
        if (least > 0) {
            if (isList) {
                schema.setMinItems(Math.max(least, schema.getMinItems() == null ? 0 : schema.getMinItems()));
            } else if (isMap) {
                schema.setMinProperties(least);
            } else {
                schema.setMinLength(least);
            }
        }
        if (most < Integer.MAX_VALUE) {
            if (isList) {
                schema.setMaxItems(most);
            } else if (isMap) {
                schema.setMaxProperties(most);
            } else {
                schema.setMaxLength(most);
            }
        }
    }
}
