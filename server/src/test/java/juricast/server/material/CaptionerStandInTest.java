package juricast.server.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.concurrent.atomic.AtomicInteger;
import juricast.core.identity.LessonId;
import juricast.server.lesson.LiveLessons;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.ObjectProvider;

class CaptionerStandInTest {
    private static final LessonId LESSON = new LessonId("tidal-1");
    private static final LessonId REHEARSAL = new LessonId("rehearsal-tidal-1-x");

    private final LiveLessons lessons = mock();
    private final ObjectProvider<LiveLessons> provider = mock();

    private CaptionerStandIn standIn(boolean demo) {
        when(provider.getObject()).thenReturn(lessons);
        return new CaptionerStandIn(provider, demo);
    }

    @Test
    void in_a_real_lesson_nobody_is_made_to_have_said_something() {
        assertThat(standIn(false).serves(LESSON)).isFalse();
        assertThat(standIn(false).serves(REHEARSAL)).isTrue();
        assertThat(standIn(true).serves(LESSON)).isTrue();
    }

    @Test
    void a_rehearsal_that_is_gone_keeps_it_from_hearing_no_other() {
        var heard = new AtomicInteger();
        CaptionerStandIn standIn = standIn(true);
        standIn.listen(REHEARSAL, order -> heard.incrementAndGet());
        when(lessons.isKnown(REHEARSAL)).thenReturn(false);
        when(lessons.state(REHEARSAL)).thenThrow(new IllegalStateException("It is gone"));
        standIn.hear();
        assertThat(heard).hasValue(0);
    }
}
