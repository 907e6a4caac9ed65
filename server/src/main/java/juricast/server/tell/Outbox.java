package juricast.server.tell;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.telling.Template;
import juricast.server.data.Addresses;
import juricast.server.data.Database;
import juricast.server.data.School;
import org.springframework.stereotype.Component;

/**
 * What goes out to people (need C3). A message is written down before it is given to the {@link Post}, and what it is about names
 * it, so that nobody is told twice, however often somebody asks.
 */
@Component
class Outbox {
    private final Database database;
    private final School school;
    private final Addresses addresses;
    private final Post post;
    private final Clock clock;

    Outbox(Database database, School school, Addresses addresses, Post post, Clock clock) {
        this.database = database;
        this.school = school;
        this.addresses = addresses;
        this.post = post;
        this.clock = clock;
    }

    /** What is to be said. @param about names what it is about, together with the kind and the person */
    record Wanted(
            MessageKind kind,
            String about,
            Optional<String> ofClass,
            Optional<String> lesson,
            Member to,
            Map<String, String> values) {}

    /** What went out. */
    record Sent(
            long id,
            MessageKind kind,
            String ofClass,
            String lesson,
            PersonId person,
            String name,
            Post.Way way,
            String subject,
            String body,
            Instant at) {}

    /** Says all of it that was not said before. @return how many went out */
    int send(List<Wanted> wanted) {
        if (wanted.isEmpty()) {
            return 0;
        }
        Map<MessageKind, Template> templates = templates();
        long at = clock.millis();
        List<Post.Letter> letters = database.append(sql -> {
            var fresh = new ArrayList<Post.Letter>();
            for (Wanted one : wanted) {
                Template words = templates.get(one.kind).filled(values(one));
                Post.Way way = one.to.role() == Role.PUPIL || one.to.role() == Role.CLASS_MONITOR
                        ? Post.Way.TEXT
                        : Post.Way.MAIL;
                int added = sql.sql(
                                """
                        INSERT INTO message (kind, about, class, lesson, person, name, way, subject, body, at)
                        VALUES (:kind, :about, :class, :lesson, :person, :name, :way, :subject, :body, :at)
                        ON CONFLICT (kind, about, person) DO NOTHING""")
                        .param("kind", one.kind.name())
                        .param("about", one.about)
                        .param("class", one.ofClass.orElse(""))
                        .param("lesson", one.lesson.orElse(""))
                        .param("person", one.to.person().value())
                        .param("name", one.to.name())
                        .param("way", way.name())
                        .param("subject", words.subject())
                        .param("body", words.body())
                        .param("at", at)
                        .update();
                if (added == 1) {
                    fresh.add(new Post.Letter(
                            one.to.person().value(), one.to.name(), way, words.subject(), words.body()));
                }
            }
            return fresh;
        });
        letters.forEach(post::carry);
        return letters.size();
    }

    private Map<String, String> values(Wanted one) {
        var values = new HashMap<>(one.values);
        values.put("name", one.to.name());
        values.put("school", school.identity().map(School.Identity::name).orElse(""));
        values.putIfAbsent("page", addresses.of(one.to.role().isAdultInCharge() ? "/timetable" : "/today"));
        return values;
    }

    /** The words of each kind: the school's own where there are some. */
    Map<MessageKind, Template> templates() {
        var templates = new EnumMap<MessageKind, Template>(MessageKind.class);
        for (MessageKind kind : MessageKind.values()) {
            templates.put(kind, kind.usual());
        }
        database.read()
                .sql("SELECT * FROM message_template")
                .query((row, n) -> templates.put(
                        MessageKind.valueOf(row.getString("kind")),
                        new Template(row.getString("subject"), row.getString("body"))))
                .list();
        return templates;
    }

    /** Gives a kind the school's own words, or the usual ones again. */
    void word(MessageKind kind, Optional<Template> words, PersonId by) {
        database.append(sql -> {
            sql.sql("DELETE FROM message_template WHERE kind = :kind")
                    .param("kind", kind.name())
                    .update();
            words.ifPresent(own -> sql.sql(
                            """
                    INSERT INTO message_template (kind, subject, body, by, at)
                    VALUES (:kind, :subject, :body, :by, :at)""")
                    .param("kind", kind.name())
                    .param("subject", own.subject())
                    .param("body", own.body())
                    .param("by", by.value())
                    .param("at", clock.millis())
                    .update());
            return null;
        });
    }

    /**
     * What went out, the latest first.
     *
     * @param classes of which classes; nothing for all
     * @param before only those with a lower id
     */
    List<Sent> sent(Optional<Set<String>> classes, Optional<MessageKind> kind, String name, long before, int most) {
        var of = new ArrayList<>(classes.orElse(Set.of()));
        of.add("-"); // a list in SQL is never empty
        return database.read()
                .sql(
                        """
                    SELECT * FROM message WHERE id < :before AND (:kind = '' OR kind = :kind)
                    AND (:all OR class IN (:classes)) AND (:name = '' OR instr(lower(name), lower(:name)) > 0)
                    ORDER BY id DESC LIMIT :most""")
                .param("before", before)
                .param("kind", kind.map(MessageKind::name).orElse(""))
                .param("all", classes.isEmpty())
                .param("classes", of)
                .param("name", name)
                .param("most", most)
                .query((row, n) -> new Sent(
                        row.getLong("id"),
                        MessageKind.valueOf(row.getString("kind")),
                        row.getString("class"),
                        row.getString("lesson"),
                        new PersonId(row.getString("person")),
                        row.getString("name"),
                        Post.Way.valueOf(row.getString("way")),
                        row.getString("subject"),
                        row.getString("body"),
                        Instant.ofEpochMilli(row.getLong("at"))))
                .list();
    }
}
