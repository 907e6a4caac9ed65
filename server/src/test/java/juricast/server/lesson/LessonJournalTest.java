package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CompletionException;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LessonEvent;
import juricast.core.lesson.LessonOrder;
import juricast.core.rules.RuleValue;
import juricast.server.RunningServer;
import juricast.server.data.Database;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.mockito.ArgumentMatchers;
import org.mockito.Mockito;

class LessonJournalTest {
    private static final PersonId ORLA = new PersonId("orla-venn");

    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final LessonJournal journal = SERVER.bean(LessonJournal.class);

    @Test
    void what_was_written_is_read_again_the_same_after_a_restart() {
        var id = new LessonId("tidal-navigation-8-1.3-2");
        SERVER.bean(LiveLessons.class).carryOut(id, new LessonOrder.SetLive(RuleValue.parse("entry.door=shut"), ORLA));
        var before = SERVER.bean(LiveLessons.class).look(id).state();

        SERVER.restart();

        var after = SERVER.bean(LiveLessons.class).look(id).state();
        assertThat(after.number()).isEqualTo(before.number()).isGreaterThan(50);
        assertThat(after.visits()).isEqualTo(before.visits());
        assertThat(after.words()).isEqualTo(before.words());
        assertThat(after.loans()).isEqualTo(before.loans());
    }

    @Test
    void an_altered_event_and_a_missing_one_show() {
        var altered = new LessonId("seabird-ecology-8-1.1-2");
        var shortened = new LessonId("weather-lab-8-1.2-2");
        Database database = SERVER.bean(Database.class);
        assertThat(journal.read(altered).events()).isNotEmpty();

        database.write(sql -> sql.sql("UPDATE lesson_event SET body = replace(body, 'ines-carrow', 'jory-pell')"
                        + " WHERE lesson = '" + altered.value() + "'")
                .update());
        database.write(
                sql -> sql.sql("DELETE FROM lesson_event WHERE number = 3 AND lesson = '" + shortened.value() + "'")
                        .update());

        assertThatThrownBy(() -> journal.read(altered)).isInstanceOf(LessonJournal.DamagedRecord.class);
        assertThatThrownBy(() -> journal.read(shortened))
                .isInstanceOf(LessonJournal.DamagedRecord.class)
                .hasMessageContaining("event 4");
    }

    @Test
    void an_event_whose_number_is_taken_or_leaves_a_gap_is_refused_and_others_are_not() {
        var id = new LessonId("weather-lab-9-1.3-2");
        int last = journal.read(id).events().size();
        List<LessonEvent> event = List.of(new LessonEvent.HandRaised(ORLA, RunningServer.START));

        assertThatThrownBy(() -> journal.append(id, last - 1, "x", event).join())
                .isInstanceOf(CompletionException.class);
        assertThatThrownBy(() -> journal.append(id, last + 1, "x", event).join())
                .isInstanceOf(CompletionException.class);
        assertThat(journal.append(id, last, journal.read(id).hash(), event).join())
                .hasSize(64);
        assertThat(journal.read(id).events()).hasSize(last + 1);
    }

    @Test
    void an_order_that_cannot_be_stored_is_not_acknowledged_and_changes_nothing() throws Exception {
        Database full = Mockito.spy(SERVER.bean(Database.class));
        Mockito.doThrow(new IllegalStateException("disk full")).when(full).append(ArgumentMatchers.any());
        var journalOnFullDisk = new LessonJournal(full);
        var lessons = new LiveLessons(
                SERVER.bean(juricast.server.classes.Classes.class),
                SERVER.bean(juricast.server.rules.Settings.class),
                SERVER.bean(juricast.server.rules.Stances.class),
                SERVER.bean(juricast.server.rules.Watched.class),
                journalOnFullDisk,
                full,
                SERVER.bean(java.time.Clock.class));
        var id = new LessonId("harbour-law-10-1.3-2");
        int before = lessons.look(id).state().number();

        assertThatThrownBy(() -> lessons.carryOut(
                        id, new LessonOrder.SetLive(RuleValue.parse("entry.door=shut"), new PersonId("pernel-ost"))))
                .satisfies(thrown -> assertThat(thrown).hasRootCauseMessage("disk full"));

        assertThat(lessons.look(id).state().number()).isEqualTo(before);
        journalOnFullDisk.destroy();
    }
}
