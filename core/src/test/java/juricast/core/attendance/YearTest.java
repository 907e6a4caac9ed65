package juricast.core.attendance;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.register.Mark;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;

class YearTest {
    /** Added up in columns it comes to what adding up the lines one by one comes to, however it is grouped. */
    @Property(tries = 200)
    void columns_come_to_the_same_as_lines(@ForAll @Size(max = 60) List<Mark> marks) {
        var year = new Year();
        var lines = new ArrayList<List<Attended>>(List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>()));
        for (int i = 0; i < marks.size(); i++) {
            Mark mark = marks.get(i);
            int late = mark == Mark.LATE ? i + 1 : 0;
            year.add(i % 3, i, Attended.packed(mark, late, 40, 50, false));
            lines.get(i % 3)
                    .add(new Attended(
                            new LessonId("l" + i), new ClassId("c"), Instant.EPOCH, mark, late, 40, 50, false));
        }
        Tally[] people = year.byPerson(3);
        Tally[] lessons = year.byLesson(
                IntStream.range(0, marks.size())
                        .map(lesson -> lesson % 3 == 2 ? -1 : lesson % 3)
                        .toArray(),
                2);
        for (int n = 0; n < 3; n++) {
            assertThat(people[n]).isEqualTo(Tally.of(lines.get(n)));
        }
        assertThat(lessons).containsExactly(people[0], people[1]);
        assertThat(year.size()).isEqualTo(marks.size());
    }
}
