package juricast.server.cast;

import static juricast.core.clocks.ClocksPart.CLOCKS;
import static juricast.core.questions.QuestionsPart.QUESTIONS;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import juricast.core.board.BoardOrder;
import juricast.core.board.BoardPart;
import juricast.core.clocks.ClocksOrder;
import juricast.core.drawing.Drawing;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonState;
import juricast.core.merits.MeritsOrder;
import juricast.core.notices.NoticesOrder;
import juricast.core.questions.Answer;
import juricast.core.questions.AskedQuestion;
import juricast.core.questions.Question;
import juricast.core.questions.QuestionsOrder;
import juricast.core.slates.Ground;
import juricast.core.slates.SlatesOrder;

/** What the cast does with questions, clocks, slates, boards and merits. */
final class CastActivities {
    private final Random random;

    CastActivities(Random random) {
        this.random = random;
    }

    /** What a step means; nothing where it is about something else. @param visit of whom acts, if they are in */
    Optional<LessonOrder> order(String does, String with, PersonId me, Optional<VisitId> visit, LessonState state) {
        if (does.startsWith("draws in ")) {
            return visit.map(one -> new BoardOrder.Draw(one, page(me, state), inInk(does.substring(9), with)));
        }
        if (does.startsWith("gives a merit to ")) {
            return Optional.of(new MeritsOrder.Give(List.of(Cast.idOf(does.substring(17))), with, me));
        }
        return switch (does) {
            case "asks" -> Optional.of(question(with, me));
            case "answers" -> asked(state)
                    .flatMap(one -> visit.map(id -> new QuestionsOrder.Give(one.number(), id, answer(one, with))));
            case "closes the question" -> asked(state).map(one -> new QuestionsOrder.Close(one.number(), me));
            case "shows what is right" -> asked(state).map(one -> new QuestionsOrder.Show(one.number(), true, me));
            case "puts the question away" -> asked(state).map(one -> new QuestionsOrder.PutAway(one.number(), me));
            case "starts a clock" -> Optional.of(new ClocksOrder.Start(
                    with.substring(with.indexOf(' ') + 1),
                    Optional.of(Duration.ofMinutes(Long.parseLong(with.substring(0, with.indexOf(' '))))),
                    false,
                    me));
            case "calls for the first" -> Optional.of(new ClocksOrder.Call(with, Duration.ofSeconds(3), me));
            case "presses" -> state.of(CLOCKS)
                    .open()
                    .flatMap(call -> visit.map(id -> new ClocksOrder.Press(
                            id,
                            call.opens().plusMillis(400 + random.nextInt(4000)),
                            Duration.ofMillis(10 + random.nextInt(120)))));
            case "gives out slates" -> Optional.of(new SlatesOrder.GiveOut(with, Ground.AXES, me));
            case "draws on the slate" -> visit.map(id -> new SlatesOrder.Draw(id, wave()));
            case "hands in the slate" -> visit.map(SlatesOrder.HandIn::new);
            case "announces" -> Optional.of(new NoticesOrder.PutUp(with, me));
            case "takes a new page" -> Optional.of(
                    new BoardOrder.AddPages(List.of(Optional.empty()), Optional.empty(), me));
            default -> Optional.empty();
        };
    }

    static int page(PersonId person, LessonState state) {
        return state.of(BoardPart.BOARD).of(state.where().placeOf(person)).shown();
    }

    /** "GREEN LINE" and where it goes; a text stands after its place. */
    private static Drawing inInk(String how, String with) {
        String[] words = how.split(" ");
        String[] parts = with.split(" ", 2);
        boolean isText = words[1].equals("TEXT");
        return new Drawing(
                Drawing.Shape.valueOf(words[1]),
                Drawing.Ink.valueOf(words[0]),
                isText ? 1 : 2,
                points(isText ? parts[0] : with),
                isText ? parts[1] : "");
    }

    private static List<Integer> points(String points) {
        return Arrays.stream(points.split("[ ,]+")).map(Integer::valueOf).toList();
    }

    private static Optional<AskedQuestion> asked(LessonState state) {
        return state.of(QUESTIONS).now();
    }

    /** As it is told, or by chance, the right one more often than not. */
    private Answer answer(AskedQuestion one, String with) {
        List<String> choices = one.question().choices();
        if (choices.contains(with)) {
            return Answer.choosing(choices.indexOf(with));
        }
        boolean knows = random.nextDouble() < 0.55 && !one.question().right().isEmpty();
        return Answer.choosing(knows ? one.question().right().get(0) : random.nextInt(Math.max(1, choices.size())));
    }

    /** A wave as each draws it: of another height and length. */
    private Drawing wave() {
        double height = 120 + random.nextInt(220);
        double waves = 1.5 + random.nextInt(6) / 2.0;
        return Drawing.pen(IntStream.range(0, 48)
                .boxed()
                .flatMap(i -> Stream.of(
                        100 + i * 17, (int) Math.round(460 - height * Math.sin(i / 47.0 * waves * 2 * Math.PI))))
                .toList());
    }

    /** "Which tide? | spring | =neap": what stands after an equals sign is right. */
    private static LessonOrder question(String text, PersonId me) {
        List<String> parts = Arrays.stream(text.split("\\|")).map(String::strip).toList();
        List<String> choices = parts.subList(1, parts.size());
        Question question = Question.of(
                        Question.Kind.SINGLE,
                        parts.get(0),
                        choices.stream().map(one -> one.replaceFirst("^=", "")).toList())
                .right(IntStream.range(0, choices.size())
                        .filter(i -> choices.get(i).startsWith("="))
                        .boxed()
                        .toArray(Integer[]::new));
        return new QuestionsOrder.Ask(question, Optional.empty(), true, Optional.empty(), Optional.empty(), me);
    }
}
