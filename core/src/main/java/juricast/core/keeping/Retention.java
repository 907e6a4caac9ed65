package juricast.core.keeping;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import juricast.core.board.BoardEvent;
import juricast.core.chat.ChatEvent;
import juricast.core.live.LessonEvent;
import juricast.core.material.MaterialEvent;
import juricast.core.questions.QuestionsEvent;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Count;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.slates.SlatesEvent;

/**
 * Everything that is kept for a time only (need N4): each kind of data, by which rule, and from when its days are counted. That
 * something happened is kept for ever; what it said is not.
 */
public enum Retention {
    /** What was written in a lesson, and files sent in it. */
    WORDS(Catalogue.CHAT_KEPT, true, event -> event instanceof ChatEvent.Written),
    /** Lines on the board. */
    BOARD(
            Catalogue.BOARD_KEPT,
            true,
            event -> event instanceof BoardEvent.Drawn
                    || event instanceof BoardEvent.Brought
                    || event instanceof BoardEvent.PagesAdded),
    /** What pupils answered, and drew on slates. */
    ANSWERS(
            Catalogue.ANSWERS_KEPT,
            true,
            event -> event instanceof QuestionsEvent.Answered || event instanceof SlatesEvent.Drawn),
    /** Captions of a lesson. */
    CAPTIONS(Catalogue.CAPTIONS_KEPT, true, event -> event instanceof MaterialEvent.Captioned),
    RECORDINGS(Catalogue.RECORDING_KEPT, true, event -> false),
    /** A lesson's register with corrections, signatures and logs from elsewhere, and with it all that its record says of anybody. */
    REGISTERS(Catalogue.REGISTER_KEPT, true, event -> true),
    /** Incidents, from when they were closed. */
    INCIDENTS(Catalogue.INCIDENTS_KEPT, false, event -> false),
    /** Messages that went out. */
    MESSAGES(Catalogue.MESSAGES_KEPT, false, event -> false),
    /** Sign-ins, and who looked at what. */
    LOOKS(Catalogue.LOOKS_KEPT, false, event -> false),
    /** Devices on which somebody has signed in. */
    DEVICES(Catalogue.DEVICES_KEPT, false, event -> false);

    private final Rule<Count> rule;
    private final boolean isOfLessons;
    private final Predicate<LessonEvent> says;

    Retention(Rule<Count> rule, boolean isOfLessons, Predicate<LessonEvent> says) {
        this.rule = rule;
        this.isOfLessons = isOfLessons;
        this.says = says;
    }

    /** By which it is kept, in days. */
    public Rule<Count> rule() {
        return rule;
    }

    /** Whether a lesson's own rules say how long; else the school's. */
    public boolean isOfLessons() {
        return isOfLessons;
    }

    /**
     * Until when it is kept.
     *
     * @param from when the lesson ended, or when it was written
     * @param book the rules asked for what they say as of {@code from}
     */
    public Instant until(Instant from, Rulebook book) {
        return from.plus(Duration.ofDays(book.value(rule, Rule.ANSWERS, from).number()));
    }

    /** The numbers of the events of a lesson whose words go with it, counted from 1. */
    public List<Integer> goes(List<LessonEvent> record) {
        return IntStream.range(0, record.size())
                .filter(i -> says.test(record.get(i)))
                .mapToObj(i -> i + 1)
                .toList();
    }
}
