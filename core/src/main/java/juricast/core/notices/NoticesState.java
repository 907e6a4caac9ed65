package juricast.core.notices;

import java.util.List;
import java.util.Optional;
import juricast.core.live.Copies;
import juricast.core.live.LessonPlan;

/** @param welcome the latest written in the lesson, an empty text among them; nothing where that of the plan counts @param up oldest first */
public record NoticesState(Optional<Notice> welcome, List<Notice> up) {
    static final NoticesState NEW = new NoticesState(Optional.empty(), List.of());

    /** How people are welcomed now, if at all. */
    public Optional<Notice> welcome(LessonPlan plan) {
        return welcome.or(() -> plan.welcome().map(one -> new Notice(0, one.text(), one.by(), one.at())))
                .filter(one -> !one.text().isBlank());
    }

    /** One step of the fold. @param number the number of the event */
    record Fold(NoticesState was, int number) implements NoticesEvent.Cases<NoticesState> {
        @Override
        public NoticesState welcomed(NoticesEvent.Welcomed event) {
            return new NoticesState(Optional.of(new Notice(number, event.text(), event.by(), event.at())), was.up);
        }

        @Override
        public NoticesState putUp(NoticesEvent.PutUp event) {
            return new NoticesState(
                    was.welcome, Copies.plus(was.up, new Notice(number, event.text(), event.by(), event.at())));
        }

        @Override
        public NoticesState takenDown(NoticesEvent.TakenDown event) {
            return new NoticesState(
                    was.welcome,
                    was.up.stream()
                            .filter(one -> one.number() != event.notice())
                            .toList());
        }
    }
}
