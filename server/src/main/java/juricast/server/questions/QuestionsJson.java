package juricast.server.questions;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.questions.QuestionsPart.QUESTIONS;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.questions.Answer;
import juricast.core.questions.AskedQuestion;
import juricast.core.questions.Question;
import juricast.core.questions.QuestionsPart;
import juricast.core.questions.Results;
import juricast.core.rules.Catalogue;
import juricast.server.lesson.Snapshot;
import juricast.server.words.GroupNames;
import org.jspecify.annotations.Nullable;

/** Questions on the wire: adults see counts and, where the rules let them, names; seats what is asked, and results without names. */
public final class QuestionsJson {
    private QuestionsJson() {}

    /** @param now the one before the class */
    public record DeskQuestions(@Nullable DeskQuestion now) {}

    /**
     * @param ask what is asked, with what is right
     * @param named whether this adult sees who answered what
     * @param group the name of the group it was put to
     * @param enough whether so many have answered that the class may be shown how
     * @param missing who has not answered yet
     * @param answers who answered what, in the order of first answers; empty where it is not seen
     */
    public record DeskQuestion(
            int number,
            QuestionLine ask,
            boolean changeable,
            boolean named,
            @Nullable String group,
            Instant askedAt,
            @Nullable Instant until,
            boolean open,
            boolean shown,
            boolean tellsRight,
            boolean enough,
            ResultLines results,
            int askedOf,
            List<NotYet> missing,
            boolean nudged,
            @Nullable Integer medianSeconds,
            List<AnswerOf> answers) {}

    /** A question. @param right places of choices, from 0 @param number as it is written, if a number is asked and one is right */
    public record QuestionLine(
            Question.Kind kind,
            String text,
            List<String> choices,
            List<Integer> right,
            @Nullable String number,
            @Nullable String tolerance,
            List<String> spellings,
            int points) {}

    public record ResultLines(int answers, List<ResultLine> lines, @Nullable Integer right) {}

    /** @param words what was answered; empty for all others together @param right nothing where it is not told */
    public record ResultLine(String words, int count, @Nullable Boolean right) {}

    public record NotYet(String id, String name) {}

    public record AnswerOf(String id, String name, String words, @Nullable Boolean right, long seconds) {}

    /** What a seat is asked. @param mayAnswer whether people like this one are asked @param results where they are shown */
    public record SeatQuestion(
            int number,
            Question.Kind kind,
            String text,
            List<String> choices,
            boolean changeable,
            boolean open,
            boolean mayAnswer,
            @Nullable Instant until,
            @Nullable ResultLines results) {}

    /** @param answer one's own @param right whether it was, where that is told */
    public record SeatMineQuestions(@Nullable AnswerLine answer, boolean nudged, @Nullable Boolean right) {}

    public record AnswerLine(List<Integer> picked, @Nullable String number, @Nullable String text) {}

    public static DeskQuestions desk(Snapshot at, PersonId me, Instant now) {
        boolean named = at.state()
                .of(QUESTIONS)
                .now()
                .filter(one -> one.isNamedFor(me, at.plan()))
                .isPresent();
        return at.ruled(
                "questions desk",
                named,
                List.of(QUESTIONS, DOOR, GROUPS, RIGHTS),
                now,
                () -> new DeskQuestions(at.state()
                        .of(QUESTIONS)
                        .now()
                        .map(one -> desk(one, named, at, now))
                        .orElse(null)));
    }

