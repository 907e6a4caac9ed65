package juricast.core.questions;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How a question was answered, without anybody's name.
 *
 * @param answers how many answered
 * @param lines the possibilities with how many gave each; of several choices each is counted, so the sum may be more
 * @param right how many were right; nothing where nothing is right or wrong
 */
public record Results(int answers, List<Line> lines, Optional<Integer> right) {
    /** Of fewer answers the class is shown nothing: one could tell who gave which. */
    public static final int FEWEST_FOR_CLASS = 5;

    /** @param words what was answered @param isRight nothing where it is not known */
    public record Line(String words, int count, Optional<Boolean> isRight) {}

    static Results of(Question question, List<Answer> answers) {
        List<Line> lines =
                switch (question.kind()) {
                    case SINGLE, MULTIPLE -> question.places()
                            .mapToObj(place -> new Line(
                                    question.choices().get(place),
                                    (int) answers.stream()
                                            .filter(one -> one.picked().contains(place))
                                            .count(),
                                    question.hasRight()
                                            ? Optional.of(question.right().contains(place))
                                            : Optional.empty()))
                            .toList();
                    case NUMBER -> numbers(question, answers);
                    case TEXT, ORDER -> words(question, answers);
                };
        Optional<Integer> right = question.hasRight()
                ? Optional.of((int) answers.stream()
                        .filter(one -> question.isRight(one).orElse(false))
                        .count())
                : Optional.empty();
        return new Results(answers.size(), lines, right);
    }

    private static List<Line> numbers(Question question, List<Answer> answers) {
        var counts = new TreeMap<BigDecimal, Integer>();
        answers.forEach(one -> one.number().ifPresent(given -> counts.merge(given, 1, Integer::sum)));
        var lines = new ArrayList<Line>();
        counts.forEach((given, count) -> lines.add(new Line(
                given.stripTrailingZeros().toPlainString(),
                count,
                question.isRight(new Answer(List.of(), Optional.of(given), Optional.empty())))));
        return List.copyOf(lines);
    }

    /** Texts that read the same, and orders, most given first. */
    private static List<Line> words(Question question, List<Answer> answers) {
        Map<String, Line> lines = new LinkedHashMap<>();
        for (Answer one : answers) {
            String key =
                    one.text().map(Question::plain).orElseGet(() -> one.picked().toString());
            Line before = lines.get(key);
            lines.put(
                    key,
                    before == null
                            ? new Line(wordsOf(question, one), 1, question.isRight(one))
                            : new Line(before.words, before.count + 1, before.isRight));
        }
        return lines.values().stream()
                .sorted(Comparator.comparingInt(Line::count).reversed())
                .toList();
    }

    /** An answer as it is read. */
    public static String wordsOf(Question question, Answer answer) {
        return answer.text()
                .or(() -> answer.number().map(one -> one.stripTrailingZeros().toPlainString()))
                .orElseGet(() -> String.join(
                        question.kind() == Question.Kind.ORDER ? " → " : ", ",
                        answer.picked().stream().map(question.choices()::get).toList()));
    }

    /**
     * What the class may see of it: nothing of fewer than {@link #FEWEST_FOR_CLASS} answers, and of what pupils worded themselves,
     * and of single numbers, only how many were right: handwriting of the mind gives away as names do.
     *
     * @param tellRight whether it is said what was right
     */
    public Optional<Results> forClass(Question question, boolean tellRight) {
        if (answers < FEWEST_FOR_CLASS) {
            return Optional.empty();
        }
        List<Line> shown =
                switch (question.kind()) {
                    case SINGLE, MULTIPLE -> lines;
                    case NUMBER, TEXT, ORDER -> lines.stream()
                            .filter(line -> line.count >= 2 || tellRight && line.isRight.orElse(false))
                            .toList();
                };
        int others = lines.stream().mapToInt(Line::count).sum()
                - shown.stream().mapToInt(Line::count).sum();
        var all = new ArrayList<>(shown);
        if (others > 0) {
            all.add(new Line("", others, Optional.empty()));
        }
        return Optional.of(new Results(
                answers,
                all.stream()
                        .map(line -> tellRight ? line : new Line(line.words, line.count, Optional.empty()))
                        .toList(),
                tellRight ? right : Optional.empty()));
    }
}
