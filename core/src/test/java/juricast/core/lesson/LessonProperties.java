package juricast.core.lesson;

import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.questions.QuestionsPart.QUESTIONS;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;
import static juricast.core.slates.SlatesPart.SLATES;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.afterwards.Afterwards;
import juricast.core.board.BoardEvent;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.chat.Words;
import juricast.core.consent.Consent;
import juricast.core.grouping.Wish;
import juricast.core.grouping.Wishes;
import juricast.core.groups.GroupsState;
import juricast.core.groups.WhoWasWhere;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonState;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Visit;
import juricast.core.presence.Attendance;
import juricast.core.presence.Presence;
import juricast.core.questions.AskedQuestion;
import juricast.core.questions.Question;
import juricast.core.questions.QuestionsEvent;
import juricast.core.questions.Results;
import juricast.core.recording.Coverage;
import juricast.core.recording.RecordingOrder;
import juricast.core.recording.RecordingState;
import juricast.core.rights.Appliance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.time.Span;
import juricast.core.watching.Playback;
import juricast.core.watching.PlaybackMaker;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** Whatever is ordered in whatever order, by whomever and of whichever part, some things never happen. */
class LessonProperties {
    /** One order and how long after the one before. */
    record Step(int kind, int whom, int who, int seconds) {}

    @Provide
    Arbitrary<List<Step>> steps() {
        return Combinators.combine(
                        Arbitraries.integers().between(0, AnyOrder.KINDS - 1),
                        Arbitraries.integers().between(0, 2),
                        Arbitraries.integers().between(0, 3),
                        Arbitraries.integers().between(0, 40))
                .as(Step::new)
                .list()
                .ofMinSize(10)
                .ofMaxSize(70);
    }

    private static LiveLesson lesson() {
        return open().observedBy(MAREN)
                .school("entry.re-entry", "never", Force.BINDING)
                .school("share.screen", "closed", Force.BINDING)
                .school("supervision.alone-minutes", "1", Force.USUAL)
                .school("groups.smallest", "2", Force.USUAL)
                .school("groups.quiet-alone", "yes", Force.USUAL)
                .school("groups.alone-minutes", "1", Force.USUAL)
                .consent(INES, Consent.Said.GIVEN)
                .consent(JORY, Consent.Said.REFUSED)
                .wishing(new Wishes(
                        List.of(new Wish(Wish.Kind.APART, Set.of(INES, JORY), true, "", MAREN)), Map.of(), Set.of()));
    }

    @Property(tries = 400)
    void what_must_never_happen_never_does(@ForAll("steps") List<Step> steps) {
        LiveLesson lesson = lesson();
        int second = 0;
        for (Step step : steps) {
            second += step.seconds;
            lesson.time("10:%02d:%02d".formatted(second / 60 % 60, second % 60));
            lesson.order(AnyOrder.of(step.kind, step.whom, step.who));
            check(lesson);
        }
    }

    /** Whatever happened, the record itself tells that nobody answered what they could not, or drew without a right. */
    @Property(tries = 300)
    void nobody_answers_twice_or_late_and_strokes_of_a_taken_right_never_appear(@ForAll("steps") List<Step> steps) {
        LiveLesson lesson = lesson().school("share.draw", "open", Force.USUAL);
        for (PersonId pupil : List.of(INES, JORY, KESTER)) {
            lesson.present(pupil);
        }
        int second = 0;
        for (Step step : steps) {
            second += step.seconds;
            lesson.time("10:%02d:%02d".formatted(second / 60 % 60, second % 60));
            LessonState before = lesson.state();
            int events = lesson.events().size();
            lesson.order(AnyOrder.of(step.kind, step.whom, step.who));
            for (LessonEvent event :
                    lesson.events().subList(events, lesson.events().size())) {
                if (event instanceof BoardEvent.Drawn drawn) {
                    assertThat(lesson.rulebookNow()
                                    .of(drawn.person())
                                    .value(Catalogue.DRAW, lesson.plan().roleOf(drawn.person()), lesson.now()))
                            .as("drawn with the right to" + lesson)
                            .isEqualTo(Permission.OPEN);
                }
                if (event instanceof QuestionsEvent.Answered answered) {
                    AskedQuestion asked =
                            before.of(QUESTIONS).question(answered.to()).orElseThrow();
                    assertThat(asked.isOpenAt(lesson.now()))
                            .as("still open" + lesson)
                            .isTrue();
                    assertThat(asked.asked().changeable() || !asked.answers().containsKey(answered.person()))
                            .as("answered once" + lesson)
                            .isTrue();
                }
            }
            AskedQuestion last = lesson.state().of(QUESTIONS).now().orElse(null);
            if (last != null && last.question().kind() == Question.Kind.SINGLE) {
                assertThat(last.results().lines().stream()
                                .mapToInt(Results.Line::count)
                                .sum())
                        .isEqualTo(last.answers().size());
            }
        }
    }

