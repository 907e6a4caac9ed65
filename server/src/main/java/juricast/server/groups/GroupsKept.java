package juricast.server.groups;

import juricast.core.groups.WhoWasWhere;
import juricast.core.identity.LessonId;
import juricast.server.Schedules;
import juricast.server.grouping.PastGroups;
import juricast.server.lesson.Records;
import juricast.server.record.FinishedLessons;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Who was in which group of lessons that are over. It is worked out once from a lesson's events, which never change after it, and kept
 * beside them, so that new groups are mixed without folding lessons again.
 */
@Component
class GroupsKept {
    private final Records records;
    private final FinishedLessons finished;
    private final PastGroups past;

    GroupsKept(Records records, FinishedLessons finished, PastGroups past) {
        this.records = records;
        this.finished = finished;
        this.past = past;
    }

    /** Goes through lessons that are over and not looked at yet. */
    @Scheduled(initialDelay = 4500, fixedDelay = 5000, scheduler = Schedules.WORKING_OUT)
    void goThrough() {
        finished.each(
                "SELECT 1 FROM lesson_grouped WHERE lesson_grouped.lesson = lesson_stage.lesson",
                "Who was in which group",
                this::keep);
    }

    private void keep(LessonId id) {
        Records.Record record = records.of(id);
        past.write(id, WhoWasWhere.of(record.events(), record.dismissedAt().orElseThrow()));
    }
}
