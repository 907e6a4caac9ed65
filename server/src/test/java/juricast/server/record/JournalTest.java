package juricast.server.record;

import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Stream;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.recording.Failure;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.RuleValue;
import juricast.core.signals.SignalsEvent;
import juricast.server.RunningServer;
import juricast.server.data.Database;
import juricast.server.lesson.LessonsOnJournal;
import juricast.server.lesson.LiveLessons;
import juricast.server.problems.Problem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.mockito.ArgumentMatchers;
import org.mockito.Mockito;

class JournalTest {
    private static final PersonId ORLA = new PersonId("orla-venn");

    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final Journal journal = SERVER.bean(Journal.class);

    @Test
    void what_was_written_is_read_again_the_same_after_a_restart() {
        var id = new LessonId("tidal-navigation-8-1.3-2");
        SERVER.bean(LiveLessons.class).carryOut(id, new RightsOrder.SetLive(RuleValue.parse("entry.door=shut"), ORLA));
        var before = SERVER.bean(LiveLessons.class).look(id).state();
        var written = SERVER.bean(LiveLessons.class).look(id).events();

        SERVER.restart();

        var after = SERVER.bean(LiveLessons.class).look(id).state();
        assertThat(SERVER.bean(LiveLessons.class).look(id).events()).startsWith(written.toArray(LessonEvent[]::new));
        assertThat(written).hasSizeGreaterThan(50);
        assertThat(after.of(RECORDING).failure())
                .as("nobody recorded meanwhile")
                .contains(Failure.LINE_LOST);
        assertThat(after.there().visits()).isEqualTo(before.there().visits());
        assertThat(after.of(CHAT)).isEqualTo(before.of(CHAT));
        assertThat(after.of(RIGHTS)).isEqualTo(before.of(RIGHTS));
    }

    @Test
    void an_event_whose_number_is_taken_or_leaves_a_gap_is_refused_and_others_are_not() {
        var id = new LessonId("weather-lab-9-1.3-2");
        int last = journal.read(id).events().size();
        List<LessonEvent> event = List.of(new SignalsEvent.HandRaised(ORLA, RunningServer.START));

        assertThatThrownBy(() -> journal.append(id, last - 1, new byte[] {1}, event))
                .isInstanceOf(Journal.NotKept.class);
        assertThatThrownBy(() -> journal.append(id, last + 1, new byte[] {1}, event))
                .isInstanceOf(Journal.NotKept.class);
        assertThat(journal.append(id, last, journal.read(id).hash(), event)).hasSize(32);
        assertThat(journal.read(id).events()).hasSize(last + 1);
    }

    @Test
    void whoever_goes_through_finished_lessons_ends_before_the_file_is_closed() {
        var finished = new FinishedLessons(SERVER.bean(Database.class));
        var workedOut = new ArrayList<LessonId>();
        finished.each("SELECT 1 WHERE 0", "Nothing", id -> {
            workedOut.add(id);
            finished.destroy();
        });
        assertThat(workedOut).as("of many that are over").hasSize(1);
    }

    private static final LessonOrder SHUT =
            new RightsOrder.SetLive(RuleValue.parse("entry.door=shut"), new PersonId("pernel-ost"));
    private static final LessonOrder OPEN =
            new RightsOrder.SetLive(RuleValue.parse("entry.door=knock"), new PersonId("pernel-ost"));

    private static Journal on(Database database, Duration longest) {
        return new Journal(
                database,
                SERVER.bean(StoredEvents.class),
                SERVER.provider(Follower.class),
                RecordChains.chain(SERVER.file().toString()),
                longest);
    }

    private static final Duration USUAL = Duration.ofSeconds(15);

    static Stream<Arguments> faults() {
        return Stream.of(
                Arguments.of(new OutOfMemoryError("thrown on purpose"), "short of memory"),
                Arguments.of(new IllegalStateException("[SQLITE_FULL] database or disk is full"), "disk"),
                Arguments.of(new IllegalStateException("[SQLITE_READONLY]"), "may only be read"),
                Arguments.of(new NoClassDefFoundError("a thread dies of it"), "did not answer"));
    }

