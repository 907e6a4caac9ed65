package juricast.server.front;

import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.BinarySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.parameters.HeaderParameter;
import io.swagger.v3.oas.models.parameters.RequestBody;
import io.swagger.v3.oas.models.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.Takes;
import juricast.server.editing.Edited;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;

/**
 * What a stranger who writes against the API has to know of each operation: what it is for, who may call it, by which refusals it
 * answers, and what is sent to it. What stands above the method is its
 * summary.
 */
@Component
class OperationDescription implements OperationCustomizer {
    /** Of refusals the same for all: RFC 9457, described once. */
    static final String PROBLEM = "Problem";

    @Override
    public Operation customize(Operation operation, HandlerMethod method) {
        operation.setOperationId(owner(method) + "." + method.getMethod().getName());
        summarise(operation, method);
        body(operation, method);
        refusals(method).forEach(one -> operation.getResponses().addApiResponse(one.status, one.described()));
        return operation;
    }

    private static String owner(HandlerMethod method) {
        String name = method.getBeanType().getSimpleName().replaceFirst("(Controller|\\$\\$.*)$", "");
        return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    private static void summarise(Operation operation, HandlerMethod method) {
        String said = Stream.of(operation.getSummary(), operation.getDescription())
                .filter(one -> one != null && !one.isBlank())
                .findFirst()
                .orElse("");
        String[] sentences = said.replaceAll("\\s+", " ").split("(?<=[.!?]) ", 2);
        operation.setSummary(sentences[0]);
        var more = new ArrayList<String>();
        if (sentences.length > 1) {
            more.add(sentences[1]);
        }
        more.add(whoMay(method));
        Noted noted = method.getMethodAnnotation(Noted.class);
        if (noted != null) {
            more.add("That somebody %s %s is noted."
                    .formatted(noted.takenAway() ? "took away" : "looked at", noted.value()));
        }
        if (isEdited(method)) {
            more.add(
                    "Sent with the ETag of what is changed as If-Match, it changes nothing if somebody else was quicker.");
            operation.addParametersItem(
                    new HeaderParameter().name("If-Match").required(false).schema(new StringSchema()));
        }
        operation.setDescription(String.join(" ", more));
    }

    private static String whoMay(HandlerMethod method) {
        For whom = method.getMethodAnnotation(For.class);
        if (whom == null) {
            return "For nobody.";
        }
        if (whom.anyone()) {
            return "For anyone, also without signing in; links, words and devices decide what is seen.";
        }
        return "For "
                + Arrays.stream(whom.value()).map(OperationDescription::named).collect(Collectors.joining(", "))
                + ", signed in"
                + (whom.shows().length > 0 ? ", who may read it." : ".");
    }

    private static String named(Position position) {
        return switch (position) {
            case LEAD -> "safeguarding leads";
            case TEACHER -> "teachers";
            case PUPIL -> "pupils";
        };
    }

    /** A file that is sent as it is stands in no parameter. */
    private static void body(Operation operation, HandlerMethod method) {
        Takes takes = method.getMethodAnnotation(Takes.class);
        boolean isWhole = Arrays.stream(method.getMethodParameters())
                .anyMatch(one -> one.getParameterType().equals(HttpServletRequest.class));
        if (takes != null && isWhole && operation.getRequestBody() == null) {
            operation.setRequestBody(new RequestBody()
                    .required(true)
                    .description("The file as it is, of at most %d MB.".formatted(takes.value() / 1_000_000))
                    .content(new Content()
                            .addMediaType("application/octet-stream", new MediaType().schema(new BinarySchema()))));
        }
    }

    private static boolean isEdited(HandlerMethod method) {
        return method.hasMethodAnnotation(Edited.class) && method.hasMethodAnnotation(PutMapping.class);
    }

    private record Refusal(String status, String why) {
        ApiResponse described() {
            return new ApiResponse()
                    .description(why)
                    .content(new Content()
                            .addMediaType(
                                    "application/problem+json",
                                    new MediaType().schema(new Schema<>().$ref("#/components/schemas/" + PROBLEM))));
        }
    }

    private static List<Refusal> refusals(HandlerMethod method) {
        var all = new ArrayList<Refusal>();
        For whom = method.getMethodAnnotation(For.class);
        boolean anyone = whom != null && whom.anyone();
        boolean reads = method.hasMethodAnnotation(GetMapping.class);
        boolean isAsked = Arrays.stream(method.getMethodParameters())
                .anyMatch(one -> one.hasParameterAnnotation(RequestParam.class)
                        || one.hasParameterAnnotation(org.springframework.web.bind.annotation.RequestBody.class));
        if (isAsked || method.hasMethodAnnotation(Takes.class)) {
            all.add(new Refusal("400", "What was sent cannot be read; which field, and why, is said."));
        }
        if (!anyone) {
            all.add(new Refusal("401", "Nobody is signed in."));
        }
        all.add(new Refusal(
                "403", anyone ? "The token against forged requests is missing." : "It is not theirs to do."));
        if (Arrays.stream(method.getMethodParameters())
                .anyMatch(one -> one.hasParameterAnnotation(PathVariable.class))) {
            all.add(new Refusal("404", "There is none, or none that whoever asks may see."));
        }
        if (!reads) {
            all.add(new Refusal(
                    "409", "It cannot be done as things are; nothing was changed, and what to do is said."));
            all.add(new Refusal("413", "More was sent than is taken."));
            all.add(new Refusal("503", "It cannot be kept just now; nothing was changed."));
        }
        if (isEdited(method)) {
            all.add(new Refusal("412", "Somebody else has changed it since; nothing was changed."));
        }
        if (anyone) {
            all.add(new Refusal("429", "Too many tries; later again."));
        }
        return all;
    }
}