    private static DeskQuestion desk(AskedQuestion one, boolean named, Snapshot at, Instant now) {
        List<PersonId> asked = QuestionsPart.whoIsAsked(one, new Room(at.plan(), at.state(), at.rules(), now));
        List<NotYet> missing = asked.stream()
                .filter(person -> !one.answers().containsKey(person))
                .map(person -> new NotYet(person.value(), at.plan().nameOf(person)))
                .toList();
        return new DeskQuestion(
                one.number(),
                line(one.question()),
                one.asked().changeable(),
                named,
                one.asked().of().map(of -> GroupNames.of(of, at.state())).orElse(null),
                one.asked().at(),
                one.until().orElse(null),
                one.isOpen(),
                one.shown().isPresent(),
                one.shown().orElse(false),
                one.answers().size() >= Results.FEWEST_FOR_CLASS,
                lines(one.results()),
                missing.size() + one.answers().size(),
                one.isOpen() ? missing : List.of(),
                !one.nudged().isEmpty(),
                median(one),
                named ? answers(one, at) : List.of());
    }

    private static @Nullable Integer median(AskedQuestion one) {
        List<Duration> took = one.answers().keySet().stream()
                .flatMap(person -> one.took(person).stream())
                .sorted()
                .toList();
        return took.isEmpty() ? null : (int) took.get(took.size() / 2).toSeconds();
    }

    private static List<AnswerOf> answers(AskedQuestion one, Snapshot at) {
        return one.answers().entrySet().stream()
                .map(each -> new AnswerOf(
                        each.getKey().value(),
                        at.plan().nameOf(each.getKey()),
                        Results.wordsOf(one.question(), each.getValue()),
                        one.question().isRight(each.getValue()).orElse(null),
                        one.took(each.getKey()).map(Duration::toSeconds).orElse(0L)))
                .toList();
    }

    /** A question with all of it. */
    public static QuestionLine line(Question one) {
        return new QuestionLine(
                one.kind(),
                one.text(),
                one.choices(),
                one.right(),
                one.number().map(BigDecimal::toPlainString).orElse(null),
                one.number().map(any -> one.tolerance().toPlainString()).orElse(null),
                one.spellings(),
                one.points());
    }

    static ResultLines lines(Results of) {
        return new ResultLines(
                of.answers(),
                of.lines().stream()
                        .map(one -> new ResultLine(
                                one.words(), one.count(), one.isRight().orElse(null)))
                        .toList(),
                of.right().orElse(null));
    }

    /** What all who may do the same see of it. */
    public static @Nullable SeatQuestion seat(Snapshot at, PersonId me, Role role, Instant now) {
        PlaceId place = at.state().where().placeOf(me);
        return at.state()
                .of(QUESTIONS)
                .now()
                .filter(one -> one.asked().of().map(place::equals).orElse(true))
                .map(one -> seat(one, mayAnswer(at, me, role, now)))
                .orElse(null);
    }

    private static boolean mayAnswer(Snapshot at, PersonId me, Role role, Instant now) {
        return at.rights(now).isOpen(me, role, Catalogue.ANSWER, now);
    }

    private static SeatQuestion seat(AskedQuestion one, boolean mayAnswer) {
        Optional<Results> results =
                one.shown().flatMap(tellsRight -> one.results().forClass(one.question(), tellsRight));
        return new SeatQuestion(
                one.number(),
                one.question().kind(),
                one.question().text(),
                one.question().choices(),
                one.asked().changeable(),
                one.isOpen(),
                mayAnswer,
                one.until().orElse(null),
                results.map(QuestionsJson::lines).orElse(null));
    }

    public static @Nullable SeatMineQuestions seatMine(Snapshot at, PersonId me) {
        return at.state()
                .of(QUESTIONS)
                .now()
                .map(one -> {
                    Answer mine = one.answers().get(me);
                    return new SeatMineQuestions(
                            mine == null ? null : line(mine),
                            one.nudged().contains(me),
                            mine == null
                                    ? null
                                    : one.shown()
                                            .filter(tells -> tells)
                                            .flatMap(tells -> one.question().isRight(mine))
                                            .orElse(null));
                })
                .orElse(null);
    }

    private static AnswerLine line(Answer one) {
        return new AnswerLine(
                one.picked(),
                one.number().map(BigDecimal::toPlainString).orElse(null),
                one.text().orElse(null));
    }
}
