package juricast.core.find;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.find.Findable.Kind;
import juricast.core.reading.Reader;

/**
 * What a typed line may mean, the likeliest first.
 *
 * <p>Words at the front may say an act (“cover tidal”), and small words say nothing. Each other word must be the beginning of a
 * word of the name, or, for less, of what it is also called. A whole word counts more than a beginning, and among equals what is
 * nearer to now comes first. A question (“why may Ines not write”) is divided between a person and a rule: every word must belong
 * to one of them.
 */
public final class Finder {
    private static final Set<String> SMALL =
            Set.of("the", "a", "of", "for", "in", "to", "not", "is", "go", "show", "my");

    private static final int WHOLE = 4;
    private static final int BEGINNING = 3;
    private static final int ALSO = 1;

    private Finder() {}

    /** @param rule the rule that a question is about */
    public record Found(Act act, Findable what, Optional<Findable> rule, int score) {}

    /** At most so many. Nothing that the reader may not know of is among them, however well it fits. */
    public static List<Found> of(String typed, Collection<Findable> all, Reader reader, int limit) {
        List<String> words = words(typed);
        if (words.isEmpty()) {
            return List.of();
        }
        List<Findable> known = all.stream().filter(one -> one.isFor(reader)).toList();
        return Stream.concat(acts(words, known), Stream.concat(whys(words, known), plain(words, known)))
                .sorted(Comparator.comparingInt(Found::score)
                        .reversed()
                        .thenComparing(found -> found.what().distance())
                        .thenComparing(found -> found.what().kind())
                        .thenComparing(found -> found.what().name())
                        .thenComparing(found -> found.what().id()))
                .limit(limit)
                .toList();
    }

    /** A bare name, with the act that it means. */
    private static Stream<Found> plain(List<String> words, List<Findable> known) {
        return known.stream().flatMap(one -> score(words, one).stream()
                .mapToObj(score -> new Found(Act.SEE, one, Optional.empty(), score)));
    }

    /** An act is said by the first word; said in full it counts as one more word that fits. */
    private static Stream<Found> acts(List<String> words, List<Findable> known) {
        List<String> rest = words.subList(1, words.size());
        return Arrays.stream(Act.values())
                .filter(act -> act != Act.WHY && isSaid(act, words.get(0)))
                .flatMap(act -> known.stream()
                        .filter(one -> act.takes(one))
                        .flatMap(one -> (rest.isEmpty() ? OptionalInt.of(0) : score(rest, one))
                                .stream().mapToObj(score -> new Found(act, one, Optional.empty(), score + WHOLE))));
    }

    private static Stream<Found> whys(List<String> words, List<Findable> known) {
        List<String> rest = words.stream()
                .dropWhile(word -> isSaid(Act.WHY, word))
                .filter(word -> !isSaid(Act.WHY, word))
                .toList();
        if (rest.size() == words.size() || rest.size() < 2) {
            return Stream.empty();
        }
        var found = new ArrayList<Found>();
        List<Findable> rules = ofKind(known, Kind.RULE);
        for (Findable person : ofKind(known, Kind.PUPIL)) {
            List<String> ofPerson =
                    rest.stream().filter(word -> fit(word, person.name()) > 0).toList();
            List<String> ofRule =
                    rest.stream().filter(word -> fit(word, person.name()) == 0).toList();
            if (ofPerson.isEmpty() || ofRule.isEmpty()) {
                continue;
            }
            int named = score(ofPerson, person).orElse(0);
            for (Findable rule : rules) {
                score(ofRule, rule)
                        .ifPresent(score ->
                                found.add(new Found(Act.WHY, person, Optional.of(rule), WHOLE + named + score)));
            }
        }
        return found.stream();
    }

    private static List<Findable> ofKind(List<Findable> known, Kind kind) {
        return known.stream().filter(one -> one.kind() == kind).toList();
    }

    private static boolean isSaid(Act act, String word) {
        return act.words().stream().anyMatch(one -> one.equals(word) || word.length() >= 3 && one.startsWith(word));
    }

    /** Nothing if a word fits nowhere. */
    private static OptionalInt score(List<String> words, Findable one) {
        int sum = 0;
        for (String word : words) {
            int fit = fit(word, one.name());
            if (fit == 0) {
                fit = fit(word, one.also()) > 0 ? ALSO : 0;
            }
            if (fit == 0) {
                return OptionalInt.empty();
            }
            sum += fit;
        }
        return OptionalInt.of(sum);
    }

    private static int fit(String word, String name) {
        return words(name).stream()
                .mapToInt(one -> one.equals(word) ? WHOLE : one.startsWith(word) ? BEGINNING : 0)
                .max()
                .orElse(0);
    }

    /** In small letters, without accents and signs, and without words that say nothing. */
    static List<String> words(String text) {
        String plain = Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT);
        return Arrays.stream(plain.split("[^\\p{L}\\p{N}]+"))
                .filter(word -> !word.isEmpty() && !SMALL.contains(word))
                .toList();
    }
}
