package juricast.core.questions;

import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.questions.QuestionsPart.QUESTIONS;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import juricast.core.door.DoorOrder;
import juricast.core.groups.GroupsOrder;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.questions.Question.Kind;
import juricast.core.rules.Setting.Force;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class QuestionsTest {
    private static final Question TIDE = Question.of(
                    Kind.SINGLE, "Which tide is highest?", List.of("spring", "neap", "ebb"))
            .right(0);

    private static LiveLesson class5() {
        return open().ofMore(4)
                .present(INES)
                .present(pupil(1))
                .present(pupil(2))
                .present(pupil(3))
                .present(pupil(4));
    }

    private static QuestionsOrder.Ask ask(Question question, boolean changeable) {
        return new QuestionsOrder.Ask(question, Optional.empty(), changeable, Optional.empty(), Optional.empty(), ORLA);
    }

    private static AskedQuestion now(LiveLesson lesson) {
        return lesson.state().of(QUESTIONS).now().orElseThrow();
    }

    private static QuestionsOrder.Give answer(LiveLesson lesson, PersonId person, Integer... picked) {
        return new QuestionsOrder.Give(now(lesson).number(), visitOf(person), Answer.choosing(picked));
    }

    private static Optional<Refusal.Code> refused(LiveLesson lesson, LessonOrder order) {
        return lesson.order(order).refused();
    }

    @Test
    void a_question_is_asked_answered_once_closed_and_shown_without_names() {
        var lesson = class5().order(ask(TIDE, false));
        assertThat(refused(lesson, ask(TIDE, false))).contains(QuestionsRefusal.STILL_OPEN);

        lesson.time("10:00:07").order(answer(lesson, INES, 0));
        assertThat(refused(lesson, answer(lesson, INES, 1))).contains(QuestionsRefusal.ANSWERED_ALREADY);
        assertThat(lesson.order(answer(lesson, INES, 0)).refused())
                .as("the same again")
                .isEmpty();
        assertThat(refused(lesson, answer(lesson, JORY, 0))).contains(Refusal.Common.NOT_PRESENT);
        assertThat(refused(lesson, answer(lesson, ORLA, 0))).contains(QuestionsRefusal.NOT_ASKED);
        assertThat(refused(lesson, answer(lesson, pupil(1), 3))).contains(QuestionsRefusal.NO_ANSWER_TO_THIS);
        assertThat(refused(lesson, answer(lesson, pupil(1), 0, 1))).contains(QuestionsRefusal.NO_ANSWER_TO_THIS);
        assertThat(refused(lesson, new QuestionsOrder.Give(1, visitOf(pupil(1)), Answer.choosing(0))))
                .contains(QuestionsRefusal.NO_SUCH_QUESTION);
        assertThat(now(lesson).took(INES)).contains(Duration.ofSeconds(7));

        IntStream.of(1, 2, 3).forEach(i -> lesson.order(answer(lesson, pupil(i), 1)));
        assertThat(refused(lesson, new QuestionsOrder.Show(now(lesson).number(), true, ORLA)))
                .as("four answers would give somebody away")
                .contains(QuestionsRefusal.TOO_FEW_TO_SHOW);
        lesson.order(new QuestionsOrder.Nudge(now(lesson).number(), ORLA));
        assertThat(now(lesson).nudged()).containsExactly(pupil(4));
        lesson.order(answer(lesson, pupil(4), 2));
        assertThat(now(lesson).nudged()).isEmpty();

        lesson.order(new QuestionsOrder.Show(now(lesson).number(), true, ORLA));
        assertThat(now(lesson).isOpen()).isFalse();
        assertThat(now(lesson).results().forClass(TIDE, true).orElseThrow().lines())
                .containsExactly(
                        new Results.Line("spring", 1, Optional.of(true)),
                        new Results.Line("neap", 3, Optional.of(false)),
                        new Results.Line("ebb", 1, Optional.of(false)));
        assertThat(refused(lesson, answer(lesson, pupil(4), 0))).contains(QuestionsRefusal.CLOSED);
    }

    @Test
    void it_may_be_answered_otherwise_until_its_time_is_up() {
        var lesson = class5().order(new QuestionsOrder.Ask(
                TIDE, Optional.empty(), true, Optional.of(Duration.ofSeconds(30)), Optional.empty(), ORLA));
        lesson.order(answer(lesson, INES, 0)).order(answer(lesson, INES, 1));
        assertThat(now(lesson).answers()).isEqualTo(java.util.Map.of(INES, Answer.choosing(1)));

        lesson.order(new QuestionsOrder.Extend(now(lesson).number(), Duration.ofSeconds(30), ORLA));
        lesson.time("10:00:59").order(new LessonOrder.Tick());
        assertThat(now(lesson).isOpen()).isTrue();
        lesson.time("10:01:00").order(new LessonOrder.Tick());
        assertThat(now(lesson).isOpen()).isFalse();
        assertThat(refused(lesson, answer(lesson, INES, 0))).contains(QuestionsRefusal.CLOSED);
    }

    @Test
    void the_time_is_up_for_who_answers_in_that_very_moment_too() {
        var lesson = class5().order(new QuestionsOrder.Ask(
                TIDE, Optional.empty(), true, Optional.of(Duration.ofSeconds(30)), Optional.empty(), ORLA));
        var late = answer(lesson, INES, 0);
        lesson.time("10:00:31").order(late);
        assertThat(now(lesson).answers()).isEmpty();
    }

    @Test
    void who_is_removed_or_was_asked_in_a_group_that_is_no_more_answers_nothing() {
        var lesson = class5().school("groups.smallest", "2", Force.USUAL).order(ask(TIDE, false));
        var hers = answer(lesson, INES, 0);
        assertThat(refused(lesson.order(new DoorOrder.Remove(INES, "shouting", ORLA)), hers))
                .contains(Refusal.Common.NOT_PRESENT);
        lesson.order(new QuestionsOrder.PutAway(now(lesson).number(), ORLA));
        assertThat(lesson.state().of(QUESTIONS).now()).isEmpty();

        assertThat(refused(lesson, inGroup("g1"))).contains(QuestionsRefusal.NO_SUCH_GROUP);
        lesson.order(new GroupsOrder.DrawUp(
                        List.of(
                                new GroupsOrder.Wanted("Reef", List.of(pupil(1), pupil(2))),
                                new GroupsOrder.Wanted("Skerry", List.of(pupil(3), pupil(4)))),
                        "by hand",
                        0,
                        ORLA))
                .order(new GroupsOrder.SendOut(Optional.empty(), true, ORLA))
                .order(new GroupsOrder.Accept(visitOf(pupil(1))))
                .order(new GroupsOrder.Accept(visitOf(pupil(2))))
                .order(inGroup("g1"));
        assertThat(refused(lesson, answer(lesson, pupil(3), 0))).contains(QuestionsRefusal.NOT_ASKED);
        assertThat(lesson.order(answer(lesson, pupil(1), 0)).refused()).isEmpty();
        lesson.order(new GroupsOrder.CallBack(Duration.ZERO, ORLA));
        assertThat(now(lesson).isOpen()).isFalse();
        assertThat(refused(lesson, answer(lesson, pupil(2), 0))).isPresent();
    }

    private static QuestionsOrder.Ask inGroup(String id) {
        return new QuestionsOrder.Ask(
                TIDE, Optional.empty(), false, Optional.empty(), Optional.of(new PlaceId(id)), ORLA);
    }

    @Test
    void rules_say_who_asks_answers_and_shows_and_names_are_as_promised_when_it_was_asked() {
        var closed = class5().school("activities.start", "closed", Force.BINDING);
        assertThat(refused(closed, ask(TIDE, false))).contains(Refusal.Common.RULE_CLOSED);
        assertThat(refused(
                        class5(),
                        new QuestionsOrder.Ask(
                                TIDE, Optional.empty(), false, Optional.empty(), Optional.empty(), INES)))
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);

        var silent = class5().order(ask(TIDE, false)).school("activities.answer", "closed", Force.USUAL);
        assertThat(refused(silent, answer(silent, INES, 0))).contains(Refusal.Common.RULE_CLOSED);

        var unnamed =
                class5().school("activities.see-names", "closed", Force.USUAL).order(ask(TIDE, false));
        assertThat(List.of(ORLA, TAM, MAREN)).noneMatch(adult -> now(unnamed).isNamedFor(adult, unnamed.plan()));
        var usual = class5().order(ask(TIDE, false));
        assertThat(List.of(ORLA, TAM, MAREN)).allMatch(adult -> now(usual).isNamedFor(adult, usual.plan()));

        var unshown = class5().school("activities.show-results", "closed", Force.BINDING)
                .order(ask(TIDE, false));
        assertThat(refused(unshown, new QuestionsOrder.Show(now(unshown).number(), false, ORLA)))
                .contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void what_cannot_be_asked_is_refused_with_what_is_wrong() {
        assertThat(Question.of(Kind.SINGLE, "x", List.of("one")).wrong())
                .contains(QuestionsRefusal.TOO_FEW_OR_MANY_CHOICES);
        assertThat(Question.of(Kind.NUMBER, "x", List.of("one", "two")).wrong())
                .contains(QuestionsRefusal.TOO_FEW_OR_MANY_CHOICES);
        assertThat(Question.of(Kind.MULTIPLE, "x", List.of("one", "one")).wrong())
                .contains(QuestionsRefusal.CHOICES_ALIKE);
        assertThat(Question.of(Kind.SINGLE, "x".repeat(1_000_000), List.of("a", "b"))
                        .wrong())
                .contains(QuestionsRefusal.QUESTION_TOO_LONG);
        assertThat(Stream.of(
                        TIDE.right(0, 1),
                        TIDE.right(3),
                        Question.of(Kind.ORDER, "x", List.of("a", "b")).right(1),
                        Question.of(Kind.TEXT, "x", List.of()).number("1", "0"),
                        Question.of(Kind.NUMBER, "x", List.of()).number("1", "-1"),
                        Question.of(Kind.NUMBER, "x", List.of()).number("1e99", "0"),
                        Question.of(Kind.NUMBER, "x", List.of()).spelled("one")))
                .allSatisfy(one -> assertThat(one.wrong()).contains(QuestionsRefusal.RIGHT_IS_NO_ANSWER));
        assertThat(Question.of(Kind.SINGLE, "", List.of("true", "false")).wrong())
                .as("only spoken")
                .isEmpty();
    }

    @Test
    void numbers_have_a_tolerance_texts_several_spellings_orders_one_right_row() {
        var depth = Question.of(Kind.NUMBER, "How deep?", List.of()).number("12.5", "0.5");
        assertThat(Stream.of("12", "13.0", "12.50", "11.99", "13.01")
                        .map(one -> depth.isRight(Answer.number(one)).orElseThrow()))
                .containsExactly(true, true, true, false, false);
        assertThat(depth.takes(Answer.text("12"))).isFalse();

        var sea = Question.of(Kind.TEXT, "Which sea?", List.of()).spelled("North Sea", "the North Sea");
        assertThat(sea.isRight(Answer.text("  north   SEA "))).contains(true);
        assertThat(sea.isRight(Answer.text("baltic"))).contains(false);
        assertThat(sea.takes(Answer.text("x".repeat(121)))).isFalse();

        var row = Question.of(Kind.ORDER, "In order", List.of("ebb", "low", "flood"))
                .right(0, 1, 2);
        assertThat(row.isRight(Answer.choosing(0, 1, 2))).contains(true);
        assertThat(row.isRight(Answer.choosing(1, 0, 2))).contains(false);
        assertThat(row.takes(Answer.choosing(0, 1))).isFalse();
        assertThat(row.takes(Answer.choosing(0, 1, 1))).isFalse();

        var both = Question.of(Kind.MULTIPLE, "Which?", List.of("a", "b", "c")).right(0, 2);
        assertThat(both.isRight(Answer.choosing(2, 0))).contains(true);
        assertThat(both.isRight(Answer.choosing(0))).contains(false);
        assertThat(both.takes(Answer.choosing()))
                .as("none of them is an answer")
                .isTrue();
    }

    @Test
    void what_a_pupil_worded_alone_is_not_shown_to_the_class() {
        var question = Question.of(Kind.TEXT, "Which sea?", List.of()).spelled("North Sea");
        var results = Results.of(
                question,
                Stream.of("north sea", "Baltic", "baltic", "Jory is silly", "the pond")
                        .map(Answer::text)
                        .toList());
        assertThat(results.forClass(question, false).orElseThrow().lines())
                .containsExactly(
                        new Results.Line("Baltic", 2, Optional.empty()), new Results.Line("", 3, Optional.empty()));
        assertThat(results.forClass(question, true).orElseThrow().lines())
                .contains(new Results.Line("north sea", 1, Optional.of(true)))
                .noneMatch(line -> line.words().contains("silly"));
    }

    @Property(tries = 200)
    void counts_equal_answers_and_nobody_answers_twice(
            @ForAll @Size(max = 40) List<@IntRange(min = 0, max = 4) Integer> who, @ForAll boolean changeable) {
        var lesson = class5().order(ask(TIDE, changeable));
        var people = List.of(INES, pupil(1), pupil(2), pupil(3), pupil(4));
        for (int i = 0; i < who.size(); i++) {
            lesson.order(answer(lesson, people.get(who.get(i)), i % 3));
        }
        Results results = now(lesson).results();
        assertThat(results.answers()).isEqualTo((int) who.stream().distinct().count());
        assertThat(results.lines().stream().mapToInt(Results.Line::count).sum()).isEqualTo(results.answers());
        assertThat(results.forClass(TIDE, false).isPresent()).isEqualTo(results.answers() >= 5);
        assertThat(results.forClass(TIDE, false).map(Object::toString).orElse(""))
                .as("what the class sees never names anybody")
                .doesNotContain("Ines", "Brenna", "p1", "p2");
    }

    @Test
    void a_question_makes_room_for_the_next_and_is_shown_again_with_what_is_right() {
        var lesson = class5().order(ask(TIDE, false));
        int first = now(lesson).number();
        List.of(INES, pupil(1), pupil(2), pupil(3), pupil(4)).forEach(one -> lesson.order(answer(lesson, one, 0)));
        lesson.order(new QuestionsOrder.Show(first, false, ORLA));
        assertThat(now(lesson).shown()).contains(false);
        lesson.order(new QuestionsOrder.Show(first, true, ORLA));
        assertThat(now(lesson).shown()).contains(true);
        int events = lesson.events().size();
        lesson.order(new QuestionsOrder.Show(first, true, ORLA)).order(new QuestionsOrder.Close(first, ORLA));
        assertThat(lesson.events()).as("it was so already").hasSize(events);

        lesson.order(ask(Question.of(Kind.TEXT, "Why?", List.of()), true));
        assertThat(now(lesson).question().text()).isEqualTo("Why?");
        assertThat(refused(lesson, new QuestionsOrder.Show(first, true, ORLA)))
                .contains(QuestionsRefusal.NO_SUCH_QUESTION);
        assertThat(refused(lesson, new QuestionsOrder.Nudge(first, ORLA))).contains(QuestionsRefusal.CLOSED);
        assertThat(refused(lesson, new QuestionsOrder.Extend(first, Duration.ofSeconds(9), ORLA)))
                .contains(QuestionsRefusal.CLOSED);
        lesson.order(new DoorOrder.Leave(visitOf(pupil(4))));
        lesson.order(new QuestionsOrder.Nudge(now(lesson).number(), ORLA));
        assertThat(now(lesson).nudged()).as("who has gone is not nudged").hasSize(4);
    }

    @Test
    void ten_thousand_answers_of_one_pupil_are_one() {
        var lesson = class5().order(ask(TIDE, false));
        lesson.order(answer(lesson, INES, 0));
        int before = lesson.events().size();
        var order = answer(lesson, INES, 0);
        for (int i = 0; i < 50; i++) {
            lesson.order(order).order(answer(lesson, INES, 1));
        }
        assertThat(lesson.events()).hasSize(before);
    }
}
