package juricast.bench;

import java.nio.file.Files;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import juricast.core.chat.ChatEvent;
import juricast.core.door.DoorEvent;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.server.Juricast;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.lesson.Records;
import juricast.server.record.AtNight;
import juricast.server.retention.LessonForgetting;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;

/**
 * A night in which the words of a whole school year are due, at its own pace and then without any pause, while an adult goes on
 * writing in a lesson. In this process, because its clock has to be moved.
 */
final class Forgetting {
    private static final int LESSONS = 60_000;
    private static final int WORDS = 10;
    /** As the night makes it between its steps. */
    private static final long NIGHTS_PAUSE = 200;

    private static final Duration MEASURED = Duration.ofMinutes(2);
    private static final Duration LATER = Duration.ofDays(200);

    private final ConfigurableApplicationContext application;
    private final AtomicReference<Duration> ahead;

    private Forgetting(ConfigurableApplicationContext application, AtomicReference<Duration> ahead) {
        this.application = application;
        this.ahead = ahead;
    }

    static void measure() throws Exception {
        var ahead = new AtomicReference<>(Duration.ZERO);
        try (ConfigurableApplicationContext application = new SpringApplicationBuilder(Juricast.class)
                .initializers(context -> ((GenericApplicationContext) context)
                        .registerBean("movedClock", Clock.class, () -> new MovedClock(ahead)))
                .run(
                        "--server.port=0",
                        "--juricast.demo=true",
                        "--logging.level.root=WARN",
                        "--juricast.data="
                                + Files.createTempDirectory("juricast-bench").resolve("school.db"))) {
            new Forgetting(application, ahead).measured();
        }
    }

    private void measured() throws Exception {
        written();
        ahead.set(LATER);
        List<Long> alone = orders(() -> pause(10_000));
        Instant since = bean(Clock.class).instant();
        var steps = new ArrayList<Long>();
        List<Long> paced = orders(() -> night(since, NIGHTS_PAUSE, MEASURED, steps));
        int after = forgotten();
        List<Long> atOnce = orders(() -> night(since, 0, Duration.ofHours(1), steps));
        Figures.print("a step", steps);
        print("nothing is forgotten", alone);
        System.out.printf("  %d lessons forgotten in %s with the night's pauses%n", after, MEASURED);
        print("with the night's pauses", paced);
        System.out.printf("  %d more without a pause%n", forgotten() - after);
        print("without a pause", atOnce);
    }

    private static void print(String when, List<Long> micros) {
        Figures.print("an order, " + when, micros);
        System.out.printf(
                "    99 %% within %.1f ms, %d of them took more than 50 ms%n",
                Figures.percentile(micros, 99) / 1000.0,
                micros.stream().filter(one -> one > 50_000).count());
    }

    private int forgotten() {
        return bean(Database.class)
                .read()
                .sql("SELECT count(*) FROM lesson_forgot WHERE kind = 'WORDS' AND lesson LIKE 'big-%'")
                .query(Integer.class)
                .single();
    }

    /** Lessons of one class that are over, with words that were really written, and with what is worked out from lessons worked out. */
    private void written() {
        Database database = bean(Database.class);
        LessonId like = new LessonId(database.read()
                .sql(
                        "SELECT lesson FROM lesson_event WHERE kind = 'said' AND lesson IN"
                                + " (SELECT lesson FROM lesson_stage WHERE over IS NOT NULL) GROUP BY lesson ORDER BY count(*) DESC LIMIT 1")
                .query(String.class)
                .single());
        List<LessonEvent> events = shortened(bean(Records.class).of(like).events());
        long starts =
                ZonedDateTime.now(ZoneOffset.UTC).minusYears(1).toInstant().toEpochMilli();
        database.each(
                "INSERT INTO lesson (id, class, starts, ends) SELECT ?, class, ?, ? FROM lesson WHERE id = ?",
                numbers()
                        .mapToObj(n -> new Object[] {
                            id(n).value(), starts + n * 60_000L, starts + n * 60_000L + 1, like.value()
                        })
                        .toList());
        for (String done : List.of(
                "INSERT INTO lesson_kept (lesson, seconds, alone) VALUES (?, 0, 0)",
                "INSERT INTO attendance_number (kind, id) VALUES ('LESSON', ?)",
                "INSERT INTO lesson_coverage SELECT id, class, ends, 0, 0, 0, 0, 0, 0, 0, 0, 0 FROM lesson WHERE id = ?")) {
            database.each(
                    done, numbers().mapToObj(n -> new Object[] {id(n).value()}).toList());
        }
        numbers().parallel().forEach(n -> bean(Records.class).write(id(n), events));
        System.out.printf("  %d lessons of %d events written%n", LESSONS, events.size());
    }

