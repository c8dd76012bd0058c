package org.kindgirdle.server.http;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.List;
import org.kindgirdle.core.look.Sectors;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.introspect.AnnotationIntrospectorPair;
import tools.jackson.databind.type.LogicalType;

/** JSON that takes nothing it does not know: no unknown fields, no text for a number, no number for a code. */
@Configuration
class JsonConfig {

    /** The eight sectors are a plain list of numbers. */
    private abstract static class SectorsAsList {

        @JsonCreator
        SectorsAsList(List<Integer> densities) {}

        @JsonValue
        abstract List<Integer> densities();
    }

    @Bean
    JsonMapperBuilderCustomizer strict() {
        return builder -> builder.addMixIn(Sectors.class, SectorsAsList.class)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                // a number where a text belongs is a slip, too
                .withCoercionConfig(
                        LogicalType.Textual,
                        config -> config.setCoercion(CoercionInputShape.Boolean, CoercionAction.Fail)
                                .setCoercion(CoercionInputShape.Integer, CoercionAction.Fail)
                                .setCoercion(CoercionInputShape.Float, CoercionAction.Fail))
                .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS)
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .changeDefaultPropertyInclusion(value -> value.withValueInclusion(JsonInclude.Include.ALWAYS))
                // the questions that the core's records answer (isThin, isScraped) are no fields of theirs
                .changeDefaultVisibility(checker -> checker.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE))
                .annotationIntrospector(
                        AnnotationIntrospectorPair.pair(new QuantityIntrospector(), builder.annotationIntrospector()));
    }
}
