package juricast.core.rehearsal;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import juricast.core.charter.PlannedLesson;
import juricast.core.consent.Consent;
import juricast.core.consent.Consents;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.rules.Setting;
import juricast.core.time.Span;

/**
 * A planned lesson held now with a simulated class: the same rules, running order and adults, and not one pupil of the school.
 * Nothing of it is kept, nobody is told of it, and no register counts it.
 *
 * @param of the lesson that is rehearsed
 * @param time from the moment it began, as long as the lesson is
 * @param by whose rehearsal it is
 * @param cast the simulated class
 */
public record Rehearsal(LessonId id, LessonId of, Span time, Member by, List<Member> cast) {
    /** Fewer would try nothing out. */
    public static final int FEWEST = 6;

    private static final String PREFIX = "rehearsal-";
    private static final String SIMULATED = "simulated-";

    public Rehearsal {
        cast = List.copyOf(cast);
    }

    /**
     * @param by who rehearses; one who is no adult of the lesson leads it for this once
     * @param names of the simulated pupils; the class is as large as the real one, from six to as many as there are names
     * @throws IllegalArgumentException if there are fewer than six names
     */
    public static Rehearsal of(LessonPlan planned, Member by, List<String> names, Instant now) {
        if (names.size() < FEWEST) {
            throw new IllegalArgumentException("A cast needs names: " + names.size());
        }
        List<Member> pupils =
                planned.classList().stream().filter(one -> one.role().isPupil()).toList();
        int size = Math.max(FEWEST, Math.min(pupils.size(), names.size()));
        List<Member> cast = IntStream.range(0, size)
                .mapToObj(place -> new Member(
                        idOf(names.get(place)),
                        names.get(place),
                        place < pupils.size() ? pupils.get(place).role() : Role.PUPIL))
                .toList();
        Duration length = Duration.between(planned.time().from(), planned.time().until());
        return new Rehearsal(
                new LessonId(PREFIX + planned.lesson() + "-" + Long.toString(now.toEpochMilli(), Character.MAX_RADIX)),
                planned.lesson(),
                new Span(now, now.plus(length)),
                by,
                cast);
    }

    /** Whether an id is of a rehearsal, also of one that is over and gone. */
    public static boolean isOne(LessonId id) {
        return id.value().startsWith(PREFIX);
    }

    /** Who simulated pupils are: nobody of the school has such an id. */
    public static PersonId idOf(String name) {
        return new PersonId(SIMULATED + name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"));
    }

    /** Who belongs to it, in place of those who belong to the lesson: its adults in charge, and the cast. */
    public List<Member> members(List<Member> planned) {
        List<Member> adults =
                planned.stream().filter(one -> one.role().isAdultInCharge()).toList();
        boolean isOneOfThem = adults.stream().anyMatch(one -> one.person().equals(by.person()));
        var all = new ArrayList<Member>();
        if (!isOneOfThem) {
            all.add(new Member(by.person(), by.name(), Role.LEAD_ADULT));
        }
        return Stream.of(all, adults, cast).flatMap(List::stream).toList();
    }

    /** All of the cast may be recorded. */
    public Consents consents() {
        return Consents.of(cast.stream()
                .map(one -> new Consent(
                        one.person(),
                        Consent.Said.GIVEN,
                        Consent.Giver.SCHOOL,
                        "",
                        time.from(),
                        Setting.FOR_EVER,
                        time.from()))
                .toList());
    }

    /** What the rules need to know of it: what they know of the lesson, at another time. */
    public PlannedLesson asPlanned(PlannedLesson lesson) {
        return new PlannedLesson(lesson.id(), lesson.ofClass(), time, lesson.expected());
    }
}
