package org.kindgirdle.server.http;

import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.server.problem.Violation;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** What OpenAPI says beyond what is read off the code. */
@Configuration
class ApiDescription {

    @Bean
    @SuppressWarnings("rawtypes") // the library's own maps are raw
    OpenApiCustomizer describe(
            @Qualifier("requestMappingHandlerMapping") ObjectProvider<RequestMappingHandlerMapping> handlers) {
        return api -> {
            api.info(new Info()
                    .title("Kind Girdle")
                    .version("v1")
                    .description("Air layering from the mother plant to the released young plant. Quantities are SI;"
                            + " where a request's field takes a number or text, text carries its unit (\"3/4 in\").")
                    .license(new License().name("Apache-2.0")));
            api.servers(List.of());
            Map<String, Schema> schemas = api.getComponents().getSchemas();
            schemas.putAll(ModelConverters.getInstance(true).readAll(Violation.class));
            RECORDS_OF_THE_CORE.forEach(type -> onlyComponents(type, schemas.get(type.getSimpleName())));
            api.getPaths().values().stream()
                    .flatMap(path -> path.readOperations().stream())
                    .forEach(operation -> operation.getResponses().addApiResponse("default", refusal()));
            whoMayAsk(api);
            schemas.values().forEach(ApiDescription::required);
            schemas.put("Problem", problem());
            AnsweredSchemas.describe(api, handlers.getObject());
            SentSchemas.describe(api, handlers.getObject());
        };
    }

    private static final String SESSION = "session";
    private static final String TOKEN = "token";

    /** What can be asked before anybody is signed in: signing in, and making the first owner. */
    private static final Set<String> FOR_ANYONE = Set.of("/api/v1/session", "/api/v1/first-owner");

    private static void whoMayAsk(OpenAPI api) {
        api.getComponents()
                .addSecuritySchemes(
                        SESSION,
                        new SecurityScheme()
                                .type(SecurityScheme.Type.APIKEY)
                                .in(SecurityScheme.In.COOKIE)
                                .name("KG_SESSION")
                                .description("Who is signed in; set by POST /api/v1/session."))
                .addSecuritySchemes(
                        TOKEN,
                        new SecurityScheme()
                                .type(SecurityScheme.Type.APIKEY)
                                .in(SecurityScheme.In.HEADER)
                                .name("X-XSRF-TOKEN")
                                .description("What the cookie XSRF-TOKEN holds: with all that changes something."));
        api.getPaths()
                .forEach((path, item) -> item.readOperationsMap().forEach((verb, operation) -> {
                    SecurityRequirement wanted = new SecurityRequirement();
                    if (!FOR_ANYONE.contains(path)) {
                        wanted.addList(SESSION);
                    }
                    if (verb != PathItem.HttpMethod.GET) {
                        wanted.addList(TOKEN);
                    }
                    operation.setSecurity(List.of(wanted));
                }));
    }

    /** Records of the core that answer questions of their own (isThin): only their components are sent. */
    private static final List<Class<?>> RECORDS_OF_THE_CORE = List.of(RingAndBall.class, Recipe.class);

    private static void onlyComponents(Class<?> type, Schema<?> schema) {
        Set<String> components = Arrays.stream(type.getRecordComponents())
                .map(RecordComponent::getName)
                .collect(Collectors.toSet());
        schema.getProperties().keySet().retainAll(components);
    }

    private static Schema<?> problem() {
        Schema<?> problem = new ObjectSchema()
                .description("RFC 9457: what happened, and every violation by field")
                .addProperty("type", new StringSchema())
                .addProperty("instance", new StringSchema())
                .addProperty("title", new StringSchema())
                .addProperty("status", new IntegerSchema())
                .addProperty("detail", new StringSchema())
                .addProperty(
                        "violations", new ArraySchema().items(new Schema<>().$ref("#/components/schemas/Violation")));
        problem.setRequired(List.of("detail", "status", "title"));
        // whatever helps with that refusal: both sides of a conflict, seconds to wait
        problem.setAdditionalProperties(true);
        return problem;
    }

    private static ApiResponse refusal() {
        MediaType body = new MediaType().schema(new Schema<>().$ref("#/components/schemas/Problem"));
        return new ApiResponse()
                .description("A refusal, explained")
                .content(new Content().addMediaType("application/problem+json", body));
    }

    /** Every field of an answer is there, if only as null. */
    private static void required(Schema<?> schema) {
        if (schema.getProperties() != null) {
            schema.setRequired(schema.getProperties().keySet().stream().sorted().toList());
        }
    }
}
