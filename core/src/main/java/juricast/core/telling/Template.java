package juricast.core.telling;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Words with places to fill, such as "{class} begins at {time}". */
public record Template(String subject, String body) {
    private static final Pattern PLACE = Pattern.compile("\\{([^{}]*)}");

    /** Places in it that are not among the known ones, each once, as they are written. */
    public List<String> unknown(Set<String> known) {
        return PLACE.matcher(subject + "\n" + body)
                .results()
                .map(found -> found.group(1))
                .filter(place -> !known.contains(place))
                .distinct()
                .toList();
    }

    /** The same with every known place filled; what is filled in is not looked through for places again. */
    public Template filled(Map<String, String> values) {
        return new Template(fill(subject, values), fill(body, values));
    }

    private static String fill(String text, Map<String, String> values) {
        return PLACE.matcher(text)
                .replaceAll(found -> Matcher.quoteReplacement(
                        Objects.requireNonNullElse(values.get(found.group(1)), found.group())));
    }
}
