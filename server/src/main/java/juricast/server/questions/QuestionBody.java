package juricast.server.questions;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import juricast.core.questions.Answer;
import juricast.core.questions.Question;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;

/** Questions and answers as they come in. */
final class QuestionBody {
    private QuestionBody() {}

    /** A question that somebody made. @param number the right number, as it is written */
    record QuestionGiven(
            Question.Kind kind,
            @Nullable String text,
            @Nullable List<String> choices,
            @Nullable List<Integer> right,
            @Nullable String number,
            @Nullable String tolerance,
            @Nullable List<String> spellings,
            int points) {}

    static Question question(QuestionGiven given) {
        return new Question(
                given.kind,
                text(given.text),
                list(given.choices).stream().map(String::strip).toList(),
                list(given.right),
                number(given.number),
                number(given.tolerance).orElse(BigDecimal.ZERO),
                list(given.spellings).stream().map(String::strip).toList(),
                given.points);
    }

    /** The same as it came in. */
    static QuestionGiven given(Question one) {
        return new QuestionGiven(
                one.kind(),
                one.text(),
                one.choices(),
                one.right(),
                one.number().map(BigDecimal::toPlainString).orElse(null),
                one.tolerance().toPlainString(),
                one.spellings(),
                one.points());
    }

    static Answer answer(@Nullable List<Integer> picked, @Nullable String number, @Nullable String text) {
        return new Answer(
                list(picked), number(number), Optional.ofNullable(text).filter(one -> !one.isBlank()));
    }

    private static String text(@Nullable String given) {
        return given == null ? "" : given.strip();
    }

    private static <T> List<T> list(@Nullable List<T> given) {
        return given == null || given.contains(null) ? List.of() : given;
    }

    /** @throws Problem if it is no number that a person would write */
    static Optional<BigDecimal> number(@Nullable String given) {
        String plain = given == null ? "" : given.strip().replace(',', '.').replace('−', '-');
        if (plain.isEmpty()) {
            return Optional.empty();
        }
        if (!plain.matches("[+-]?\\d{1,15}(\\.\\d{1,15})?")) {
            throw Problem.refused(
                    "no-number", "That is no number", "Nothing was changed.", "Write digits, such as 12,5.");
        }
        return Optional.of(new BigDecimal(plain));
    }
}
