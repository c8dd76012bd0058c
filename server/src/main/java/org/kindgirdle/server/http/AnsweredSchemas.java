package org.kindgirdle.server.http;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.AnnotatedArrayType;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.RecordComponent;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;

/**
 * What answers hold, read off the records that they are made from: whatever may be null there is null in the
 * description.
 */
@SuppressWarnings({"rawtypes", "unchecked"}) // the library's own maps are raw
final class AnsweredSchemas {

    private static final String OURS = "org.kindgirdle.";

    private final Map<String, Schema> components;
    private final Map<String, Class<?>> seen = new HashMap<>();
    private final Set<String> alike = new TreeSet<>();

    private AnsweredSchemas(Map<String, Schema> components) {
        this.components = components;
    }

    /**
     * Completes the schemas of all answers.
     *
     * @throws IllegalStateException if two records of one name are answered: only one of them would be described
     */
    static void describe(OpenAPI api, RequestMappingHandlerMapping handlers) {
        AnsweredSchemas schemas = new AnsweredSchemas(api.getComponents().getSchemas());
        handlers.getHandlerMethods().values().stream()
                .filter(method -> method.getBeanType().getName().startsWith(OURS))
                .forEach(method -> schemas.visit(method.getMethod().getAnnotatedReturnType()));
        api.getComponents().getSchemas().remove(JsonNode.class.getSimpleName());
        if (!schemas.alike.isEmpty()) {
            throw new IllegalStateException(
                    "of these only one is described, one needs another name: " + String.join("; ", schemas.alike));
        }
    }

    private void visit(AnnotatedType type) {
        if (type instanceof AnnotatedParameterizedType generic) {
            for (AnnotatedType argument : generic.getAnnotatedActualTypeArguments()) {
                visit(argument);
            }
        } else if (type instanceof AnnotatedArrayType array) {
            visit(array.getAnnotatedGenericComponentType());
        } else if (type.getType() instanceof Class<?> one
                && one.isRecord()
                && one.getName().startsWith(OURS)) {
            visit(one);
        }
    }

    private void visit(Class<?> type) {
        Class<?> other = seen.putIfAbsent(type.getSimpleName(), type);
        if (other == type) {
            return;
        }
        if (other != null) {
            alike.add(other.getName() + " and " + type.getName());
            return;
        }
        Schema<?> schema = components.get(type.getSimpleName());
        for (RecordComponent component : type.getRecordComponents()) {
            if (schema != null && schema.getProperties() != null) {
                mayBeNull(schema.getProperties(), component);
            }
            visit(component.getAnnotatedType());
            if (schema != null
                    && schema.getProperties() != null
                    && component.getAccessor().isAnnotationPresent(JsonUnwrapped.class)) {
                // its fields stand among those of the one that holds it
                for (RecordComponent inner : component.getType().getRecordComponents()) {
                    mayBeNull(schema.getProperties(), inner);
                }
            }
        }
    }

    private static void mayBeNull(Map<String, Schema> properties, RecordComponent component) {
        Schema property = properties.get(component.getName());
        AnnotatedType type = component.getAnnotatedType();
        if (property == null) {
            return;
        }
        if (type.getType() == JsonNode.class) {
            // kept as it was written then: what it holds goes by the version that wrote it
            property = new ObjectSchema().additionalProperties(true);
            properties.put(component.getName(), property);
        }
        if (type instanceof AnnotatedParameterizedType generic) {
            AnnotatedType[] of = generic.getAnnotatedActualTypeArguments();
            AnnotatedType value = of[of.length - 1];
            if (value.isAnnotationPresent(Nullable.class)) {
                if (property.getItems() != null) {
                    property.setItems(SentSchemas.orNull(property.getItems()));
                } else if (property.getAdditionalProperties() instanceof Schema<?> values) {
                    property.setAdditionalProperties(SentSchemas.orNull(values));
                }
            }
        }
        if (type.isAnnotationPresent(Nullable.class)) {
            properties.put(component.getName(), SentSchemas.orNull(property));
        }
    }
}