    private static void check(LiveLesson lesson) {
        LessonState state = lesson.state();
        for (PersonId pupil : List.of(INES, JORY, KESTER)) {
            boolean isThere = state.there().isPresent(pupil);
            assertThat(state.of(DOOR).removal(pupil).isPresent() && isThere)
                    .as("nobody removed is present" + lesson)
                    .isFalse();
            assertThat(state.of(RIGHTS).on(pupil))
                    .as("no pass, stance or live order gives what a binding rule closes" + lesson)
                    .doesNotContain(Appliance.SCREEN, Appliance.WHOLE_SCREEN);
            state.of(SLATES).shown().ifPresent(shown -> assertThat(shown.marks().keySet())
                    .as("only slates of people are shown" + lesson)
                    .doesNotContain(ORLA, TAM));
            if (!isThere) {
                assertThat(state.of(RIGHTS).on(pupil))
                        .as("nothing is on" + lesson)
                        .isEmpty();
                assertThat(state.of(SIGNALS).hands())
                        .as("no hand is up" + lesson)
                        .doesNotContainKey(pupil);
                assertThat(state.of(SIGNALS).sign(pupil))
                        .as("no signal is shown" + lesson)
                        .isEmpty();
            }
        }
        assertThat(state.of(RIGHTS).withSomethingOn().stream()
                        .filter(person -> state.of(RIGHTS).on(person).stream().anyMatch(Appliance::isShowing))
                        .map(state.where()::placeOf))
                .as("in each place one person at a time shows" + lesson)
                .doesNotHaveDuplicates();
        checkPlaces(lesson);
        checkRecording(lesson);
        if (state.there().isOver()) {
            assertThat(state.of(DOOR).present()).as("nobody is left" + lesson).isEmpty();
            assertThat(state.of(RIGHTS).withSomethingOn()).isEmpty();
            assertThat(state.of(SUPERVISION).imposed()).isEmpty();
        }
        boolean isAlone = state.there().aloneSince().isPresent();
        assertThat(isAlone && state.there().anAdultIsIn())
                .as("nobody is alone with an adult in" + lesson)
                .isFalse();
        if (state.of(SUPERVISION).stopped().isPresent()) {
            assertThat(lesson.rulebookNow()
                            .of(INES)
                            .value(Catalogue.SPEAK, juricast.core.identity.Role.PUPIL, lesson.now()))
                    .as("who is stopped does not speak" + lesson)
                    .isEqualTo(Permission.CLOSED);
        }
        assertThat(state.of(DOOR).visits().stream().filter(Visit::goesOn).map(visit -> visit.arrival()
                        .device()))
                .as("one device is one visit" + lesson)
                .doesNotHaveDuplicates();
        assertThat(state.of(CHAT).held().stream().map(one -> one.number()))
                .as("what waits was written" + lesson)
                .allMatch(number -> number <= state.number());
    }

    /** Nobody without consent is heard or seen while something is recorded, whoever ordered what. */
    private static void checkRecording(LiveLesson lesson) {
        LessonState state = lesson.state();
        RecordingState recording = state.of(RECORDING);
        assertThat(state.rules(lesson.rulebook()).situation().is(Fact.RECORDING))
                .as("the fact is the state" + lesson)
                .isEqualTo(recording.isRecording());
        if (recording.isRecording()) {
            assertThat(List.of(JORY, KESTER))
                    .as("closed while recording" + lesson)
                    .noneMatch(pupil -> state.of(RIGHTS).on(pupil).contains(Appliance.MICROPHONE)
                            || state.of(RIGHTS).on(pupil).contains(Appliance.CAMERA));
            assertThat(state.where().isApart())
                    .as("groups are not recorded" + lesson)
                    .isFalse();
        }
    }

    /**
     * Whatever happened, afterwards a pupil reads no word that the seat had not shown. The clock is asked before each step, as it is
     * in the application: a word in the very moment in which a lesson ends by itself was written, and never reached a seat.
     */
    @Property(tries = 150)
    void afterwards_a_pupil_reads_nothing_that_the_seat_did_not_show(@ForAll("steps") List<Step> steps) {
        LiveLesson lesson = lesson().school("chat.save", "open", Force.USUAL).present(INES);
        var shown = new HashSet<Integer>();
        int second = 0;
        for (Step step : steps) {
            second += step.seconds;
            lesson.time("10:%02d:%02d".formatted(second / 60 % 60, second % 60));
            lesson.order(new LessonOrder.Tick())
                    .order(AnyOrder.of(step.kind, step.whom, step.who))
                    .order(new ChatOrder.Say(visitOf(ORLA), Readers.CLASS, "to the class"));
            lesson.seat(INES.value()).words().forEach(words -> shown.add(words.number()));
        }
        List<Words> kept = Afterwards.ofPupil(lesson.events(), lesson.plan(), lesson.rulebook(), INES, lesson.now())
                .words()
                .orElseThrow();
        assertThat(shown)
                .as("shown at the seat" + lesson)
                .containsAll(kept.stream().map(Words::number).toList());
    }

