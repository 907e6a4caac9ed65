package juricast.core.keeping;

import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardOrder;
import juricast.core.board.Under;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.drawing.Drawing;
import juricast.core.material.MaterialOrder;
import juricast.core.questions.Answer;
import juricast.core.questions.Question;
import juricast.core.questions.QuestionsOrder;
import juricast.core.rules.Setting.Force;
import juricast.core.slates.Ground;
import juricast.core.slates.SlatesOrder;
import org.junit.jupiter.api.Test;

class RetentionTest {
    @Test
    void each_kind_is_kept_by_its_own_rule_and_takes_only_what_it_says_with_it() {
        var lesson = open().school("chat.kept-days", "30", Force.USUAL)
                .school("share.draw", "open", Force.USUAL)
                .school("chat.class", "open", Force.USUAL)
                .present(INES)
                .order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "high water"))
                .order(new BoardOrder.Draw(visitOf(INES), 0, Drawing.pen(List.of(0, 0, 9, 9))))
                .order(new MaterialOrder.Caption(visitOf(ORLA), "it turns"));
        var book = lesson.rulebook().book();

        assertThat(Retention.WORDS.until(at("10:50"), book))
                .isEqualTo(at("10:50").plus(Duration.ofDays(30)));
        assertThat(Retention.REGISTERS.until(at("10:50"), book))
                .isEqualTo(at("10:50").plus(Duration.ofDays(1095)));
        assertThat(Retention.WORDS.goes(lesson.events())).hasSize(1);
        assertThat(Retention.BOARD.goes(lesson.events())).hasSize(1);
        assertThat(Retention.CAPTIONS.goes(lesson.events())).hasSize(1);
        assertThat(Retention.RECORDINGS.goes(lesson.events())).isEmpty();
        assertThat(Retention.REGISTERS.goes(lesson.events()))
                .hasSize(lesson.events().size());
    }

    @Test
    void nothing_is_kept_by_the_rule_of_another() {
        assertThat(List.of(Retention.values())).extracting(Retention::rule).doesNotHaveDuplicates();
    }

    @Test
    void answers_slates_and_pictures_under_pages_go_with_their_own_kinds() {
        var lesson = open().school("activities.kept-days", "10", Force.USUAL)
                .present(INES)
                .order(new BoardOrder.AddPages(List.of(Optional.of(new Under("f", 8, 5))), Optional.empty(), ORLA))
                .order(new SlatesOrder.GiveOut("A wave", Ground.BLANK, ORLA))
                .order(new SlatesOrder.Draw(visitOf(INES), Drawing.pen(List.of(0, 0, 9, 9))))
                .order(new QuestionsOrder.Ask(
                        Question.of(Question.Kind.TEXT, "Which sea?", List.of()),
                        Optional.empty(),
                        false,
                        Optional.empty(),
                        Optional.empty(),
                        ORLA));
        lesson.order(new QuestionsOrder.Give(lesson.events().size(), visitOf(INES), Answer.text("the North Sea")));
        assertThat(lesson.refused()).isEmpty();
        assertThat(Retention.ANSWERS.goes(lesson.events())).hasSize(2);
        assertThat(Retention.BOARD.goes(lesson.events())).hasSize(1);
        assertThat(Retention.ANSWERS.until(at("10:50"), lesson.rulebook().book()))
                .isEqualTo(at("10:50").plus(Duration.ofDays(10)));
    }
}
