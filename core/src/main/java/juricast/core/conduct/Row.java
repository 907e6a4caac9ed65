package juricast.core.conduct;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import juricast.core.drawing.Mark;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.rights.Appliance;

/** Pupils who did one thing, so that one action can be about all of them. */
public enum Row {
    /** Who wrote within the last minute. */
    WROTE,
    /** Whose microphone is on. */
    MICROPHONE_ON,
    /** Whose marks are on the board of the class. */
    DREW;

    private static final Duration LATELY = Duration.ofMinutes(1);

    /** Those of the row who are in, adults aside. */
    public List<PersonId> of(LessonPlan plan, LessonState lesson, Instant now) {
        Stream<PersonId> who =
                switch (this) {
                    case WROTE -> Stream.concat(
                            lesson.of(CHAT).words().stream()
                                    .filter(one -> one.at().isAfter(now.minus(LATELY)))
                                    .map(one -> one.from()),
                            lesson.of(CHAT).held().stream()
                                    .filter(one -> one.at().isAfter(now.minus(LATELY)))
                                    .map(one -> one.from()));
                    case MICROPHONE_ON -> lesson.of(RIGHTS).withSomethingOn().stream()
                            .filter(one -> lesson.of(RIGHTS).on(one).contains(Appliance.MICROPHONE));
                    case DREW -> lesson.of(BOARD).marks().stream().map(Mark::author);
                };
        return who.distinct()
                .filter(one -> lesson.there().isPresent(one)
                        && plan.member(one)
                                .filter(member -> !member.role().isAdultInCharge())
                                .isPresent())
                .toList();
    }
}
