package juricast.server.register;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.attendance.Attended;
import juricast.core.attendance.Attention;
import juricast.core.attendance.Tally;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.core.register.Expectation;
import juricast.core.register.Mark;
import juricast.core.register.RegisterCodes;
import juricast.core.time.Span;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Period;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is shown, exported and printed of attendance over many lessons, each for what its reader may see. */
@Component
class AttendancePages {
    static final String GONE = "somebody who has left";

    private final Attendances attendances;
    private final LessonFacts facts;
    private final RegisterSettings settings;
    private final Reading reading;
    private final Classes classes;
    private final People people;
    private final School school;
    private final Clock clock;

    AttendancePages(
            Attendances attendances,
            LessonFacts facts,
            RegisterSettings settings,
            Reading reading,
            Classes classes,
            People people,
            School school,
            Clock clock) {
        this.attendances = attendances;
        this.facts = facts;
        this.settings = settings;
        this.reading = reading;
        this.classes = classes;
        this.people = people;
        this.school = school;
        this.clock = clock;
    }

    /**
     * How often pupils were there.
     *
     * @param rate percent of the lessons; nothing if nobody was expected
     * @param small whether it comes from so few lessons that it says little
     */
    record Rate(
            @Nullable Integer rate,
            int expected,
            int attended,
            int absent,
            int late,
            int early,
            int partly,
            int excused,
            boolean small) {
        static Rate of(Collection<Attended> lines) {
            return of(Tally.of(lines));
        }

        static Rate of(Tally tally) {
            return new Rate(
                    tally.rate().isPresent() ? tally.rate().getAsInt() : null,
                    tally.expected(),
                    tally.attended(),
                    tally.absent(),
                    tally.late(),
                    tally.early(),
                    tally.partly(),
                    tally.excused(),
                    tally.isSmall());
        }
    }

    /** @param lessons in order of time, called off ones too @param pupils by name, a cell for each lesson */
    record ClassGrid(
            String classId,
            String title,
            String from,
            String until,
            List<GridLesson> lessons,
            List<GridPupil> pupils,
            Rate whole) {}

    record GridLesson(String id, Instant starts, int minutes, boolean calledOff, Rate rate) {}

    record GridPupil(String person, String name, Rate rate, List<GridCell> cells) {}

    /**
     * @param code what the school writes for it; empty if it has no codes
     * @param why nobody was expected; nothing if they were
     */
    record GridCell(
            Mark mark, String code, int lateMinutes, int minutes, boolean corrected, @Nullable Expectation why) {}

    /** One pupil over all classes that the caller may see. */
    record PupilPage(
            String person,
            String name,
            int year,
            String from,
            String until,
            Rate whole,
            List<Named> classes,
            List<Named> subjects,
            List<Named> weeks,
            List<Named> weekdays,
            List<Named> hours,
            List<Named> adults,
            List<PupilLine> lessons,
            List<String> reasons) {}

    /** A rate with what it is of. @param id what its lessons are asked for with */
    record Named(String id, String name, Rate rate) {}

    record PupilLine(
            String lesson,
            String title,
            Instant starts,
            Mark mark,
            String code,
            int lateMinutes,
            int minutes,
            boolean corrected) {}

    /** Who needs attention this week, and why; the gravest first. */
    record AttentionPage(
            List<Needing> pupils,
            int lookedAt,
            RegisterSettingsController.Limits limits,
            List<Named> classes,
            List<Named> subjects,
            List<Named> weekdays,
            List<Named> hours,
            List<Named> adults) {}

    record Needing(String person, String name, int year, List<String> reasons, Rate lately, Rate before) {}

    /** The lessons that a rate is made of, the latest first. */
    record LessonsBehind(String title, List<BehindLesson> lessons, Rate whole) {}

    record BehindLesson(String lesson, String title, Instant starts, String adult, Rate rate) {}

    /** What lessons are counted by. */
    enum By {
        CLASS,
        SUBJECT,
        WEEK,
        WEEKDAY,
        HOUR,
        ADULT
    }

