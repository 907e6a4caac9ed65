package juricast.server.demo;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.inspection.InspectedLesson;
import juricast.core.joining.JoinWord;
import juricast.core.joining.LinkKey;
import juricast.core.register.Mark;
import juricast.core.register.RegisterCodes;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import juricast.core.timetable.SchoolCalendar;
import juricast.server.access.Position;
import juricast.server.cast.Cast;
import juricast.server.cast.Script;
import juricast.server.classes.Calendar;
import juricast.server.classes.Classes;
import juricast.server.classes.Planning;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.register.RegisterSettings;
import juricast.server.rules.ReadyMadeSets;
import juricast.server.rules.Settings;
import juricast.server.timetable.Plan;
import org.apache.commons.csv.CSVRecord;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Fills an empty database with Halvorn Reach School. Its zone is chosen so that it is mid-morning there, and its third
 * period began a quarter of an hour ago: whenever the demo starts, lessons are finished, live and coming.
 */
final class DemoSchool {
    /** For everybody with an account in the demo. */
    static final String PASSWORD = "lantern-tide-9";

    private static final Duration INTO_THIRD_PERIOD = Duration.ofMinutes(12);
    private static final int LESSON_MINUTES = 50;
    private static final int PERIOD_MINUTES = 60;
    /** The class whose teacher chose a word that is easy to guess. */
    private static final int WEAK_WORD = 11;

    private static final int WEEKS_BEFORE = 2;
    private static final int WEEKS_AFTER = 4;

    /** Year 8 began a week before the others. */
    private static final String BEGAN_FIRST = "-8";

    private final Database database;
    private final School school;
    private final String passwordHash;
    private final Instant now;
    private final ZoneId zone;
    private final Instant termBegan;

    DemoSchool(Database database, School school, PasswordEncoder passwords, Clock clock) {
        this.database = database;
        this.school = school;
        this.passwordHash = passwords.encode(PASSWORD);
        this.now = clock.instant();
        this.zone = midMorningZone(now);
        this.termBegan = now.minus(Duration.ofDays(60));
    }

    void fill() {
        database.write(sql -> {
            School.found(sql, "Halvorn Reach School", zone.getId(), true);
            people(sql);
            charter(sql);
            classes(sql);
            plans(sql);
            calendar(sql);
            covers(sql);
            RegisterSettings.write(
                    sql,
                    new RegisterCodes(Script.read("register-codes.csv").stream()
                            .map(row -> new RegisterCodes.Code(
                                    row.get("code"), row.get("meaning"), Mark.valueOf(row.get("mark"))))
                            .toList()));
            return null;
        });
    }

    /** The whole-hour zone in which it is between 10 and 11 o'clock; GMT names have the sign turned round. */
    private static ZoneId midMorningZone(Instant now) {
        int hour = now.atZone(ZoneId.of("UTC")).getHour();
        int ahead = Math.floorMod(10 - hour + 12, 24) - 12;
        return ahead == 0 ? ZoneId.of("UTC") : ZoneId.of("Etc/GMT" + (ahead > 0 ? "-" : "+") + Math.abs(ahead));
    }

    private void people(JdbcClient sql) {
        for (CSVRecord row : Script.read("staff.csv")) {
            String name = row.get("name");
            var position = Position.valueOf(row.get("position"));
            People.add(sql, new People.Person(Cast.idOf(name), name, position, "", 0, signIn(name)), passwordHash);
        }
        for (CSVRecord row : Script.read("pupils.csv")) {
            String name = row.get("name");
            People.add(
                    sql,
                    new People.Person(
                            Cast.idOf(name),
                            name,
                            Position.PUPIL,
                            row.get("number"),
                            Integer.parseInt(row.get("year")),
                            signIn(name)),
                    passwordHash);
        }
    }

    private static String signIn(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", ".");
    }

    private void charter(JdbcClient sql) {
        for (CSVRecord row : Script.read("charter.csv")) {
            var value = RuleValue.of(row.get("rule"), row.get("value")).orElseThrow();
            Instant from = now.minus(Duration.ofDays(Long.parseLong(row.get("days_ago"))));
            var edit = new Edit(
                    Place.parse(row.get("place")).orElseThrow(),
                    value.rule(),
                    Role.valueOf(row.get("role")),
                    Condition.parse(row.get("when")).orElseThrow(),
                    Optional.of(value.value()),
                    row.get("binding").equals("yes"),
                    row.get("note"),
                    Setting.FOR_EVER);
            Settings.write(sql, edit, Cast.idOf(row.get("by")), from, from);
        }
    }

    /** Sets in use, and what is planned for single lessons: after the classes, for they belong to them. */
    private void plans(JdbcClient sql) {
        ReadyMadeSets.use(sql, new ClassId("seabird-ecology-8"), "discussion", Cast.idOf("Orla Venn"), termBegan);
        ReadyMadeSets.use(sql, new ClassId("harbour-law-9"), "discussion", Cast.idOf("Ruben Stavely"), termBegan);
        for (CSVRecord row : Script.read("visitors.csv")) {
            Planning.invite(sql, new LessonId(row.get("lesson")), row.get("name"));
        }
    }