    @ParameterizedTest
    @MethodSource("faults")
    void after_a_fault_of_memory_disk_or_thread_an_order_is_refused_with_the_cause_and_all_goes_on(
            Throwable fault, String said) throws Exception {
        Database faulty = Mockito.spy(SERVER.bean(Database.class));
        Journal journalOnIt = on(faulty, USUAL);
        LiveLessons lessons = LessonsOnJournal.of(SERVER, journalOnIt);
        var id = new LessonId("harbour-law-10-1.3-2");
        int before = lessons.look(id).state().number();
        // The batch, and then its only entry alone.
        Mockito.doThrow(fault).when(faulty).append(ArgumentMatchers.any());
        for (int i = 0; i < 3; i++) {
            assertThatThrownBy(() -> lessons.carryOut(id, SHUT)).isInstanceOfSatisfying(Problem.class, problem -> {
                assertThat(problem.body().status()).isEqualTo(503);
                assertThat(problem.body().detail()).contains(said);
            });
        }
        assertThat(lessons.look(id).state().number()).isEqualTo(before);

        Mockito.doCallRealMethod().when(faulty).append(ArgumentMatchers.any());
        lessons.carryOut(id, SHUT);
        lessons.carryOut(id, OPEN);

        assertThat(lessons.look(id).state().number()).isGreaterThan(before);
        assertThat(journalOnIt.isWriting()).isTrue();
        assertThat(journal.read(id).events()).hasSize(lessons.look(id).state().number());
        journalOnIt.destroy();
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void an_event_that_reached_the_disk_before_the_fault_is_taken_up_by_the_clock_or_before_the_next_order(
            boolean byTheClock) throws Exception {
        Database faulty = Mockito.spy(SERVER.bean(Database.class));
        Journal journalOnIt = on(faulty, USUAL);
        LiveLessons lessons = LessonsOnJournal.of(SERVER, journalOnIt);
        var id = new LessonId("harbour-law-10-1.3-2");
        lessons.look(id);
        LessonsOnJournal.tick(lessons, id);
        int before = lessons.look(id).state().number();
        Mockito.doAnswer(call -> {
                    call.callRealMethod();
                    throw new OutOfMemoryError("after the commit");
                })
                .when(faulty)
                .append(ArgumentMatchers.any());
        assertThatThrownBy(() -> lessons.carryOut(id, SHUT)).isInstanceOf(Problem.class);
        Mockito.doCallRealMethod().when(faulty).append(ArgumentMatchers.any());

        if (byTheClock) {
            LessonsOnJournal.tick(lessons, id);
        } else {
            lessons.carryOut(id, OPEN);
        }

        assertThat(lessons.look(id).state().number()).isGreaterThanOrEqualTo(before + (byTheClock ? 1 : 2));
        assertThat(journal.read(id).events()).isEqualTo(lessons.look(id).events());
        journalOnIt.destroy();
    }

    @Test
    void nobody_waits_for_ever_for_a_disk_that_does_not_answer() throws Exception {
        Database stuck = Mockito.spy(SERVER.bean(Database.class));
        var release = new CountDownLatch(1);
        Mockito.doAnswer(call -> {
                    release.await();
                    return call.callRealMethod();
                })
                .when(stuck)
                .append(ArgumentMatchers.any());
        Journal journalOnIt = on(stuck, Duration.ofMillis(200));
        var id = new LessonId("harbour-law-10-1.3-2");
        Journal.Record record = journal.read(id);
        int last = record.events().size();
        List<LessonEvent> event = List.of(new SignalsEvent.HandRaised(ORLA, RunningServer.START));

        assertThatThrownBy(() -> journalOnIt.append(id, last, record.hash(), event))
                .isInstanceOf(Journal.NotKept.class);
        assertThatThrownBy(() -> journalOnIt.append(id, last, record.hash(), event))
                .as("one that is not being written yet never will be")
                .isInstanceOf(Journal.NotKept.class);
        release.countDown();
        journalOnIt.destroy();

        assertThat(journal.read(id).events()).hasSize(last + 1);
    }
}
