package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.rights.RightsPart.RIGHTS;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonState;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
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
                assertThat(state.of(DOOR).removal(pupil).isPresent()
                                && state.of(DOOR).isPresent(pupil))
                        .as("nobody removed is present" + lesson)
                        .isFalse();
                assertThat(state.of(RIGHTS).on(pupil))
                        .as("no pass gives what a binding rule closes" + lesson)
                        .doesNotContain(Appliance.SCREEN);
                assertThat(state.of(RIGHTS).on(pupil).isEmpty()
                                || state.of(DOOR).isPresent(pupil))
                        .as("nothing is on of somebody who is not there" + lesson)
                        .isTrue();
            }
            assertThat(state.of(DOOR).isOver() && !state.of(DOOR).present().isEmpty())
                    .as("nobody is left in a dismissed lesson" + lesson)
                    .isFalse();
        }
    }

    private static void play(LiveLesson lesson, int choice) {
        PersonId pupil = List.of(INES, JORY, KESTER).get(choice % 3);
        VisitId visit = visitOf(pupil);
        switch (choice / 3) {
            case 0 -> lesson.knock(lesson.plan().nameOf(pupil), pupil.value());
            case 1 -> lesson.order(new DoorOrder.Admit(visit, Optional.of(pupil), ORLA));
            case 2 -> lesson.order(new DoorOrder.AdmitAllListed(ORLA));
            case 3 -> lesson.order(new DoorOrder.Remove(pupil, "", ORLA));
            case 4 -> lesson.order(new RightsOrder.GivePass(pupil, Catalogue.SHARE_SCREEN, minutes(1), ORLA));
            case 5 -> lesson.order(new RightsOrder.TurnOn(visit, Appliance.SCREEN));
            case 6 -> lesson.order(new RightsOrder.GivePass(pupil, Catalogue.SPEAK, minutes(1), ORLA));
            case 7 -> lesson.order(new RightsOrder.TurnOn(visit, Appliance.MICROPHONE));
            case 8 -> lesson.order(new DoorOrder.LoseConnection(visit));
            case 9 -> lesson.order(new DoorOrder.ComeBack(visit));
            case 10 -> lesson.order(new DoorOrder.Leave(visit));
            case 11 -> lesson.order(new RightsOrder.SetLive(RuleValue.parse("entry.door=open"), ORLA));
            case 12 -> lesson.order(new LessonOrder.Tick());
            case 13 -> lesson.order(new DoorOrder.AllowBack(pupil, ORLA));
            default -> lesson.order(new EndingOrder.Dismiss(choice % 3 == 0 ? ORLA : pupil));
        }
    }

    @Provide
    Arbitrary<List<Integer>> orders() {
        return Arbitraries.integers().between(0, 44).list().ofMinSize(5).ofMaxSize(60);
    }
}
