package juricast.core.questions;

import java.math.BigDecimal;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A question as it is prepared or made on the spot (need J1).
 *
 * @param text empty where it is only spoken
 * @param choices what there is to choose from, or to put in order; empty for a number or a text
 * @param right which of them are right; for an order all of them, in the right order; empty where nothing is right or wrong
 * @param number the right number, if there is one
 * @param tolerance how far off a number may be and still be right, both ends included
 * @param spellings short texts that are right; how they are compared is said at {@link #plain}
 * @param points for a right answer; 0 for none
 */
public record Question(
        Kind kind,
        String text,
        List<String> choices,
        List<Integer> right,
        Optional<BigDecimal> number,
        BigDecimal tolerance,
        List<String> spellings,
        int points) {
    /** Characters of a question. */
    public static final int TEXT = 600;
    /** Characters of one choice, and of a short text given as an answer. */
    public static final int CHOICE = 120;

    public static final int CHOICES = 12;
    public static final int SPELLINGS = 20;
    public static final int POINTS = 100;
    /** Digits of a number, before and after the point together. */
    public static final int DIGITS = 30;

    /** What is answered. */
    public enum Kind {
        /** One of the choices. */
        SINGLE,
        /** Any of the choices; right only if exactly the right ones are chosen. */
        MULTIPLE,
        NUMBER,
        /** A short text. */
        TEXT,
        /** All choices, put in order. */
        ORDER
    }

    public Question {
        choices = List.copyOf(choices);
        right = List.copyOf(right);
        spellings = List.copyOf(spellings);
    }

    /** With nothing right or wrong. */
    public static Question of(Kind kind, String text, List<String> choices) {
        return new Question(kind, text, choices, List.of(), Optional.empty(), BigDecimal.ZERO, List.of(), 0);
    }

    /** The same with choices that are right, counted from 0. */
    public Question right(Integer... these) {
        return new Question(kind, text, choices, List.of(these), number, tolerance, spellings, points);
    }

    public Question number(String value, String within) {
        return new Question(
                kind,
                text,
                choices,
                right,
                Optional.of(new BigDecimal(value)),
                new BigDecimal(within),
                spellings,
                points);
    }

    public Question spelled(String... these) {
        return new Question(kind, text, choices, right, number, tolerance, List.of(these), points);
    }

    /** Why it cannot be asked, if so. */
    public Optional<QuestionsRefusal> wrong() {
        boolean chooses = kind == Kind.SINGLE || kind == Kind.MULTIPLE || kind == Kind.ORDER;
        if (text.length() > TEXT || choices.stream().anyMatch(one -> one.length() > CHOICE || one.isBlank())) {
            return Optional.of(QuestionsRefusal.QUESTION_TOO_LONG);
        }
        if (chooses ? choices.size() < 2 || choices.size() > CHOICES : !choices.isEmpty()) {
            return Optional.of(QuestionsRefusal.TOO_FEW_OR_MANY_CHOICES);
        }
        if (new HashSet<>(choices).size() < choices.size()) {
            return Optional.of(QuestionsRefusal.CHOICES_ALIKE);
        }
        return isRightPossible() ? Optional.empty() : Optional.of(QuestionsRefusal.RIGHT_IS_NO_ANSWER);
    }

    private boolean isRightPossible() {
        boolean each = new HashSet<>(right).size() == right.size()
                && right.stream().allMatch(one -> one >= 0 && one < choices.size());
        boolean many =
                switch (kind) {
                    case SINGLE -> right.size() <= 1;
                    case MULTIPLE -> true;
                    case ORDER -> right.isEmpty() || right.size() == choices.size();
                    case NUMBER, TEXT -> right.isEmpty();
                };
        return each
                && many
                && (kind == Kind.NUMBER || number.isEmpty())
                && (kind == Kind.TEXT || spellings.isEmpty())
                && number.map(Question::isShort).orElse(true)
                && tolerance.signum() >= 0
                && isShort(tolerance)
                && spellings.size() <= SPELLINGS
                && spellings.stream().allMatch(one -> !one.isBlank() && one.length() <= CHOICE)
                && points >= 0
                && points <= POINTS;
    }

    /** Whether there is a right answer at all. */
    public boolean hasRight() {
        return !right.isEmpty() || number.isPresent() || !spellings.isEmpty();
    }

    /** Whether an answer is one of this question at all. */
    public boolean takes(Answer answer) {
        List<Integer> picked = answer.picked();
        boolean picks = new HashSet<>(picked).size() == picked.size()
                && picked.stream().allMatch(one -> one >= 0 && one < choices.size());
        return picks
                && switch (kind) {
                    case SINGLE -> picked.size() == 1 && answer.isOnlyPicked();
                    case MULTIPLE -> answer.isOnlyPicked();
                    case ORDER -> picked.size() == choices.size() && answer.isOnlyPicked();
                    case NUMBER -> picked.isEmpty()
                            && answer.text().isEmpty()
                            && answer.number().filter(Question::isShort).isPresent();
                    case TEXT -> picked.isEmpty()
                            && answer.number().isEmpty()
                            && answer.text()
                                    .filter(text -> !text.isBlank() && text.length() <= CHOICE)
                                    .isPresent();
                };
    }

    private static boolean isShort(BigDecimal number) {
        return number.precision() <= DIGITS && Math.abs(number.scale()) <= DIGITS;
    }

    /** Whether an answer is right; nothing where nothing is. */
    public Optional<Boolean> isRight(Answer answer) {
        if (!hasRight()) {
            return Optional.empty();
        }
        return Optional.of(
                switch (kind) {
                    case SINGLE, ORDER -> answer.picked().equals(right);
                    case MULTIPLE -> new HashSet<>(answer.picked()).equals(new HashSet<>(right));
                    case NUMBER -> answer.number()
                            .flatMap(given -> number.map(
                                    wanted -> given.subtract(wanted).abs().compareTo(tolerance) <= 0))
                            .orElse(false);
                    case TEXT -> spellings.stream().anyMatch(one -> plain(one)
                            .equals(plain(answer.text().orElse(""))));
                });
    }

    /** A text as it is compared: case, space at the ends and how many spaces are between words make no difference. */
    public static String plain(String text) {
        return text.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    }

    /** The places of its choices, from 0. */
    IntStream places() {
        return IntStream.range(0, choices.size());
    }
}