    /** One class in some days: each lesson with everybody who ever belonged to the class in them. */
    ClassGrid classGrid(Classes.SchoolClass found, Period period) {
        Map<Attendances.Held, Map<PersonId, Attended>> held = attendances.ofClass(found.id(), period.span());
        List<LessonFacts.Planned> columns = facts.ofClass(found.id(), period.span()).stream()
                .filter(one -> one.calledOff() || held.containsKey(one.held()))
                .toList();
        Map<PersonId, List<Span>> membership = facts.pupilsOf(found.id());
        Map<String, String> codes = codes(attendances.writtenCodes(found.id(), period.span()));
        Map<PersonId, String> names = people.names();
        var all = new TreeSet<>(Comparator.comparing((PersonId one) -> names.getOrDefault(one, GONE))
                .thenComparing(PersonId::value));
        held.values().forEach(one -> all.addAll(one.keySet()));
        membership.forEach((person, times) -> {
            if (times.stream().anyMatch(one -> one.within(period.span()).isPresent()) && !columns.isEmpty()) {
                all.add(person);
            }
        });
        List<GridPupil> pupils = all.stream()
                .map(person -> {
                    List<GridCell> cells = columns.stream()
                            .map(column -> {
                                Attended line = held.getOrDefault(column.held(), Map.of())
                                        .get(person);
                                return line == null
                                        ? notExpected(column, membership.getOrDefault(person, List.of()))
                                        : cell(line, codes, person);
                            })
                            .toList();
                    List<Attended> mine = held.values().stream()
                            .map(column -> column.get(person))
                            .filter(Objects::nonNull)
                            .toList();
                    return new GridPupil(person.value(), names.getOrDefault(person, GONE), Rate.of(mine), cells);
                })
                .toList();
        return new ClassGrid(
                found.id().value(),
                found.title(),
                period.from().toString(),
                period.until().toString(),
                columns.stream()
                        .map(one -> new GridLesson(
                                one.held().id().value(),
                                one.held().time().from(),
                                (int) one.held().time().length().toMinutes(),
                                one.calledOff(),
                                Rate.of(held.getOrDefault(one.held(), Map.of()).values())))
                        .toList(),
                pupils,
                Rate.of(held.values().stream()
                        .flatMap(one -> one.values().stream())
                        .toList()));
    }

    private GridCell cell(Attended line, Map<String, String> codes, PersonId person) {
        String written = codes.getOrDefault(line.lesson().value() + " " + person.value(), "");
        return new GridCell(
                line.mark(),
                written.isEmpty() ? codes.getOrDefault(line.mark().name(), "") : written,
                line.lateMinutes(),
                line.minutes(),
                line.corrected(),
                null);
    }

    private static GridCell notExpected(LessonFacts.Planned column, List<Span> membership) {
        Expectation why = Expectation.of(column.held().time(), column.calledOff(), membership);
        // Who belongs to the class by now but was not in the register of the lesson was taken up while it ran.
        return new GridCell(
                Mark.NOT_EXPECTED, "", 0, 0, false, why == Expectation.EXPECTED ? Expectation.JOINED_LATER : why);
    }

    /** Codes by the mark they are usual for, and by lesson and pupil where an adult chose one. */
    private Map<String, String> codes(Map<String, String> written) {
        var codes = new HashMap<>(written);
        RegisterCodes known = settings.codes();
        for (Mark mark : Mark.values()) {
            known.usual(mark).ifPresent(one -> codes.put(mark.name(), one.code()));
        }
        return codes;
    }

