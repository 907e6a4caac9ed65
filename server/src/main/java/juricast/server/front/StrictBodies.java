package juricast.server.front;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.lang.reflect.Constructor;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedMember;
import tools.jackson.databind.introspect.AnnotatedParameter;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;

/**
 * Makes the reading of bodies hold what the API's description says of them: a field of a record is there and not null unless it
 * is marked as nullable, it is of the kind that is named, and no other field is taken. A reader who is left out by mistake must
 * never make a private word a word to all.
 */
@Configuration
class StrictBodies {
    @Bean
    JsonMapperBuilderCustomizer strict() {
        return json -> json.annotationIntrospector(new RequiredFields())
                .enable(
                        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                        DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES,
                        DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT);
    }

    private static final class RequiredFields extends JacksonAnnotationIntrospector {
        private static final long serialVersionUID = 1;

        @Override
        public @Nullable Boolean hasRequiredMarker(MapperConfig<?> config, AnnotatedMember member) {
            return isRequired(member) ? Boolean.TRUE : super.hasRequiredMarker(config, member);
        }

        @Override
        public JsonSetter.Value findSetterInfo(MapperConfig<?> config, Annotated member) {
            if (!isOfRecord(member)) {
                return super.findSetterInfo(config, member);
            }
            // What is in a list is there, also where the list itself may be left out.
            return isRequired(member)
                    ? JsonSetter.Value.forValueNulls(Nulls.FAIL, Nulls.FAIL)
                    : JsonSetter.Value.forContentNulls(Nulls.FAIL);
        }

        private static boolean isOfRecord(Annotated member) {
            return member instanceof AnnotatedParameter parameter
                    && parameter.getOwner().getAnnotated() instanceof Constructor<?> made
                    && made.getDeclaringClass().isRecord()
                    && made.getDeclaringClass().getName().startsWith("juricast.");
        }

        private static boolean isRequired(Annotated member) {
            return isOfRecord(member)
                    && member instanceof AnnotatedParameter parameter
                    && parameter.getOwner().getAnnotated() instanceof Constructor<?> made
                    && !made.getAnnotatedParameterTypes()[parameter.getIndex()].isAnnotationPresent(Nullable.class);
        }
    }
}
