package juricast.core.watching;

import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Texts without the names of those who are left out, however they are written and whoever wrote them. */
public final class Unnamed {
    /** What stands where a name was. */
    public static final String NAME = "[name left out]";

    private final Optional<Pattern> names;

    /** @param people their whole names; each part of a name of two letters or more is one too */
    public Unnamed(Collection<String> people) {
        String any = people.stream()
                .flatMap(name -> Stream.concat(Stream.of(name), Arrays.stream(name.split("[\\s-]+"))))
                .map(String::strip)
                .filter(part -> part.codePointCount(0, part.length()) >= 2)
                .distinct()
                .sorted(Comparator.comparingInt(String::length).reversed())
                .map(name ->
                        Arrays.stream(name.split("\\s+")).map(Pattern::quote).collect(Collectors.joining("\\s+")))
                .collect(Collectors.joining("|"));
        names = any.isEmpty()
                ? Optional.empty()
                : Optional.of(Pattern.compile(
                        "(?<![\\p{L}\\p{M}\\p{N}])(?:" + any + ")(?![\\p{L}\\p{M}\\p{N}])",
                        Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE));
    }

    public String of(String text) {
        return names.map(pattern -> pattern.matcher(text).replaceAll(Matcher.quoteReplacement(NAME)))
                .orElse(text);
    }
}