    /** One pupil; a teacher sees the own classes only. */
    PupilPage pupil(String person, Period period, SignedIn caller) {
        People.Person pupil = people.find(new PersonId(person))
                .filter(one -> one.position() == Position.PUPIL)
                .orElseThrow(() -> Problem.notThere("This pupil"));
        Instant now = clock.instant();
        List<Attended> all = attendances.ofPupil(pupil.id(), period.span());
        Map<ClassId, String> titles =
                reading.ofPupil(caller, Matter.ATTENDANCE, pupil.id(), pupil.name(), classesOf(pupil.id(), all, now));
        List<Attended> lines =
                all.stream().filter(one -> titles.containsKey(one.ofClass())).toList();
        LessonFacts.Known known = facts.of(period.span());
        Map<String, String> codes = codes(attendances.writtenCodes(pupil.id(), period.span()));
        return new PupilPage(
                person,
                pupil.name(),
                pupil.year(),
                period.from().toString(),
                period.until().toString(),
                Rate.of(lines),
                rates(lines, By.CLASS, known),
                rates(lines, By.SUBJECT, known),
                rates(lines, By.WEEK, known),
                rates(lines, By.WEEKDAY, known),
                rates(lines, By.HOUR, known),
                rates(lines, By.ADULT, known),
                lines.stream()
                        .sorted(Comparator.comparing(Attended::at).reversed())
                        .map(one -> new PupilLine(
                                one.lesson().value(),
                                Objects.requireNonNull(titles.get(one.ofClass())),
                                one.at(),
                                one.mark(),
                                cell(one, codes, pupil.id()).code,
                                one.lateMinutes(),
                                one.minutes(),
                                one.corrected()))
                        .toList(),
                reasons(Attention.of(lines, settings.thresholds(), now)));
    }

    /** Where the pupil is now, and where they were expected in that time. */
    private Set<ClassId> classesOf(PersonId pupil, List<Attended> lines, Instant now) {
        return Stream.concat(
                        classes.of(pupil, now).stream().map(Classes.SchoolClass::id),
                        lines.stream().map(Attended::ofClass))
                .collect(Collectors.toSet());
    }

    /** Who of the school needs attention; of the last eight weeks. */
    AttentionPage attention(SignedIn caller) {
        Instant now = clock.instant();
        Map<PersonId, List<Attended>> all = seen(caller, lately(now));
        Map<PersonId, People.Person> known = people.inPosition(Position.PUPIL).stream()
                .collect(Collectors.toMap(People.Person::id, Function.identity()));
        record Found(Needing pupil, Attention.Reason first) {}
        var needing = new ArrayList<Found>();
        Attention.Thresholds limits = settings.thresholds();
        all.forEach((person, lines) -> {
            Attention found = Attention.of(lines, limits, now);
            People.Person pupil = known.get(person);
            if (pupil != null && !found.reasons().isEmpty()) {
                needing.add(new Found(
                        new Needing(
                                pupil.id().value(),
                                pupil.name(),
                                pupil.year(),
                                reasons(found),
                                Rate.of(found.lately()),
                                Rate.of(found.before())),
                        found.reasons().get(0)));
            }
        });
        List<Attended> lines = all.values().stream().flatMap(List::stream).toList();
        LessonFacts.Known lessons = facts.of(lately(now));
        return new AttentionPage(
                needing.stream()
                        .sorted(Comparator.comparing((Found one) -> one.first.kind())
                                .thenComparing(one -> -one.first.number())
                                .thenComparing(one -> one.pupil.name()))
                        .map(Found::pupil)
                        .toList(),
                all.size(),
                RegisterSettingsController.limits(limits),
                rates(lines, By.CLASS, lessons),
                rates(lines, By.SUBJECT, lessons),
                rates(lines, By.WEEKDAY, lessons),
                rates(lines, By.HOUR, lessons),
                rates(lines, By.ADULT, lessons));
    }

    private static Span lately(Instant now) {
        return new Span(now.minus(Attention.STRETCH.multipliedBy(2)), now);
    }

    /** What the caller may see of everybody; those of whom nothing is seen are left out. */
    private Map<PersonId, List<Attended>> seen(SignedIn caller, Span window) {
        Map<ClassId, String> titles = reading.titles(caller, Matter.ATTENDANCE);
        var seen = new HashMap<PersonId, List<Attended>>();
        attendances.ofAll(window).forEach((person, lines) -> {
            List<Attended> some = lines.stream()
                    .filter(line -> titles.containsKey(line.ofClass()))
                    .toList();
            if (!some.isEmpty()) {
                seen.put(person, some);
            }
        });
        return seen;
    }