    /**
     * What was recorded and what is missing come to what had to be; and in what is watched nobody without consent is heard, read or
     * named, whatever was said while something was recorded.
     */
    @Property(tries = 200)
    void recorded_and_missing_come_to_what_had_to_be_and_nobody_left_out_is_in_it(
            @ForAll("steps") List<Step> steps, @ForAll boolean required) {
        LiveLesson lesson = lesson().present(INES).present(JORY).present(KESTER);
        if (required) {
            lesson.school("recording.mode", "required", Force.USUAL);
        }
        int second = 0;
        for (Step step : steps) {
            second += step.seconds;
            lesson.time("10:%02d:%02d".formatted(second / 60 % 60, second % 60));
            lesson.order(RecordingOrder.Answer.BEGUN);
            lesson.order(AnyOrder.of(step.kind, step.whom, step.who));
            lesson.order(new ChatOrder.Say(visitOf(JORY), Readers.CLASS, "jory pell writes"))
                    .order(new ChatOrder.Say(visitOf(ORLA), Readers.CLASS, "Well done, KESTER and Jory!"));
            checkRecording(lesson);
        }
        Coverage coverage = Coverage.of(lesson.events(), lesson.now());
        assertThat(coverage.gaps().stream().map(gap -> gap.time().length()).reduce(coverage.covered(), Duration::plus))
                .as("covered and gaps" + lesson)
                .isEqualTo(coverage.required());
        assertThat(coverage.recorded()).isEqualTo(lesson.state().of(RECORDING).recorded(lesson.now()));

        Playback shown = PlaybackMaker.of(lesson.plan(), lesson.events(), lesson.rulebook(), lesson.now());
        assertThat(shown.line().length()).isEqualTo(coverage.recorded());
        assertThat(shown.toString().toLowerCase(Locale.ROOT))
                .as("left out" + lesson)
                .doesNotContain("jory", "pell", "kester", "tabb");
        assertThat(shown.voices().stream().flatMap(voice -> voice.heard().stream()))
                .allMatch(piece -> piece.until().compareTo(shown.line().length()) <= 0);
    }

    /** Everyone is in exactly one place, and how it stands in the places is what those who are there make of it. */
    private static void checkPlaces(LiveLesson lesson) {
        LessonState state = lesson.state();
        GroupsState groups = state.of(GROUPS);
        assertThat(groups.isApart() && !state.there().isOpen())
                .as("no groups where no lesson goes on" + lesson)
                .isFalse();
        for (PersonId pupil : List.of(INES, JORY, KESTER)) {
            PlaceId place = state.where().placeOf(pupil);
            assertThat(place.equals(PlaceId.TOGETHER) || groups.group(place).isPresent() && groups.isApart())
                    .as("in a place that there is" + lesson)
                    .isTrue();
        }
        if (groups.isApart()) {
            assertThat(groups.standing().values().stream()
                            .mapToInt(standing -> standing.pupils())
                            .sum())
                    .as("nobody is lost and nobody is twice" + lesson)
                    .isEqualTo((int) List.of(INES, JORY, KESTER).stream()
                            .filter(state.there()::isPresent)
                            .count());
            assertThat(groups.groups().stream()
                            .filter(group -> group.people().contains(INES)
                                    && group.people().contains(JORY)))
                    .as("whom the lead keeps apart is not drawn up together while out" + lesson)
                    .isEmpty();
            assertThat(state.where().placeOf(INES).equals(state.where().placeOf(JORY))
                            && !state.where().placeOf(INES).equals(PlaceId.TOGETHER))
                    .as("nor in one group" + lesson)
                    .isFalse();
        }
    }

    /** Minutes in places are the minutes of presence, whoever went where in between. */
    @Property(tries = 200)
    void stays_in_places_add_up_to_presence(@ForAll("steps") List<Step> steps) {
        LiveLesson lesson = lesson();
        int second = 0;
        for (Step step : steps) {
            second += step.seconds;
            lesson.time("10:%02d:%02d".formatted(second / 60 % 60, second % 60));
            lesson.order(AnyOrder.of(step.kind, step.whom, step.who));
        }
        var places = WhoWasWhere.of(lesson.events(), lesson.now()).stays();
        var presence = Presence.of(lesson.events(), lesson.now());
        for (PersonId pupil : List.of(INES, JORY, KESTER)) {
            List<Span> theirs = places.stream()
                    .filter(stay -> stay.person().equals(pupil))
                    .map(stay -> stay.time())
                    .toList();
            assertThat(Span.united(theirs, Duration.ZERO))
                    .as("stays of " + pupil + lesson)
                    .isEqualTo(
                            presence.getOrDefault(pupil, Attendance.none(pupil)).stays());
            assertThat(theirs.stream().map(Span::length).reduce(Duration.ZERO, Duration::plus))
                    .isEqualTo(Span.united(theirs, Duration.ZERO).stream()
                            .map(Span::length)
                            .reduce(Duration.ZERO, Duration::plus));
        }
    }

