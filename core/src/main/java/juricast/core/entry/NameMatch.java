package juricast.core.entry;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.Member;
import org.apache.commons.text.similarity.JaroWinklerSimilarity;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Who on a class list may be meant by a name that somebody typed or a device reports (need E2).
 *
 * <p>Names are normalised (case, accents, punctuation, order of words), words that only devices have are dropped, and
 * each remaining word is compared with the best word of a listed name by Jaro-Winkler similarity (W. E. Winkler, 1990).
 * Words further apart than a slip of the hand (V. I. Levenshtein, 1965) count for less, so that another name of the same
 * beginning is not taken for a slip; an initial and a short form count for nearly the whole word. The score is the mean
 * over the longer of the two names, so that a missing family name costs. Two candidates close together mean "ask", never
 * "guess".
 *
 * @param certainty how sure the match is
 * @param candidates best first; one for EXACT and SIMILAR, several for UNCLEAR, the nearest or none for NONE
 */
public record NameMatch(Certainty certainty, List<Member> candidates) {
    /** How sure a match is. */
    public enum Certainty {
        EXACT,
        SIMILAR,
        UNCLEAR,
        NONE
    }

    private static final double SIMILAR_FROM = 0.88;
    private static final double NEAREST_FROM = 0.6;
    private static final double TOO_CLOSE = 0.06;
    private static final double INITIAL = 0.92;
    private static final double SHORT_FORM = 0.9;
    private static final double ANOTHER_WORD = 0.75;
    private static final double MISSING_WORD = 0.66;
    private static final Set<String> DEVICE_WORDS =
            Set.of("tablet", "tab", "phone", "laptop", "desktop", "pc", "device", "mobile", "computer", "of", "s");
    private static final LevenshteinDistance SLIPS = new LevenshteinDistance(2);
    private static final JaroWinklerSimilarity SIMILARITY = new JaroWinklerSimilarity();

    public NameMatch {
        candidates = List.copyOf(candidates);
    }

    /** Finds who is meant. The list may be in any order; the answer does not depend on it. */
    public static NameMatch find(String claimed, List<Member> list) {
        return new ClassList(list).find(claimed);
    }

    /** A class list whose names are taken apart once, for a log of many names. */
    public static final class ClassList {
        private final List<Listed> all;
        private final Map<List<String>, List<Member>> exact;

        public ClassList(List<Member> list) {
            all = list.stream()
                    .map(member -> new Listed(member, words(member.name())))
                    .toList();
            exact = all.stream()
                    .collect(Collectors.groupingBy(
                            one -> sorted(one.words), Collectors.mapping(Listed::member, Collectors.toList())));
        }

        public NameMatch find(String claimed) {
            List<String> words = words(claimed);
            boolean onlyInitials = words.stream().allMatch(NameMatch::isInitial);
            if (onlyInitials) {
                return new NameMatch(Certainty.NONE, List.of());
            }
            List<Member> same = exact.getOrDefault(sorted(words), List.of());
            if (!same.isEmpty()) {
                return new NameMatch(same.size() == 1 ? Certainty.EXACT : Certainty.UNCLEAR, same);
            }
            return judge(all.stream()
                    .map(one -> new Scored(one.member, score(words, one.words)))
                    .sorted(Comparator.comparingDouble(Scored::score).reversed().thenComparing(one -> one.member()
                            .name()))
                    .toList());
        }
    }

    private record Listed(Member member, List<String> words) {}

    private static NameMatch judge(List<Scored> scored) {
        if (scored.isEmpty() || scored.get(0).score < NEAREST_FROM) {
            return new NameMatch(Certainty.NONE, List.of());
        }
        double best = scored.get(0).score;
        List<Member> near = scored.stream()
                .filter(one -> one.score > best - TOO_CLOSE)
                .map(Scored::member)
                .toList();
        if (best < SIMILAR_FROM) {
            return new NameMatch(Certainty.NONE, near.subList(0, 1));
        }
        return new NameMatch(near.size() == 1 ? Certainty.SIMILAR : Certainty.UNCLEAR, near);
    }

    /** Lower case words without accents and punctuation, and without words that only devices have. */
    static List<String> words(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFKD)
                .replaceAll("\\p{M}+", "")
                .toLowerCase(Locale.ROOT)
                .replace("ø", "o")
                .replace("ł", "l")
                .replace("ß", "ss")
                .replaceAll("[’'`]", " ");
        return Arrays.stream(plain.split("[^\\p{L}]+"))
                .filter(word -> !word.isEmpty() && !DEVICE_WORDS.contains(word))
                .toList();
    }

    private static List<String> sorted(List<String> words) {
        return words.stream().sorted().toList();
    }

    private static double score(List<String> claimed, List<String> listed) {
        List<String> shorter = claimed.size() <= listed.size() ? claimed : listed;
        List<String> longer = shorter == claimed ? listed : claimed;
        double sum = shorter.stream().collect(Collectors.summingDouble(word -> best(word, longer)));
        double missing = (longer.size() - shorter.size()) * MISSING_WORD;
        return longer.isEmpty() ? 0 : (sum + missing) / longer.size();
    }

    private static double best(String word, List<String> others) {
        return others.stream().mapToDouble(other -> alike(word, other)).max().orElse(0);
    }

    private static double alike(String one, String other) {
        if (one.equals(other)) {
            return 1;
        }
        String shorter = one.length() <= other.length() ? one : other;
        String longer = shorter == one ? other : one;
        if (longer.startsWith(shorter) && longer.length() > shorter.length() + 1) {
            return isInitial(shorter) ? INITIAL : SHORT_FORM;
        }
        double similarity = SIMILARITY.apply(one, other);
        return isSlip(one, other) ? similarity : similarity * ANOTHER_WORD;
    }

    /** One letter wrong, missing or too many, or two that changed places; in a long word, two letters. */
    private static boolean isSlip(String one, String other) {
        int apart = SLIPS.apply(one, other);
        boolean changedPlaces = apart == 2
                && one.length() == other.length()
                && one.chars()
                        .sorted()
                        .boxed()
                        .toList()
                        .equals(other.chars().sorted().boxed().toList());
        int allowed = Math.min(one.length(), other.length()) >= 8 ? 2 : 1;
        return apart >= 0 && (apart <= allowed || changedPlaces);
    }

    /** One letter of an alphabet; a single character may be a whole name where writing has no letters. */
    private static boolean isInitial(String word) {
        return word.codePointCount(0, word.length()) == 1 && Character.isLowerCase(word.codePointAt(0));
    }

    private record Scored(Member member, double score) {}
}