    /** A term around today, with a day off next week on which lessons were planned all the same. */
    private void calendar(JdbcClient sql) {
        LocalDate today = now.atZone(zone).toLocalDate();
        LocalDate dayOff = schoolWeek().get(3).plusWeeks(1);
        var days = java.util.EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);
        days.add(today.getDayOfWeek());
        Calendar.write(
                sql,
                new SchoolCalendar(
                        List.of(new SchoolCalendar.Days("This term", today.minusDays(60), today.plusDays(75))),
                        List.of(
                                new SchoolCalendar.Days("Lighthouse Day", dayOff, dayOff),
                                new SchoolCalendar.Days("Midwinter", today.plusDays(50), today.plusDays(60))),
                        days,
                        LocalTime.of(7, 30),
                        LocalTime.of(16, 0)));
    }

    /** Noemi Tarrant stands in tomorrow and must go before the end; Idris Fallow stands in today. */
    private void covers(JdbcClient sql) {
        cover(sql, "harbour-law-8-1.5-2", "Idris Fallow", "Tam Birket", 0, "Harbour board until three");
        cover(
                sql,
                "island-storytelling-8-3.1-2",
                "Noemi Tarrant",
                "Basil Undercroft",
                15,
                "Dentist on the main island");
    }

    private void cover(JdbcClient sql, String lesson, String by, String insteadOf, int earlier, String why) {
        Instant ends = Instant.ofEpochMilli(sql.sql("SELECT ends FROM lesson WHERE id = :id")
                .param("id", lesson)
                .query(Long.class)
                .single());
        String what = "%s covers for %s".formatted(by, insteadOf);
        Plan.cover(
                sql,
                Plan.begin(sql, what, why, Cast.idOf(insteadOf), now.minus(Duration.ofHours(20))),
                new LessonId(lesson),
                new InspectedLesson.Cover(
                        Cast.idOf(by), Optional.of(Cast.idOf(insteadOf)), ends.minus(Duration.ofMinutes(earlier))),
                now);
    }

    private void classes(JdbcClient sql) {
        var random = new Random(11);
        var taken = new java.util.HashSet<JoinWord>();
        int number = 0;
        for (CSVRecord row : Script.read("classes.csv")) {
            number++;
            JoinWord word = number == WEAK_WORD ? new JoinWord("otter-7") : JoinWord.choose(random, taken);
            taken.add(word);
            String title = row.get("title");
            var id = new ClassId(Cast.idOf(title).value() + row.get("year"));
            Classes.insert(
                    sql,
                    new Classes.SchoolClass(
                            id,
                            title,
                            Integer.parseInt(row.get("year")),
                            title.replaceAll(" \\d+$", ""),
                            new LinkKey.Link(number, 0),
                            word));
            Classes.join(sql, id, Cast.idOf(row.get("lead")), Role.LEAD_ADULT, termBegan);
            if (!row.get("second").isEmpty()) {
                Classes.join(sql, id, Cast.idOf(row.get("second")), Role.SECOND_ADULT, termBegan);
            }
            pupilsOf(row).forEach(pupil -> Classes.join(sql, id, pupil, Role.PUPIL, termBegan));
            lessons(sql, id, row.get("slots"));
        }
    }

    /** The pupils "1-30" of a year, in the order of the file. */
    private static List<PersonId> pupilsOf(CSVRecord ofClass) {
        List<PersonId> year = Script.read("pupils.csv").stream()
                .filter(row -> row.get("year").equals(ofClass.get("year")))
                .map(row -> Cast.idOf(row.get("name")))
                .toList();
        String[] range = ofClass.get("pupils").split("-");
        return year.subList(Integer.parseInt(range[0]) - 1, Math.min(year.size(), Integer.parseInt(range[1])));
    }

    /** Slots such as "1.3 4.1": school day 1, which is today, third period; "1.3+20" is twenty minutes later, "h4.2" a help hour. */
    private void lessons(JdbcClient sql, ClassId id, String slots) {
        List<LocalDate> week = schoolWeek();
        for (String slot : slots.split(" ")) {
            boolean isHelpHour = slot.startsWith("h");
            String[] parts = slot.replace("h", "").split("[.+]");
            int shift = parts.length > 2 ? Integer.parseInt(parts[2]) : 0;
            LocalDate day = week.get(Integer.parseInt(parts[0]) - 1);
            LocalTime start = firstPeriod()
                    .plusMinutes((Integer.parseInt(parts[1]) - 1L) * PERIOD_MINUTES)
                    .plusMinutes(shift);
            int before = id.value().endsWith(BEGAN_FIRST) ? WEEKS_BEFORE + 1 : WEEKS_BEFORE;
            // Help hours are new in this school.
            for (int weeks = isHelpHour ? 0 : -before; weeks <= WEEKS_AFTER; weeks++) {
                Instant from = day.plusWeeks(weeks).atTime(start).atZone(zone).toInstant();
                var lesson = new LessonId(id.value() + "-" + slot.replace('+', '-') + "-" + (weeks + WEEKS_BEFORE));
                Classes.insertLesson(sql, id, lesson, new Span(from, from.plus(Duration.ofMinutes(LESSON_MINUTES))));
                if (isHelpHour) {
                    sql.sql("UPDATE lesson SET expected = :fact WHERE id = :id")
                            .param("fact", Fact.HELP_HOUR.text())
                            .param("id", lesson.value())
                            .update();
                }
            }
        }
    }

    private LocalTime firstPeriod() {
        ZonedDateTime third = now.minus(INTO_THIRD_PERIOD).atZone(zone).truncatedTo(ChronoUnit.MINUTES);
        return third.minusMinutes(third.getMinute() % 5).toLocalTime().minusMinutes(2L * PERIOD_MINUTES);
    }

    /** Five days of which today is the first; a weekend is school only if the demo starts on it. */
    private List<LocalDate> schoolWeek() {
        LocalDate today = now.atZone(zone).toLocalDate();
        Set<DayOfWeek> weekend = Set.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);
        List<LocalDate> others = Stream.iterate(today.plusDays(1), day -> day.plusDays(1))
                .filter(day -> !weekend.contains(day.getDayOfWeek()))
                .limit(4)
                .collect(Collectors.toCollection(ArrayList::new));
        others.add(0, today);
        return others;
    }
}
