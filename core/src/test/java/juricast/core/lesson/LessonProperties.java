package juricast.core.lesson;

import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.rules.Catalogue;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Whatever is ordered in whatever order, some things never happen. */
class LessonProperties {
    @Property(tries = 400)
    void what_must_never_happen_never_does(@ForAll("orders") List<Integer> choices) {
        var lesson =
                open().school("entry.re-entry", "never", Force.BINDING).school("share.screen", "closed", Force.BINDING);
        int second = 0;
        for (int choice : choices) {
            play(lesson.time("10:%02d:%02d".formatted(second / 60, second % 60)), choice);
            second += 20;
            LessonState state = lesson.state();

            for (PersonId pupil : List.of(INES, JORY, KESTER)) {
                assertThat(state.removal(pupil).isPresent() && state.isPresent(pupil))
                        .as("nobody removed is present" + lesson)
                        .isFalse();
                assertThat(state.on(pupil))
                        .as("no pass gives what a binding rule closes" + lesson)
                        .doesNotContain(Appliance.SCREEN);
                assertThat(state.on(pupil).isEmpty() || state.isPresent(pupil))
                        .as("nothing is on of somebody who is not there" + lesson)
                        .isTrue();
            }
            assertThat(state.isOver() && !state.present().isEmpty())
                    .as("nobody is left in a dismissed lesson" + lesson)
                    .isFalse();
            assertThat(state).as("folding again gives the same").satisfies(again -> assertThat(again.visits())
                    .isEqualTo(LessonState.NEW.after(lesson.events()).visits()));
        }
    }

    private static void play(LiveLesson lesson, int choice) {
        PersonId pupil = List.of(INES, JORY, KESTER).get(choice % 3);
        VisitId visit = visitOf(pupil);
        switch (choice / 3) {
            case 0 -> lesson.knock(lesson.plan().nameOf(pupil), pupil.value());
            case 1 -> lesson.order(new LessonOrder.Admit(visit, Optional.of(pupil), ORLA));
            case 2 -> lesson.order(new LessonOrder.AdmitAllListed(ORLA));
            case 3 -> lesson.order(new LessonOrder.Remove(pupil, "", ORLA));
            case 4 -> lesson.order(new LessonOrder.GivePass(pupil, Catalogue.SHARE_SCREEN, minutes(1), ORLA));
            case 5 -> lesson.order(new LessonOrder.TurnOn(visit, Appliance.SCREEN));
            case 6 -> lesson.order(new LessonOrder.GivePass(pupil, Catalogue.SPEAK, minutes(1), ORLA));
            case 7 -> lesson.order(new LessonOrder.TurnOn(visit, Appliance.MICROPHONE));
            case 8 -> lesson.order(new LessonOrder.LoseConnection(visit));
            case 9 -> lesson.order(new LessonOrder.ComeBack(visit));
            case 10 -> lesson.order(new LessonOrder.Leave(visit));
            case 11 -> lesson.order(new LessonOrder.SetLive(RuleValue.parse("entry.door=open"), ORLA));
            case 12 -> lesson.order(new LessonOrder.Tick());
            case 13 -> lesson.order(new LessonOrder.AllowBack(pupil, ORLA));
            default -> lesson.order(new LessonOrder.Dismiss(choice % 3 == 0 ? ORLA : pupil));
        }
    }

    @Provide
    Arbitrary<List<Integer>> orders() {
        return Arbitraries.integers().between(0, 44).list().ofMinSize(5).ofMaxSize(60);
    }
}
