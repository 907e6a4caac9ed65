package juricast.server.questions;

import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.questions.Question;
import juricast.server.files.TableFile;
import juricast.server.problems.Problem;

/**
 * Questions as a table: a line each, with the columns kind, question, choice 1 to 12, right, number, tolerance, spellings, points. Right
 * are numbers of choices from 1, for an order in their right row; spellings stand apart by a bar.
 */
final class QuestionFiles {
    private static final int MOST = 500;

    private QuestionFiles() {}

    /** What a file holds. @param leftOut what of it is not taken, with its place */
    record Read(List<Question> questions, List<String> leftOut) {}

    static byte[] table(List<Question> questions) {
        var heading = new ArrayList<>(List.of("kind", "question"));
        IntStream.rangeClosed(1, Question.CHOICES).forEach(i -> heading.add("choice " + i));
        heading.addAll(List.of("right", "number", "tolerance", "spellings", "points"));
        return TableFile.write(
                heading,
                questions.stream()
                        .map(one -> {
                            var row = new ArrayList<>(List.of(one.kind().name().toLowerCase(Locale.ROOT), one.text()));
                            IntStream.range(0, Question.CHOICES)
                                    .forEach(i -> row.add(
                                            i < one.choices().size()
                                                    ? one.choices().get(i)
                                                    : ""));
                            row.add(one.right().stream()
                                    .map(place -> String.valueOf(place + 1))
                                    .collect(Collectors.joining(" ")));
                            row.add(one.number().map(BigDecimal::toPlainString).orElse(""));
                            row.add(
                                    one.tolerance().signum() == 0
                                            ? ""
                                            : one.tolerance().toPlainString());
                            row.add(String.join("|", one.spellings()));
                            row.add(one.points() == 0 ? "" : String.valueOf(one.points()));
                            return List.copyOf(row);
                        })
                        .toList());
    }

    static Read read(byte[] bytes) {
        TableFile file = TableFile.read(bytes, "questions", MOST);
        List<String> heading = file.heading().stream()
                .map(one -> one.strip().toLowerCase(Locale.ROOT))
                .toList();
        if (!heading.contains("question") || !heading.contains("kind")) {
            throw Problem.refused(
                    "questions-file",
                    "These are no questions",
                    "Nothing was changed.",
                    "The first line names the columns: kind, question, choice 1, choice 2, …, right.");
        }
        var questions = new ArrayList<Question>();
        var leftOut = new ArrayList<String>();
        for (TableFile.Line line : file.lines()) {
            try {
                Question one = question(heading, line.cells());
                one.wrong()
                        .ifPresentOrElse(
                                why -> leftOut.add("Line %d: %s".formatted(line.number(), says(why.name()))),
                                () -> questions.add(one));
            } catch (IllegalArgumentException | Problem wrong) {
                leftOut.add("Line %d: %s".formatted(line.number(), wrong.getMessage()));
            }
        }
        heading.stream()
                .filter(one -> !one.isEmpty() && !isKnown(one))
                .forEach(one -> leftOut.add("The column “%s” says nothing here.".formatted(one)));
        return new Read(questions, leftOut);
    }

    private static boolean isKnown(String column) {
        return List.of("kind", "question", "right", "number", "tolerance", "spellings", "points")
                        .contains(column)
                || column.matches("choice ([1-9]|1[0-2])");
    }

    static String says(String code) {
        return code.toLowerCase(Locale.ROOT).replace('_', ' ') + ".";
    }

    private static Question question(List<String> heading, List<String> cells) {
        String kind = cell(heading, cells, "kind");
        List<String> choices = IntStream.rangeClosed(1, Question.CHOICES)
                .mapToObj(i -> cell(heading, cells, "choice " + i))
                .filter(one -> !one.isEmpty())
                .toList();
        return new Question(
                kind(kind),
                cell(heading, cells, "question"),
                choices,
                places(cell(heading, cells, "right")),
                QuestionBody.number(cell(heading, cells, "number")),
                QuestionBody.number(cell(heading, cells, "tolerance")).orElse(BigDecimal.ZERO),
                List.of(cell(heading, cells, "spellings").split("\\|")).stream()
                        .map(String::strip)
                        .filter(one -> !one.isEmpty())
                        .toList(),
                points(cell(heading, cells, "points")));
    }

    private static Question.Kind kind(String text) {
        try {
            return Question.Kind.valueOf(text.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException unknown) {
            throw new IllegalArgumentException(
                    "“%s” is no kind of question; kinds are single, multiple, number, text, order.".formatted(text),
                    unknown);
        }
    }

    private static List<Integer> places(String text) {
        if (!text.matches("[\\d ,;]*")) {
            throw new IllegalArgumentException("“%s” names no choices by their numbers.".formatted(text));
        }
        return List.of(text.strip().split("[ ,;]+")).stream()
                .filter(one -> !one.isEmpty())
                .map(one -> one.length() > 3 ? -1 : Integer.parseInt(one) - 1)
                .toList();
    }

    private static int points(String text) {
        if (!text.matches("\\d{0,3}")) {
            throw new IllegalArgumentException("“%s” is no number of points.".formatted(text));
        }
        return text.isEmpty() ? 0 : Integer.parseInt(text);
    }

    private static String cell(List<String> heading, List<String> cells, String column) {
        int place = heading.indexOf(column);
        return place < 0 || place >= cells.size()
                ? ""
                : TableFile.plain(cells.get(place)).strip();
    }

    /** Whether it is XML or an archive of it, rather than a table. */
    static boolean isQti(byte[] bytes) {
        String head = new String(bytes, 0, Math.min(200, bytes.length), StandardCharsets.UTF_8).strip();
        return head.startsWith("PK") || head.replace("\uFEFF", "").startsWith("<");
    }
}
