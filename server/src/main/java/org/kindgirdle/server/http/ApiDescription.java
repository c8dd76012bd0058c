package org.kindgirdle.server.http;

import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.Schema;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What OpenAPI says beyond what is read off the code. */
@Configuration
class ApiDescription {

    @Bean
    @SuppressWarnings("rawtypes") // the library's own maps are raw
    OpenApiCustomizer describe() {
        return api -> {
            api.info(new Info()
                    .title("Kind Girdle")
                    .version("v1")
                    .description("Air layering from the mother plant to the released young plant. Quantities are SI;"
                            + " where a request's field takes a number or text, text carries its unit (\"3/4 in\").")
                    .license(new License().name("Apache-2.0")));
            api.servers(List.of());
            Map<String, Schema> schemas = api.getComponents().getSchemas();
            schemas.forEach((name, schema) -> {
                if (name.endsWith("Request")) {
                    quantities(schema);
                } else {
                    required(schema);
                }
            });
        };
    }

    /** Quantities of a request may be numbers, or text with a unit. */
    @SuppressWarnings({"rawtypes", "unchecked"}) // the library's own maps are raw
    private static void quantities(Schema schema) {
        if (schema.getProperties() == null) {
            return;
        }
        ((Map<String, Schema>) schema.getProperties()).forEach((name, property) -> {
            Set<String> types = property.getTypes();
            if (types != null && types.contains("number") && QuantityIntrospector.dimension(name) != null) {
                property.setTypes(new LinkedHashSet<>(List.of("number", "string")));
                property.setFormat(null);
            }
        });
    }

    /** Every field of an answer is there, if only as null. */
    private static void required(Schema<?> schema) {
        if (schema.getProperties() != null) {
            schema.setRequired(schema.getProperties().keySet().stream().sorted().toList());
        }
    }
}