    /** What follows by itself follows at once: the clock finds nothing left to do in the same moment. */
    @Property(tries = 200)
    void after_an_order_nothing_more_follows_in_the_same_moment(@ForAll("steps") List<Step> steps) {
        LiveLesson lesson = lesson();
        int second = 0;
        for (Step step : steps) {
            second += step.seconds;
            lesson.time("10:%02d:%02d".formatted(second / 60 % 60, second % 60));
            lesson.order(AnyOrder.of(step.kind, step.whom, step.who)).order(new LessonOrder.Tick());
            int before = lesson.events().size();

            lesson.order(new LessonOrder.Tick());

            assertThat(lesson.events())
                    .as("the second tick in a moment" + lesson)
                    .hasSize(before);
        }
    }

    /** The rules are not made anew for each event; what is taken on from the state before must be what the parts say now. */
    @Property(tries = 200)
    void live_rules_are_what_all_parts_impose_and_know_now(@ForAll("steps") List<Step> steps) {
        LiveLesson lesson = lesson();
        PlannedRules planned = lesson.rulebook();
        LessonState state = lesson.state();
        int second = 0;
        for (Step step : steps) {
            second += step.seconds;
            lesson.time("10:%02d:%02d".formatted(second / 60 % 60, second % 60));
            state.rules(planned);
            int known = lesson.events().size();
            lesson.order(AnyOrder.of(step.kind, step.whom, step.who));
            state = state.after(lesson.events().subList(known, lesson.events().size()));

            Rulebook fresh = planned.with(imposed(state), state.rules(planned).situation());
            assertThat(state.rules(planned).all().settings())
                    .as("as the parts say" + lesson)
                    .isEqualTo(fresh.settings());
            assertThat(state.rules(planned).situation().present())
                    .isEqualTo((int) state.of(DOOR).present().keySet().stream()
                            .filter(List.of(INES, JORY, KESTER)::contains)
                            .count());
        }
    }

    /** The same in each place: a book that is taken on, or shared, says what one made anew says. */
    @Property(tries = 150)
    void rules_of_each_place_are_what_is_so_and_imposed_there(@ForAll("steps") List<Step> steps) {
        LiveLesson lesson = lesson();
        PlannedRules planned = lesson.rulebook();
        int second = 0;
        for (Step step : steps) {
            second += step.seconds;
            lesson.time("10:%02d:%02d".formatted(second / 60 % 60, second % 60));
            lesson.order(AnyOrder.of(step.kind, step.whom, step.who));
            LessonState state = lesson.state();
            for (PersonId pupil : List.of(INES, JORY, KESTER)) {
                PlaceId place = state.where().placeOf(pupil);
                Rulebook theirs = state.rules(planned).where(pupil);
                boolean apart = state.where().isApart();
                assertThat(theirs.settings())
                        .as("what is imposed in " + place + lesson)
                        .isEqualTo(planned.with(imposed(state, apart ? place : PlaceId.LESSON), theirs.situation())
                                .settings());
                assertThat(theirs.situation().is(Fact.IN_GROUPS))
                        .as("in groups is who is in a group" + lesson)
                        .isEqualTo(!place.equals(PlaceId.TOGETHER));
                if (apart) {
                    assertThat(theirs.situation().present())
                            .isEqualTo(state.of(GROUPS).standing(place).pupils());
                }
            }
        }
    }

    private static List<Setting> imposed(LessonState state) {
        return imposed(state, PlaceId.LESSON);
    }

    private static List<Setting> imposed(LessonState state, PlaceId in) {
        var all = new ArrayList<Setting>();
        Parts.ALL.forEach(part -> all.addAll(imposed(part, state, in)));
        return all;
    }

    private static <S> List<Setting> imposed(Part<S, ?, ?> part, LessonState state, PlaceId in) {
        return part.imposes(state.of(part), in);
    }

    @Test
    void every_order_of_every_part_is_tried() {
        Set<Class<?>> all = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("juricast.core").stream()
                        .filter(one -> one.isAssignableTo(LessonOrder.class) && !one.isInterface())
                        .map(JavaClass::reflect)
                        .collect(Collectors.toCollection(HashSet::new));
        assertThat(AnyOrder.tried()).isEqualTo(all);
    }
}
