package juricast.core.casebook;

import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import juricast.core.casebook.CaseEvent.Origin;
import juricast.core.chat.ChatEvent;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.conduct.ConductOrder;
import juricast.core.conduct.Worry;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorOrder;
import juricast.core.identity.ClassId;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.LessonEvent;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting.Force;
import juricast.core.supervision.SupervisionOrder;
import org.junit.jupiter.api.Test;

/** What the casebook takes notice of in a lesson, kept as the school keeps it: event by event. */
class FromLessonTest {
    private static final ClassId TIDAL = new ClassId("tidal-8");

    private final TreeMap<Integer, List<CaseEvent>> book = new TreeMap<>();
    private int read;

    private List<Incident> incidents() {
        return book.entrySet().stream()
                .map(one -> Incident.of(new IncidentId(one.getKey()), one.getValue()))
                .toList();
    }

    private Incident only() {
        assertThat(book).hasSize(1);
        return incidents().get(0);
    }

    /** Takes notice of what has happened since the last time. */
    private void notice(LiveLesson lesson) {
        notice(lesson, lesson.events());
    }

    private void notice(LiveLesson lesson, List<LessonEvent> record) {
        for (int number = read + 1; number <= record.size(); number++) {
            if (!FromLesson.isNoticed(record.get(number - 1))) {
                continue;
            }
            List<Incident> open = incidents().stream().filter(Incident::isOpen).toList();
            new FromLesson(lesson.plan(), TIDAL, record, lesson.rulebook(), open)
                    .of(number)
                    .ifPresent(draft -> book.computeIfAbsent(
                                    draft.to().map(IncidentId::number).orElse(book.size() + 1), n -> new ArrayList<>())
                            .addAll(draft.events()));
        }
        read = record.size();
    }

    private static ConductOrder.TakeStep step(PersonId person, String act, String step, PersonId by) {
        return new ConductOrder.TakeStep(
                List.of(person),
                act,
                step,
                ConductOrder.How.USUAL,
                "seen by all",
                Duration.ofMinutes(5),
                Integer.MAX_VALUE,
                by);
    }

    private static LiveLesson chatting() {
        return open().school("chat.class", "open", Force.USUAL).present(INES).present(JORY);
    }

    private static ChatOrder.Say says(PersonId person, String words) {
        return new ChatOrder.Say(visitOf(person), Readers.CLASS, words);
    }

    @Test
    void a_mild_step_is_no_incident_until_a_higher_one_follows_and_then_both_are_in_it() {
        LiveLesson lesson = chatting().order(step(INES, "noise", "word", ORLA));
        notice(lesson);
        assertThat(book).isEmpty();

        lesson.time("10:04").order(step(INES, "insult", "out", ORLA));
        assertThat(lesson.refused()).isEmpty();
        notice(lesson);

        assertThat(only().opened().origin()).isEqualTo(Origin.STEP);
        assertThat(only().where().ofClass()).contains(TIDAL);
        assertThat(only().in(CasePart.DID)).containsExactly(INES);
        assertThat(only().in(CasePart.ACTED)).containsExactly(ORLA);
        assertThat(only().steps()).extracting(one -> one.step().id()).containsExactly("word", "out");
    }

    @Test
    void more_against_the_same_pupil_goes_into_the_same_incident_and_another_pupil_has_their_own() {
        LiveLesson lesson = chatting()
                .order(step(INES, "insult", "out", ORLA))
                .time("10:03")
                .order(step(JORY, "threat", "out", ORLA))
                .time("10:06")
                .order(step(JORY, "threat", "referred", ORLA));
        notice(lesson);

        assertThat(incidents()).extracting(one -> one.steps().size()).containsExactly(1, 2);
        assertThat(incidents().get(1).in(CasePart.DID)).containsExactly(JORY);
    }

    @Test
    void a_step_in_error_leaves_the_incident_and_what_is_written_to_one_is_found_there() {
        LiveLesson lesson = chatting().order(step(INES, "insult", "out", ORLA));
        notice(lesson);
        int number = only().steps().get(0).number();

        lesson.order(new ConductOrder.Note(number, "the recording shows Jory", ORLA))
                .order(new ConductOrder.Withdraw(number, "it was Jory", ORLA));
        notice(lesson);

        assertThat(only().steps()).isEmpty();
        assertThat(words()).containsExactly("the recording shows Jory");
    }

    private List<String> words() {
        return book.values().stream()
                .flatMap(List::stream)
                .filter(CaseEvent.Noted.class::isInstance)
                .map(one -> ((CaseEvent.Noted) one).text())
                .toList();
    }

    @Test
    void a_moment_is_an_incident_with_the_words_it_was_marked_with_and_what_is_written_to_it_later() {
        LiveLesson lesson = chatting().order(new ConductOrder.MarkMoment("", ORLA));
        notice(lesson);
        int moment = lesson.events().size();
        lesson.time("10:08").order(new ConductOrder.Note(moment, "page 2 of the board", ORLA));
        lesson.order(new ConductOrder.MarkMoment("two of them laughed", ORLA));
        notice(lesson);

        assertThat(incidents())
                .extracting(one -> one.opened().title())
                .containsExactly("A moment to look at", "two of them laughed");
        assertThat(words()).containsExactly("page 2 of the board");
        assertThat(incidents()).allSatisfy(one -> assertThat(one.evidence()).hasSize(1));
    }

