package juricast.server.front;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Makes the API's description say what records mean: a field is always there unless it is marked as nullable. */
@Configuration
class ApiDescription {
    private final Map<String, Set<String>> nullable = new ConcurrentHashMap<>();

    /** Remembers which fields of a record may be missing; the description itself does not know such marks. */
    @Bean
    ModelConverter nullableFields() {
        return new ModelConverter() {
            @Override
            public @Nullable Schema<?> resolve(
                    AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
                if (raw.isRecord()) {
                    nullable.put(
                            raw.getSimpleName(),
                            components(raw)
                                    .filter(one -> one.getAnnotatedType().isAnnotationPresent(Nullable.class))
                                    .map(RecordComponent::getName)
                                    .collect(Collectors.toSet()));
                }
                return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            }
        };
    }

    /** Also those of records that are written as part of this one. */
    private static Stream<RecordComponent> components(Class<?> type) {
        return Arrays.stream(type.getRecordComponents())
                .flatMap(one -> one.getAccessor().isAnnotationPresent(JsonUnwrapped.class)
                        ? components(one.getType())
                        : Stream.of(one));
    }

    @Bean
    OpenApiCustomizer everythingElseIsRequired() {
        return api -> {
            api.setServers(null);
            api.setInfo(new Info().title("Juricast").version("1"));
            api.getComponents()
                    .getSchemas()
                    .putAll(ModelConverters.getInstance().readAll(Problem.Body.class));
            api.getComponents().getSchemas().forEach(this::require);
        };
    }

    private void require(String name, Schema<?> schema) {
        if (schema.getProperties() != null) {
            Set<String> optional = nullable.getOrDefault(name, Set.of());
            schema.setRequired(schema.getProperties().keySet().stream()
                    .filter(property -> !optional.contains(property))
                    .toList());
        }
    }
}
