package juricast.server.lesson;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.grouping.Wishes;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.rehearsal.Rehearsal;
import juricast.core.rules.PlannedRules;
import juricast.server.classes.Classes;
import juricast.server.classes.Rehearsals;
import juricast.server.classes.Welcomes;
import juricast.server.consent.KeptConsents;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import juricast.server.grouping.ClassWishes;
import juricast.server.ladder.Ladders;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings;
import juricast.server.rules.Stances;
import juricast.server.rules.Watched;
import org.springframework.stereotype.Component;

/** What was planned for a lesson: its people, its time, its running order, and its rules. */
@Component
class Planned {
    private final Classes classes;
    private final Rehearsals rehearsals;
    private final Settings settings;
    private final Stances stances;
    private final Watched watched;
    private final ClassWishes wishes;
    private final KeptConsents consents;
    private final Welcomes welcomes;
    private final Ladders ladders;
    private final Database database;

    Planned(
            Classes classes,
            Rehearsals rehearsals,
            Settings settings,
            Stances stances,
            Watched watched,
            ClassWishes wishes,
            KeptConsents consents,
            Welcomes welcomes,
            Ladders ladders,
            Database database) {
        this.classes = classes;
        this.rehearsals = rehearsals;
        this.settings = settings;
        this.stances = stances;
        this.watched = watched;
        this.wishes = wishes;
        this.consents = consents;
        this.welcomes = welcomes;
        this.ladders = ladders;
        this.database = database;
    }

    /** Grows with every change of anything that a lesson is planned by. */
    long revision() {
        return database.revision(Topic.PLAN, Topic.RULES, Topic.PEOPLE);
    }

    PlannedRules rules(LessonId id) {
        return settings.ofLesson(id);
    }

    /** @param state who came knows who was of the lesson and is no more @throws Problem if there is no such lesson */
    LessonPlan plan(LessonId id, LessonState state, Instant now) {
        LessonPlan plan = classes.plan(id, now).orElseThrow(() -> Problem.notThere("This lesson"));
        Map<PersonId, Member> gone = state.there().visits().stream()
                .filter(visit -> visit.person()
                        .filter(person -> plan.member(person).isEmpty())
                        .isPresent())
                .map(visit ->
                        new Member(visit.person().orElseThrow(), visit.arrival().claimedName(), visit.role()))
                .collect(Collectors.toMap(Member::person, one -> one, (first, again) -> first, LinkedHashMap::new));
        LessonPlan whole = gone.isEmpty() ? plan : classes.withFormer(plan, List.copyOf(gone.values()));
        Classes.Planned planned = classes.lesson(id).orElseThrow();
        int year = classes.find(planned.ofClass()).orElseThrow().year();
        List<PersonId> pupils = whole.classList().stream().map(Member::person).toList();
        LessonId asPlanned = rehearsals.planned(id);
        Optional<Rehearsal> rehearsal = rehearsals.find(id);
        return whole.with(stances.of(asPlanned, now), watched.now())
                .wishing(rehearsal.isPresent() ? Wishes.NONE : wishes.of(planned.ofClass()))
                .consenting(rehearsal.map(Rehearsal::consents).orElseGet(consents::all))
                .welcoming(welcomes.of(asPlanned, planned.ofClass()))
                .meeting(ladders.conduct(id, planned.ofClass(), year, pupils, now));
    }
}
