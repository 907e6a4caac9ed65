package juricast.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;

/** A casebook of 20,000 incidents: found by words, looked through for patterns; and an evidence pack of a long lesson. */
final class Casebook20000 {
    private static final int INCIDENTS = 20_000;
    private static final int OF_A_YEAR = 4_000;
    private static final int EVENTS = 2_000;
    private static final int TIMES = 30;
    private static final List<String> WORDS = List.of(
            "barnacle",
            "ferry",
            "chart",
            "quiet",
            "laughed",
            "mother",
            "again",
            "boat",
            "map",
            "sorry",
            "shouted",
            "hid",
            "lantern",
            "rope",
            "storm",
            "alone",
            "group",
            "left",
            "morning",
            "reading");

    private Casebook20000() {}

    static void measure(RunningJar demo) throws Exception {
        fill(demo);
        var lead = new AsPerson(demo, "maren-oddlund");
        each("the casebook, its latest page", () -> lead.send("GET", "/api/casebook", null));
        each(
                "found by two words, of which thousands have each",
                () -> lead.send("GET", "/api/casebook?find=barnacle+ferry", null));
        each(
                "found by a name and the beginning of a word",
                () -> lead.send("GET", "/api/casebook?find=zeb+corran+lant", null));
        var teacher = new AsPerson(demo, "orla-venn");
        each("the same by a teacher, who may read few", () -> teacher.send("GET", "/api/casebook?find=ferry", null));
        each("patterns of a school year", () -> lead.send("GET", "/api/casebook/patterns?from=" + daysAgo(360), null));
        each("fairness of a school year", () -> lead.send("GET", "/api/casebook/fairness?from=" + daysAgo(360), null));
        pack(demo, lead);
    }

    private static String daysAgo(int days) {
        return java.time.LocalDate.now(java.time.ZoneOffset.UTC).minusDays(days).toString();
    }

    private static void each(String what, Callable<?> question) throws Exception {
        var took = new ArrayList<Long>();
        for (int n = 0; n < 2 * TIMES; n++) {
            long began = System.nanoTime();
            question.call();
            if (n >= TIMES) {
                took.add((System.nanoTime() - began) / 1000);
            }
        }
        Figures.print(what, took);
    }

    /** An adult gives two thousand orders within minutes, then marks the moment: all of them are its evidence. */
    private static void pack(RunningJar demo, AsPerson lead) throws Exception {
        String lesson = "/api/lessons/weather-lab-9-1.3-2";
        var adult = new AsPerson(demo, "corvin-hale");
        adult.follow(lesson + "/desk/stream");
        for (int n = 0; n < EVENTS; n++) {
            adult.send(
                    "PUT",
                    lesson + "/live-setting",
                    "{\"rule\":\"chat.class\",\"value\":\"%s\"}".formatted(n % 2 == 0 ? "open" : "closed"));
        }
        adult.send("POST", lesson + "/moments", "{\"text\":\"two thousand orders\"}");
        String found = "";
        while (!found.contains("two thousand orders")) {
            found = lead.send("GET", "/api/casebook?find=thousand+orders", null);
        }
        String number = found.replaceAll("(?s).*?\"number\":(\\d+).*", "$1");
        var made = new ArrayList<Long>();
        var checked = new ArrayList<Long>();
        byte[] pack = {};
        for (int n = 0; n < 2 * TIMES; n++) {
            long began = System.nanoTime();
            pack = lead.bytes("/api/casebook/" + number + "/pack");
            long between = System.nanoTime();
            String answer = lead.upload("/api/evidence/check", pack);
            if (!answer.contains("\"whole\":true")) {
                throw new IllegalStateException("The pack is not whole: " + answer);
            }
            if (n >= TIMES) {
                made.add((between - began) / 1000);
                checked.add((System.nanoTime() - between) / 1000);
            }
        }
        System.out.printf("  a pack of %,d bytes%n", pack.length);
        Figures.print("a pack of a lesson with 2,000 events, made", made);
        Figures.print("the same, checked against signature and records", checked);
    }

    /** As the index keeps them: lists, searches and patterns read nothing else. */
    private static void fill(RunningJar demo) throws SQLException {
        var random = new Random(7);
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + demo.file())) {
            file.setAutoCommit(false);
            var pupils = new ArrayList<String[]>();
            try (var people = file.createStatement();
                    var row = people.executeQuery("SELECT id, name FROM person WHERE position = 'PUPIL'")) {
                while (row.next()) {
                    pupils.add(new String[] {row.getString(1), row.getString(2)});
                }
            }
            try (var incident = file.prepareStatement(
                            "INSERT INTO incident (id, title, act, act_name, severity, origin, lead_only, class, year,"
                                    + " moment, opened, changed, closed, highest) SELECT ?1, 'Insults', 'insult', 'Insults', 'MIDDLE',"
                                    + " 'STEP', 0, id, coalesce(year, 0), ?2, ?2, ?2, ?2, ?3 FROM class"
                                    + " ORDER BY id LIMIT 1 OFFSET ?1 % 34");
                    var person = file.prepareStatement(
                            "INSERT OR IGNORE INTO incident_person (incident, person, part) VALUES (?1, ?2, ?3)");
                    var step = file.prepareStatement("INSERT INTO incident_step (incident, lesson, number, person, act,"
                            + " step, name, level, proposed, outside, by, at) VALUES (?1, 'none', ?1, ?2, 'insult', 'x', 'x',"
                            + " ?3, 2, ?4, ?5, ?6)");
                    var words = file.prepareStatement(
                            "INSERT INTO incident_words (rowid, open, leads) VALUES (?1, ?2, '')")) {
                long now = Instant.now().toEpochMilli();
                for (int n = 1000; n < 1000 + INCIDENTS; n++) {
                    int age = n < 1000 + INCIDENTS - OF_A_YEAR ? 400 + random.nextInt(2000) : random.nextInt(360);
                    long at = now - Duration.ofDays(age).toMillis();
                    String[] did = pupils.get(random.nextInt(pupils.size()));
                    String[] to = pupils.get(random.nextInt(pupils.size()));
                    int level = 1 + random.nextInt(6);
                    incident.setInt(1, n);
                    incident.setLong(2, at);
                    incident.setInt(3, level);
                    incident.executeUpdate();
                    add(person, n, did[0], "DID");
                    add(person, n, to[0], "SUFFERED");
                    add(person, n, "orla-venn", "ACTED");
                    step.setInt(1, n);
                    step.setString(2, did[0]);
                    step.setInt(3, level);
                    step.setInt(4, level >= 5 ? 1 : 0);
                    step.setString(5, n % 2 == 0 ? "orla-venn" : "greta-lomond");
                    step.setLong(6, at);
                    step.executeUpdate();
                    var text = new StringBuilder(n + " Insults " + did[1] + " " + to[1]);
                    for (int w = 0; w < 60; w++) {
                        text.append(' ')
                                .append(WORDS.get(random.nextInt(WORDS.size())))
                                .append(w % 7 == 0 ? n % 997 : "");
                    }
                    words.setInt(1, n);
                    words.setString(2, text.toString());
                    words.executeUpdate();
                }
            }
            file.commit();
        }
    }

    private static void add(java.sql.PreparedStatement to, int incident, String person, String part)
            throws SQLException {
        to.setInt(1, incident);
        to.setString(2, person);
        to.setString(3, part);
        to.executeUpdate();
    }
}