    /** Until so much was written in it, and then its end. */
    private static List<LessonEvent> shortened(List<LessonEvent> events) {
        var kept = new ArrayList<LessonEvent>();
        int words = 0;
        for (LessonEvent one : events) {
            if (words < WORDS) {
                kept.add(one);
            }
            words += one instanceof ChatEvent.Written ? 1 : 0;
        }
        return Stream.concat(kept.stream(), events.stream().filter(DoorEvent.Dismissed.class::isInstance))
                .toList();
    }

    private static IntStream numbers() {
        return IntStream.range(0, LESSONS);
    }

    private static LessonId id(int n) {
        return new LessonId("big-" + n);
    }

    /** Goes on until the words of all lessons are forgotten, or for so long. */
    private void night(Instant since, long pause, Duration atMost, List<Long> steps) {
        AtNight work = bean(LessonForgetting.class);
        long end = System.nanoTime() + atMost.toNanos();
        for (int n = 0; System.nanoTime() < end && (n % 100 != 0 || forgotten() < LESSONS); n++) {
            long began = System.nanoTime();
            work.step(since);
            steps.add((System.nanoTime() - began) / 1000);
            pause(pause);
        }
    }

    /** Words of an adult in a lesson, one after the other, as long as something else is done. */
    private List<Long> orders(Runnable meanwhile) throws Exception {
        var thora = new AsPerson(
                "http://localhost:" + application.getEnvironment().getProperty("local.server.port"), "thora-melling");
        String lesson = lesson(thora);
        var took = new ArrayList<Long>();
        var isDone = new AtomicBoolean();
        var other = new Thread(() -> {
            meanwhile.run();
            isDone.set(true);
        });
        other.start();
        while (!isDone.get()) {
            long began = System.nanoTime();
            thora.send("POST", lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"And now the next one.\"}");
            took.add((System.nanoTime() - began) / 1000);
            pause(50);
        }
        other.join();
        return took;
    }

    private String lesson(AsPerson thora) throws Exception {
        String made = thora.send(
                "POST",
                "/api/classes",
                "{\"title\":\"Measured %d\",\"year\":8,\"secondAdult\":\"anton-prowse\"}".formatted(System.nanoTime()));
        String ofClass = "/api/classes/" + id(made);
        ZonedDateTime soon = bean(Clock.class)
                .instant()
                .plusSeconds(300)
                .atZone(bean(School.class).zone());
        thora.send(
                "POST",
                ofClass + "/series",
                "{\"first\":\"%1$s\",\"until\":\"%1$s\",\"days\":[\"%2$s\"],\"start\":\"%3$tH:%3$tM\",\"minutes\":240}"
                        .formatted(soon.toLocalDate(), soon.getDayOfWeek(), soon));
        String lessons = thora.send("GET", ofClass, null);
        String lesson = "/api/lessons/" + id(lessons.substring(lessons.indexOf("\"lessons\"")));
        thora.send("POST", lesson + "/open", "{}");
        thora.follow(lesson + "/desk/stream");
        return lesson;
    }

    /** The first that something says of itself. */
    private static String id(String json) {
        return json.replaceFirst("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
    }

    private <T> T bean(Class<T> type) {
        return application.getBean(type);
    }

    private static void pause(long millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    /** Shows the true time, or some time later. */
    private static final class MovedClock extends Clock {
        private final AtomicReference<Duration> ahead;

        MovedClock(AtomicReference<Duration> ahead) {
            this.ahead = ahead;
        }

        @Override
        public Instant instant() {
            return Instant.now().plus(ahead.get());
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }
}
