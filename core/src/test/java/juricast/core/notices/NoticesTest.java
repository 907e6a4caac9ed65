package juricast.core.notices;

import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.notices.NoticesPart.NOTICES;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.LessonPlan;
import juricast.core.live.Refusal;
import juricast.core.live.Welcome;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

class NoticesTest {
    private static NoticesState now(LiveLesson lesson) {
        return lesson.state().of(NOTICES);
    }

    @Test
    void an_announcement_stays_until_it_is_taken_down_and_there_are_no_more_than_three() {
        var lesson = open().order(new NoticesOrder.PutUp(" Books on page 9 ", ORLA));
        assertThat(now(lesson).up()).extracting(Notice::text).containsExactly("Books on page 9");
        assertThat(now(lesson).up()).extracting(Notice::by).containsExactly(ORLA);
        lesson.order(new NoticesOrder.PutUp("two", ORLA)).order(new NoticesOrder.PutUp("three", ORLA));
        assertThat(lesson.order(new NoticesOrder.PutUp("four", ORLA)).refused()).contains(Refusal.Common.TOO_MUCH);
        lesson.order(new NoticesOrder.TakeDown(now(lesson).up().get(0).number(), ORLA));
        assertThat(now(lesson).up()).extracting(Notice::text).containsExactly("two", "three");
        assertThat(lesson.order(new NoticesOrder.TakeDown(99, ORLA)).refused()).contains(NoticesRefusal.NOT_UP);
        assertThat(lesson.order(new NoticesOrder.PutUp(" ", ORLA)).refused()).contains(Refusal.Common.EMPTY_TEXT);
        assertThat(lesson.order(new NoticesOrder.PutUp("x".repeat(401), ORLA)).refused())
                .contains(Refusal.Common.TEXT_TOO_LONG);
        assertThat(lesson.order(new NoticesOrder.PutUp("mine", INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(open().school("activities.announce", "closed", Force.BINDING)
                        .order(new NoticesOrder.PutUp("no", ORLA))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void a_welcome_of_the_plan_counts_until_another_or_none_is_written_in_the_lesson() {
        var lesson = open();
        LessonPlan plan = lesson.plan().welcoming(Optional.of(new Welcome("Good morning", TAM, at("08:00"))));
        assertThat(now(lesson).welcome(plan)).map(Notice::text).contains("Good morning");
        assertThat(now(lesson).welcome(lesson.plan())).isEmpty();
        lesson.order(new NoticesOrder.Welcome("Hello", ORLA));
        assertThat(now(lesson).welcome(plan)).map(Notice::text).contains("Hello");
        lesson.order(new NoticesOrder.Welcome("", ORLA));
        assertThat(now(lesson).welcome(plan)).isEmpty();
    }
}