    @Test
    void a_worry_about_an_adult_is_kept_from_all_adults_of_the_lesson_and_one_about_a_pupil_from_nobody() {
        LiveLesson lesson = chatting().adult(TAM);
        lesson.order(new ConductOrder.RaiseWorry(visitOf(INES), Worry.About.AN_ADULT, "he shouts", false))
                .order(new ConductOrder.RaiseWorry(visitOf(INES), Worry.About.A_PUPIL, "", true));
        notice(lesson);

        Incident adult = incidents().get(0);
        assertThat(adult.opened().kept().from()).containsExactlyInAnyOrder(ORLA, TAM);
        assertThat(words()).containsExactly("he shouts");
        Incident pupil = incidents().get(1);
        assertThat(pupil.opened().kept().from()).isEmpty();
        assertThat(pupil.isForLeads()).isTrue();
        assertThat(pupil.in(CasePart.SAW)).containsExactly(INES);
    }

    @Test
    void everything_stopped_is_an_incident_that_says_why_and_long_reasons_are_cut_in_its_title_alone() {
        String why = "🐟".repeat(60) + " and all of them over the board of the others";
        LiveLesson lesson = chatting().order(new SupervisionOrder.StopEverything(why, ORLA));
        assertThat(lesson.refused()).isEmpty();
        notice(lesson);

        assertThat(only().opened().origin()).isEqualTo(Origin.STOP);
        assertThat(only().opened().title())
                .as("eighty signs, none of them cut in two")
                .isEqualTo("Everything was stopped: " + "🐟".repeat(60) + " and all of them ov…");
        String fish = "🐟".repeat(60);
        lesson.order(new ConductOrder.MarkMoment(fish, ORLA));
        notice(lesson);
        assertThat(incidents().get(1).opened().title()).isEqualTo(fish);
    }

    @Test
    void a_sweep_of_one_name_is_one_incident_for_an_hour() {
        LiveLesson lesson = chatting().knock("Captain Kelp", "tablet");
        var record = new ArrayList<>(lesson.events());
        for (String time : List.of("10:02", "10:20", "11:01", "11:03")) {
            record.add(new DoorEvent.SweepNoticed(new DeviceId("tablet"), "Captain Kelp", 3, at(time)));
        }
        notice(lesson, record);

        assertThat(incidents())
                .extracting(one -> one.opened().title())
                .containsExactly("“Captain Kelp” went from door to door", "“Captain Kelp” went from door to door");
        assertThat(incidents())
                .extracting(one -> one.evidence().size())
                .as("the first three within an hour of the first, the fourth is another")
                .containsExactly(3, 1);
    }

    @Test
    void a_sweep_that_never_came_to_this_door_is_no_incident_of_this_lesson_and_nothing_of_it_is_held() {
        LiveLesson lesson = chatting().knock("Captain Kelp", "another tablet");
        var record = new ArrayList<>(lesson.events());
        record.add(new DoorEvent.SweepNoticed(new DeviceId("tablet"), "Captain Kelp", 3, at("10:02")));
        notice(lesson, record);

        assertThat(book).isEmpty();
    }

    @Test
    void what_belongs_to_it_is_of_these_people_and_of_these_minutes_and_says_what_they_might_do() {
        LiveLesson lesson = chatting()
                .order(says(INES, "too early"))
                .time("10:05")
                .order(says(INES, "you are all losers"))
                .order(says(JORY, "stop it"))
                .time("10:07")
                .order(step(INES, "insult", "curb", ORLA))
                .time("10:09")
                .order(says(JORY, "too late"));
        Evidence hers = evidence(lesson, Set.of(INES));

        assertThat(said(hers)).containsExactly("you are all losers");
        assertThat(hers.count(Evidence.Kind.STEP)).isEqualTo(1);
        assertThat(hers.count(Evidence.Kind.FILE)).isZero();
        assertThat(hers.present()).contains(INES, JORY, ORLA).doesNotContain(KESTER);
        assertThat(hers.isRecorded()).isFalse();
        assertThat(right(hers, "chat.class")).contains("closed");

        Evidence all = evidence(lesson, Set.of());
        assertThat(said(all)).containsExactly("you are all losers", "stop it");
        assertThat(all.rights()).as("of nobody in particular").isEmpty();
        assertThat(all.first()).isLessThan(all.last());
    }

    @Test
    void minutes_in_which_nothing_happened_hold_nothing() {
        LiveLesson lesson = chatting();
        Evidence none =
                Evidence.of(lesson.plan(), lesson.events(), lesson.rulebook(), Set.of(INES), at("10:20"), at("10:30"));

        assertThat(none.items()).isEmpty();
        assertThat(none.first()).isZero();
        assertThat(none.present()).as("but who was there is known").contains(INES);
    }

    private static Evidence evidence(LiveLesson lesson, Set<PersonId> people) {
        return Evidence.of(lesson.plan(), lesson.events(), lesson.rulebook(), people, at("10:04"), at("10:08"));
    }

    private static List<String> said(Evidence evidence) {
        return evidence.items().stream()
                .filter(one -> one.kind() == Evidence.Kind.WORDS)
                .map(one -> ((ChatEvent.Said) one.event()).text())
                .toList();
    }

    private static Optional<String> right(Evidence evidence, String rule) {
        return evidence.rights().stream()
                .filter(one -> one.rule().key().equals(rule))
                .map(Evidence.Right::value)
                .findFirst();
    }

    @Test
    void nothing_is_noticed_in_a_lesson_in_which_nothing_happened() {
        LiveLesson lesson =
                chatting().order(says(INES, "high water at noon")).order(new DoorOrder.Leave(visitOf(INES)));
        notice(lesson);

        assertThat(book).isEmpty();
    }

    @Test
    void evidence_is_held_as_long_as_an_incident_is_open_and_as_the_charter_says_after_that() {
        assertThat(Holding.until(Optional.empty(), Rulebook.of(List.of()))).isEmpty();
        assertThat(Stream.of(Holding.until(Optional.of(at("12:00")), Rulebook.of(List.of()))))
                .containsExactly(Optional.of(at("12:00").plus(Duration.ofDays(90))));
    }
}