    /** The lessons of the last eight weeks that a rate of the school is made of. */
    LessonsBehind behind(By by, String of, SignedIn caller) {
        Span window = lately(clock.instant());
        LessonFacts.Known known = facts.of(window);
        Map<ClassId, String> titles = reading.titles(caller, Matter.ATTENDANCE);
        List<Attended> lines = seen(caller, window).values().stream()
                .flatMap(List::stream)
                .filter(one -> key(one, by, known).equals(Optional.of(of)))
                .toList();
        if (lines.isEmpty()) {
            throw Problem.notThere("A lesson of these");
        }
        var byLesson = lines.stream().collect(Collectors.groupingBy(Attended::lesson));
        return new LessonsBehind(
                name(lines.get(0), by, of, known),
                byLesson.values().stream()
                        .map(one -> new BehindLesson(
                                one.get(0).lesson().value(),
                                Objects.requireNonNull(titles.get(one.get(0).ofClass())),
                                one.get(0).at(),
                                known.of(one.get(0).lesson()).adult(),
                                Rate.of(one)))
                        .sorted(Comparator.comparing(BehindLesson::starts).reversed())
                        .toList(),
                Rate.of(lines));
    }

    /** A rate for each of what lessons have in common; lessons of which it is not known are left out. */
    private List<Named> rates(List<Attended> lines, By by, LessonFacts.Known known) {
        Map<String, List<Attended>> parts = new TreeMap<>();
        lines.forEach(one -> key(one, by, known).ifPresent(key -> parts.computeIfAbsent(key, none -> new ArrayList<>())
                .add(one)));
        Comparator<Named> order =
                by == By.CLASS || by == By.ADULT ? Comparator.comparing(Named::name) : Comparator.comparing(Named::id);
        return parts.entrySet().stream()
                .map(one -> new Named(
                        one.getKey(), name(one.getValue().get(0), by, one.getKey(), known), Rate.of(one.getValue())))
                .sorted(order)
                .toList();
    }

    /** What stands for it in an address, and orders it. */
    private Optional<String> key(Attended line, By by, LessonFacts.Known known) {
        LessonFacts.Facts lesson = known.of(line.lesson());
        String key =
                switch (by) {
                    case CLASS -> line.ofClass().value();
                    case SUBJECT -> lesson.subject();
                    case WEEK -> school.date(line.at())
                            .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                            .toString();
                    case WEEKDAY -> Integer.toString(
                            school.date(line.at()).getDayOfWeek().getValue());
                    case HOUR -> school.clockTime(line.at()).substring(0, 2);
                    case ADULT -> lesson.adultId();
                };
        return Optional.of(key).filter(text -> !text.isEmpty());
    }

    private String name(Attended line, By by, String key, LessonFacts.Known known) {
        return switch (by) {
            case CLASS -> known.of(line.lesson()).title();
            case ADULT -> known.of(line.lesson()).adult();
            case HOUR -> "%s:00 to %s:59".formatted(key, key);
            case WEEKDAY -> {
                String day = school.date(line.at()).getDayOfWeek().name();
                yield day.charAt(0) + day.substring(1).toLowerCase(Locale.ROOT);
            }
            case SUBJECT, WEEK -> key;
        };
    }

    private static List<String> reasons(Attention found) {
        return found.reasons().stream().map(AttendancePages::sentence).toList();
    }

    private static String sentence(Attention.Reason reason) {
        return switch (reason.kind()) {
            case ABSENT_IN_A_ROW -> "Absent from the last %d lessons".formatted(reason.number());
            case SELDOM_THERE -> "Was there in %d %% of the lessons of four weeks".formatted(reason.number());
            case LESS_THAN_BEFORE -> "There %d percentage points less than in the four weeks before"
                    .formatted(reason.number());
            case OFTEN_LATE -> "Late %d times in four weeks".formatted(reason.number());
        };
    }
}
