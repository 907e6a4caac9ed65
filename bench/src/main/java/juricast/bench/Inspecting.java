package juricast.bench;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.inspection.InspectedClass;
import juricast.core.inspection.InspectedLesson;
import juricast.core.inspection.Inspection;
import juricast.core.inspection.Mend;
import juricast.core.inspection.PlannedSchool;
import juricast.core.joining.JoinWord;
import juricast.core.rules.Fact;
import juricast.core.time.Span;
import juricast.core.timetable.SchoolCalendar;

/**
 * The inspection of a school year: 1,200 pupils in 50 groups, each of which has eight classes; 90 staff; six periods on each of
 * 200 days, so that 60,000 lessons are planned. One in twenty has a visitor, one in fifty is ten minutes longer than planned,
 * so that it leaves no gap. On one thread; the machine's own clock.
 */
final class Inspecting {
    private static final ZoneId ZONE = ZoneId.of("Atlantic/Faroe");
    private static final LocalDate FIRST = LocalDate.parse("2026-08-24");
    private static final Instant NOW = Instant.parse("2026-08-23T12:00:00Z");
    private static final int GROUPS = 50;
    private static final int SUBJECTS = 8;
    private static final int GROUP_SIZE = 24;
    private static final int STAFF = 90;
    private static final int DAYS = 200;
    private static final int PERIODS = 6;
    private static final int TIMES = 30;

    private Inspecting() {}

    static void measure() {
        PlannedSchool school = school();
        SchoolRules rules = FullSchool.rules(FullSchool.timetable());
        var whole = new ArrayList<Long>();
        var change = new ArrayList<Long>();
        Inspection inspection = Inspection.of(school, rules, NOW);
        for (int n = 0; n < 2 * TIMES; n++) {
            long began = System.nanoTime();
            inspection = Inspection.of(school, rules, NOW);
            long took = System.nanoTime() - began;
            Inspection before = inspection;
            InspectedLesson one = lessons(school).get(977 * n);
            began = System.nanoTime();
            Inspection after = before.after(
                    List.of(new Mend.EndEarlier(one.id(), one.time().from().plus(Duration.ofMinutes(30)))));
            long changed = System.nanoTime() - began;
            if (n >= TIMES) {
                whole.add(took / 1000);
                change.add(changed / 1000);
            }
            if (after.school().size() != school.size()) {
                throw new IllegalStateException("A lesson was lost");
            }
        }
        System.out.printf(
                "  %d lessons of %d classes, %d weak spots%n",
                school.size(), school.classes().size(), inspection.findings().size());
        print("inspect everything", whole);
        print("inspect after one lesson was shortened", change);
    }

    private static void print(String what, List<Long> micros) {
        System.out.printf(
                "  %-60s median %6.1f ms, slowest %6.1f ms (%d)%n",
                what, Figures.median(micros) / 1000.0, Figures.percentile(micros, 100) / 1000.0, micros.size());
    }

    private static List<InspectedLesson> lessons(PlannedSchool school) {
        return school.days().values().stream().flatMap(List::stream).toList();
    }

    private static PlannedSchool school() {
        var random = new Random(5);
        var words = new java.util.HashSet<JoinWord>();
        List<InspectedClass> classes = IntStream.range(0, GROUPS * SUBJECTS)
                .mapToObj(n -> {
                    JoinWord word = JoinWord.choose(random, words);
                    words.add(word);
                    Set<PersonId> pupils = IntStream.range(0, GROUP_SIZE)
                            .mapToObj(pupil -> new PersonId("pupil-" + (n / SUBJECTS * GROUP_SIZE + pupil)))
                            .collect(Collectors.toSet());
                    return new InspectedClass(
                            new ClassId("class-" + n),
                            "Class " + n,
                            7 + n % 5,
                            List.of(new PersonId("staff-" + n % STAFF)),
                            pupils,
                            word,
                            n);
                })
                .toList();
        var lessons = new ArrayList<InspectedLesson>();
        List<LocalDate> days = FIRST.datesUntil(FIRST.plusDays(2L * DAYS))
                .filter(day -> day.getDayOfWeek().compareTo(DayOfWeek.SATURDAY) < 0)
                .limit(DAYS)
                .toList();
        for (LocalDate day : days) {
            for (int period = 0; period < PERIODS; period++) {
                Instant from =
                        day.atTime(LocalTime.of(8 + period, 5)).atZone(ZONE).toInstant();
                for (int group = 0; group < GROUPS; group++) {
                    int subject = (period + day.getDayOfYear() + group) % SUBJECTS;
                    int minutes = random.nextInt(50) == 0 ? 60 : 50;
                    Set<Fact> expected = random.nextInt(20) == 0 ? Set.of(Fact.VISITOR_PRESENT) : Set.of();
                    lessons.add(new InspectedLesson(
                            new LessonId("lesson-" + lessons.size()),
                            classes.get(group * SUBJECTS + subject).id(),
                            new Span(from, from.plus(Duration.ofMinutes(minutes))),
                            List.of(),
                            expected));
                }
            }
        }
        var calendar = new SchoolCalendar(
                List.of(new SchoolCalendar.Days("The year", FIRST, FIRST.plusYears(1))),
                List.of(new SchoolCalendar.Days("Gale week", FIRST.plusDays(56), FIRST.plusDays(60))),
                EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY),
                LocalTime.of(8, 0),
                LocalTime.of(16, 0));
        List<PersonId> staff = IntStream.range(0, STAFF)
                .mapToObj(n -> new PersonId("staff-" + n))
                .toList();
        return PlannedSchool.of(ZONE, calendar, classes, staff, lessons);
    }
}
