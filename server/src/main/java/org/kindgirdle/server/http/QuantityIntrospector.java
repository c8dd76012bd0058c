package org.kindgirdle.server.http;

import java.lang.reflect.RecordComponent;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Dimension;
import org.kindgirdle.core.units.Quantity;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedParameter;
import tools.jackson.databind.introspect.NopAnnotationIntrospector;

/**
 * A record component whose name ends in its unit (Mm, Ml, C, G, Ppm) takes a number in that unit or text with another:
 * {@code "diameterMm": "3/4 in"} is 19.05.
 */
final class QuantityIntrospector extends NopAnnotationIntrospector {

    private static final long serialVersionUID = 1;

    @Override
    public @Nullable Object findDeserializer(MapperConfig<?> config, Annotated annotated) {
        Class<?> type = annotated.getRawType();
        return type == double.class || type == Double.class ? quantity(annotated) : null;
    }

    /** The numbers of a list are quantities of the list's name. */
    @Override
    public @Nullable Object findContentDeserializer(MapperConfig<?> config, Annotated annotated) {
        boolean isNumbers = annotated.getRawType() == List.class
                && annotated.getType().getContentType().getRawClass() == Double.class;
        return isNumbers ? quantity(annotated) : null;
    }

    private static @Nullable Object quantity(Annotated annotated) {
        if (!(annotated instanceof AnnotatedParameter parameter)) {
            return null;
        }
        RecordComponent[] components = parameter.getDeclaringClass().getRecordComponents();
        if (components == null || parameter.getIndex() >= components.length) {
            return null;
        }
        Dimension dimension = Quantities.dimension(components[parameter.getIndex()].getName());
        return dimension == null ? null : new QuantityDeserializer(dimension);
    }

    private static final class QuantityDeserializer extends ValueDeserializer<Double> {

        private final Dimension dimension;

        QuantityDeserializer(Dimension dimension) {
            this.dimension = dimension;
        }

        @Override
        public @Nullable Double deserialize(JsonParser json, DeserializationContext context) {
            if (json.currentToken() == JsonToken.VALUE_STRING) {
                return Quantity.parse(dimension, json.getString()).doubleValue();
            }
            if (json.currentToken().isNumeric()) {
                return json.getDoubleValue();
            }
            return (Double) context.handleUnexpectedToken(Double.class, json);
        }
    }
}
