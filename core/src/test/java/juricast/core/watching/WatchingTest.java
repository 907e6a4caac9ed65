package juricast.core.watching;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.questions.QuestionsPart.QUESTIONS;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardEvent;
import juricast.core.board.BoardOrder;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.consent.Consent;
import juricast.core.drawing.Drawing;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.material.MaterialOrder;
import juricast.core.questions.Answer;
import juricast.core.questions.Question;
import juricast.core.questions.QuestionsOrder;
import juricast.core.recording.PauseReason;
import juricast.core.recording.RecordingOrder;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Setting.Force;
import juricast.core.time.Span;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

class WatchingTest {
    /** Recorded from 10:00:10 to 10:20 with a pause from 10:05 to 10:10; Ines speaks, writes and draws. */
    private static LiveLesson recorded() {
        return open().school("recording.mode", "required", Force.USUAL)
                .school("voice.speak", "open", Force.USUAL)
                .school("share.draw", "open", Force.USUAL)
                .consent(INES, Consent.Said.GIVEN)
                .present(INES)
                .time("10:00:10")
                .order(new LessonOrder.Tick())
                .order(RecordingOrder.Answer.BEGUN)
                .time("10:01:10")
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.MICROPHONE))
                .order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "high water at noon"))
                .order(new ChatOrder.Say(visitOf(INES), Readers.ADULTS, "may I ask something"))
                .order(new BoardOrder.Draw(visitOf(INES), 0, Drawing.pen(List.of(0, 0, 10, 10))))
                .time("10:02:10")
                .order(new MaterialOrder.Caption(visitOf(ORLA), "Ines Carrow reads the table"))
                .time("10:05")
                .order(new RecordingOrder.Pause(PauseReason.CONFIDES, Optional.empty(), ORLA))
                .order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "only between us"))
                .time("10:10")
                .order(new RecordingOrder.GoOn(ORLA))
                .order(new RightsOrder.TurnOff(INES, Appliance.MICROPHONE, INES))
                .time("10:20")
                .order(new EndingOrder.Dismiss(ORLA));
    }

    private static Playback shown(LiveLesson lesson) {
        return PlaybackMaker.of(lesson.plan(), lesson.events(), lesson.rulebook(), lesson.now());
    }

    private static BoardOrder.Draw draws(LiveLesson lesson, PersonId person, int at) {
        int page = lesson.state().of(BOARD).of(PlaceId.TOGETHER).shown();
        return new BoardOrder.Draw(visitOf(person), page, Drawing.pen(List.of(at, 0, at, 10)));
    }

    /** Where each mark of a page is seen from and until, in seconds. */
    private static List<String> seen(Playback.Page page) {
        return page.strokes().stream()
                .map(one -> one.from().toSeconds() + " to "
                        + one.until()
                                .map(until -> String.valueOf(until.toSeconds()))
                                .orElse("the end"))
                .toList();
    }

    @Test
    void pages_of_the_board_are_seen_while_they_were_shown_and_what_was_taken_off_is_gone() {
        var lesson = open().school("recording.mode", "required", Force.USUAL)
                .school("share.draw", "open", Force.USUAL)
                .consent(INES, Consent.Said.GIVEN)
                .present(INES)
                .time("10:00:10")
                .order(new LessonOrder.Tick())
                .order(RecordingOrder.Answer.BEGUN);
        lesson.time("10:01:10").order(draws(lesson, INES, 1)).order(draws(lesson, ORLA, 2));
        lesson.time("10:02:10").order(new BoardOrder.Undo(visitOf(INES), 0));
        lesson.time("10:03:10").order(new BoardOrder.AddPages(List.of(Optional.empty()), Optional.empty(), ORLA));
        lesson.time("10:04:10").order(draws(lesson, INES, 3));
        lesson.time("10:05:10").order(new BoardOrder.Turn(0, Optional.empty(), ORLA));
        lesson.time("10:06:10").order(new RecordingOrder.Pause(PauseReason.CONFIDES, Optional.empty(), ORLA));
        lesson.order(draws(lesson, INES, 4));
        lesson.time("10:08:10").order(new RecordingOrder.GoOn(ORLA));
        lesson.time("10:20").order(new EndingOrder.Dismiss(ORLA));

        Playback shown = PlaybackMaker.of(lesson.plan(), lesson.events(), lesson.rulebook(), at("12:00"));
        assertThat(shown.pages()).hasSize(2);
        assertThat(seen(shown.pages().get(0)))
                .as(
                        "undone after a minute; seen until the page was turned, and again; what was drawn in the pause never")
                .containsExactly("60 to 120", "60 to 180", "300 to the end");
        assertThat(seen(shown.pages().get(1))).containsExactly("240 to 300");
    }

    @Test
    void a_board_that_was_brought_in_is_not_in_it_for_nobody_of_it_was_asked() {
        var lesson = open().school("recording.mode", "required", Force.USUAL)
                .consent(INES, Consent.Said.GIVEN)
                .present(INES)
                .time("10:00:10")
                .order(new LessonOrder.Tick())
                .order(RecordingOrder.Answer.BEGUN)
                .time("10:01")
                .order(new BoardOrder.Bring(
                        new LessonId("before"),
                        List.of(new BoardEvent.BroughtPage(
                                Optional.empty(),
                                List.of(new BoardEvent.BroughtMark(INES, Drawing.pen(List.of(1, 1, 2, 2)))))),
                        Optional.empty(),
                        ORLA))
                .time("10:20")
                .order(new EndingOrder.Dismiss(ORLA));
        assertThat(PlaybackMaker.of(lesson.plan(), lesson.events(), lesson.rulebook(), at("12:00"))
                        .pages())
                .isEmpty();
    }

    @Test
    void how_a_question_was_answered_is_in_it_as_the_class_was_shown_it_and_nobodys_name() {
        var lesson = open().ofMore(4).school("recording.mode", "required", Force.USUAL);
        List<PersonId> five = List.of(INES, pupil(1), pupil(2), pupil(3), pupil(4));
        five.forEach(one -> lesson.consent(one, Consent.Said.GIVEN).present(one));
        lesson.consent(JORY, Consent.Said.REFUSED)
                .time("10:00:10")
                .order(new LessonOrder.Tick())
                .order(RecordingOrder.Answer.BEGUN)
                .time("10:02")
                .order(new QuestionsOrder.Ask(
                        Question.of(Question.Kind.TEXT, "Was Jory Pell right?", List.of()),
                        Optional.empty(),
                        false,
                        Optional.empty(),
                        Optional.empty(),
                        ORLA));
        int number = lesson.state().of(QUESTIONS).now().orElseThrow().number();
        five.forEach(one -> lesson.order(new QuestionsOrder.Give(number, visitOf(one), Answer.text("yes, Jory"))));
        lesson.time("10:03:10")
                .order(new QuestionsOrder.Show(number, false, ORLA))
                .time("10:20")
                .order(new EndingOrder.Dismiss(ORLA));
        Playback shown = PlaybackMaker.of(lesson.plan(), lesson.events(), lesson.rulebook(), at("12:00"));
        assertThat(shown.polls()).hasSize(1);
        assertThat(shown.polls().get(0).at()).isEqualTo(minutes(3));
        assertThat(shown.polls().get(0).results().answers()).isEqualTo(5);
        assertThat(shown.polls().toString()).doesNotContain("Jory", "Ines", "Pell");
    }

    @Test
    void segments_are_put_end_to_end_and_what_was_said_in_a_pause_is_not_there() {
        Playback shown = shown(recorded());

        assertThat(shown.line().length()).isEqualTo(minutes(14).plusSeconds(50));
        assertThat(shown.words())
                .extracting(text -> text.at().toSeconds() + " " + text.name() + ": " + text.text())
                .containsExactly("60 Ines Carrow: high water at noon");
        assertThat(shown.voices()).hasSize(1);
        assertThat(shown.voices().get(0).heard())
                .as("from a minute in until the pause")
                .containsExactly(new Piece(Duration.ofSeconds(60), Duration.ofSeconds(290)));
        assertThat(shown.captions()).extracting(Playback.Text::text).containsExactly("Ines Carrow reads the table");
        assertThat(shown.pages()).hasSize(1);
        assertThat(shown.leftOut()).as("Jory and Kester").isEqualTo(2);
    }

    @Test
    void some_minutes_of_it_are_heard_and_what_lies_between_them_is_not() {
        Playback whole = PlaybackMaker.of(
                recorded().plan(), recorded().events(), recorded().rulebook(), at("10:30"));
        Playback cut = whole.heardIn(List.of(new Span(at("10:02"), at("10:03")), new Span(at("10:04"), at("10:11"))));

        assertThat(cut.line().segments())
                .containsExactly(
                        new Span(at("10:02"), at("10:03")),
                        new Span(at("10:04"), at("10:05")),
                        new Span(at("10:10"), at("10:11")));
        assertThat(cut.captions())
                .extracting(one -> one.at().toSeconds() + " " + one.name())
                .containsExactly("10 Orla Venn");
        assertThat(cut.words()).isEmpty();
        assertThat(whole.heardIn(List.of(new Span(at("10:06"), at("10:09"))))
                        .line()
                        .segments())
                .isEmpty();
        Duration heard = whole.heardIn(List.of(new Span(at("10:00"), at("10:30")))).voices().stream()
                .flatMap(one -> one.heard().stream())
                .map(Piece::length)
                .reduce(Duration.ZERO, Duration::plus);
        assertThat(heard)
                .isEqualTo(whole.voices().stream()
                        .flatMap(one -> one.heard().stream())
                        .map(Piece::length)
                        .reduce(Duration.ZERO, Duration::plus));
        Duration some = cut.voices().stream()
                .flatMap(one -> one.heard().stream())
                .map(Piece::length)
                .reduce(Duration.ZERO, Duration::plus);
        assertThat(some).isPositive().isLessThan(heard);
    }

    @Test
    void who_withdraws_later_is_left_out_from_then_on_with_voice_words_marks_and_name() {
        LiveLesson lesson = recorded();
        assertThat(shown(lesson).toString()).contains("Ines");

        lesson.consent(new Consent(
                INES,
                Consent.Said.WITHDRAWN,
                Consent.Giver.PARENT,
                "letter",
                at("10:40"),
                juricast.core.rules.Setting.FOR_EVER,
                at("10:40")));

        assertThat(shown(lesson.time("10:39")).toString()).contains("Ines");
        Playback since = shown(lesson.time("10:41"));
        assertThat(since.toString()).doesNotContain("Ines", "Carrow", "high water");
        assertThat(since.voices()).isEmpty();
        assertThat(since.pages()).isEmpty();
        assertThat(since.captions()).extracting(Playback.Text::text).containsExactly("[name left out] reads the table");
    }

    @Test
    void it_is_kept_alone_and_with_first_names_where_the_rules_want_it() {
        LiveLesson lesson = recorded()
                .school("recording.without-chat", "yes", Force.USUAL)
                .school("names.shown", "first-name", Force.USUAL);

        assertThat(shown(lesson).words()).isEmpty();
        assertThat(shown(lesson).pages()).isEmpty();
        assertThat(shown(lesson).voices()).extracting(Playback.Voice::name).containsExactly("Ines");
    }

    @Test
    void a_page_of_the_board_ends_where_all_was_wiped() {
        LiveLesson lesson = open().school("recording.mode", "required", Force.USUAL)
                .school("share.draw", "open", Force.USUAL)
                .consent(INES, Consent.Said.GIVEN)
                .present(INES)
                .time("10:00:10")
                .order(new LessonOrder.Tick())
                .order(RecordingOrder.Answer.BEGUN)
                .order(new BoardOrder.Draw(visitOf(INES), 0, Drawing.pen(List.of(0, 0, 10, 10))))
                .time("10:03")
                .order(new BoardOrder.Wipe(Optional.empty(), Optional.empty(), ORLA))
                .order(new BoardOrder.Draw(visitOf(INES), 0, Drawing.pen(List.of(5, 5, 9, 9))))
                .time("10:04");

        List<Playback.Page> pages = shown(lesson).pages();
        assertThat(pages).hasSize(2);
        assertThat(pages.get(0).strokes().get(0).until()).contains(Duration.ofSeconds(170));
        assertThat(pages.get(1).strokes().get(0).until()).isEmpty();
    }

    @Test
    void what_was_never_recorded_may_be_taken_off_while_something_is() {
        LiveLesson lesson = open().school("recording.mode", "required", Force.USUAL)
                .school("share.draw", "open", Force.USUAL)
                .present(INES)
                .time("10:00:10")
                .order(new LessonOrder.Tick())
                .order(RecordingOrder.Answer.BEGUN)
                .order(new BoardOrder.Draw(visitOf(INES), 0, Drawing.pen(List.of(0, 0, 10, 10))))
                .time("10:03")
                .order(new BoardOrder.Undo(visitOf(INES), 0))
                .time("10:04");

        assertThat(shown(lesson).pages()).isEmpty();
    }

    @Test
    void names_are_left_out_however_they_are_written() {
        var unnamed = new Unnamed(List.of("Jory Pell", "Åsa Ø"));

        assertThat(unnamed.of("JORY  PELL and jory's pen, Pellworm and åsa"))
                .isEqualTo("[name left out] and [name left out]'s pen, Pellworm and [name left out]");
        assertThat(new Unnamed(List.of()).of("Jory")).isEqualTo("Jory");
    }

    @Test
    void who_may_watch_is_the_rule_for_the_role_and_who_asked_may_until_a_day() {
        PlannedRules rules = open().rulebook();
        var pupil = new Looking(Optional.of(Role.PUPIL), false, Optional.empty(), Optional.empty());
        var let = new Looking(Optional.of(Role.PUPIL), false, Optional.of(at("11:00")), Optional.of(at("11:00")));

        assertThat(pupil.watch(rules, at("10:55"))).isEqualTo(Looking.Answer.ASK);
        assertThat(let.watch(rules, at("10:55"))).isEqualTo(Looking.Answer.YES);
        assertThat(let.watch(rules, at("11:00"))).isEqualTo(Looking.Answer.ASK);
        assertThat(let.download(rules, at("10:55"))).as("closed is closed").isEqualTo(Looking.Answer.NO);
        assertThat(new Looking(Optional.empty(), false, Optional.empty(), Optional.empty()).watch(rules, at("10:55")))
                .isEqualTo(Looking.Answer.NO);
        assertThat(new Looking(Optional.empty(), true, Optional.empty(), Optional.empty()).download(rules, at("10:55")))
                .isEqualTo(Looking.Answer.YES);
    }

    @Provide
    Arbitrary<List<Piece>> pieces() {
        return Arbitraries.integers()
                .between(0, 900)
                .list()
                .ofSize(2)
                .filter(two -> !two.get(0).equals(two.get(1)))
                .map(two -> new Piece(
                        Duration.ofSeconds(Math.min(two.get(0), two.get(1))),
                        Duration.ofSeconds(Math.max(two.get(0), two.get(1)))))
                .list()
                .ofMaxSize(12);
    }

    /** Against counting each second by itself: watching twice counts once, skipping does not count, and never is it more than all. */
    @Property(tries = 300)
    void what_was_watched_is_the_union_of_what_was_played(@ForAll("pieces") List<Piece> told) {
        Duration length = Duration.ofSeconds(600);
        Watched watched = Watched.NOTHING;
        for (Piece one : told) {
            watched = watched.and(List.of(one), length);
        }

        long seconds = java.util.stream.LongStream.range(0, 600)
                .filter(second -> told.stream().anyMatch(piece -> piece.has(Duration.ofSeconds(second))))
                .count();
        assertThat(watched.length().toSeconds()).isEqualTo(seconds);
        assertThat(watched.share(length)).isBetween(0.0, 1.0).isEqualTo(seconds / 600.0);
        assertThat(watched.and(told, length)).as("again").isEqualTo(watched);
    }

    @Test
    void a_report_of_more_than_can_have_been_played_is_none() {
        var ten = List.of(new Piece(Duration.ZERO, minutes(10)));

        assertThat(Watched.isPossible(ten, minutes(5))).as("at double speed").isTrue();
        assertThat(Watched.isPossible(ten, minutes(4))).isFalse();
        assertThat(Watched.NOTHING.share(Duration.ZERO)).isZero();
    }

    @Test
    void places_between_segments_are_those_at_which_it_goes_on() {
        var line = new Timeline(List.of(new Span(at("10:00"), at("10:05")), new Span(at("10:10"), at("10:20"))));

        assertThat(line.at(at("10:05"))).isEmpty();
        assertThat(line.at(at("10:10"))).contains(minutes(5));
        assertThat(line.from(at("10:07"))).isEqualTo(minutes(5));
        assertThat(line.from(at("11:00"))).isEqualTo(minutes(15));
        assertThat(line.pieces(new Span(at("10:04"), at("10:11")))).containsExactly(new Piece(minutes(4), minutes(6)));
    }
}
