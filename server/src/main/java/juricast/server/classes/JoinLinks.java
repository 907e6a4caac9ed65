package juricast.server.classes;

import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.joining.LinkKey;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.data.Topic;
import org.springframework.stereotype.Component;

/**
 * The links that lead to a door: one of each class for its pupils, one for its staff, and one of each visitor for a single
 * lesson (needs B3, B8). Each kind has a key of its own, so none can be made into another.
 */
@Component
public class JoinLinks {
    private static final String STAFF = "staff";
    private static final String VISITOR = "visitor";

    private final Database database;
    private final School school;
    private final Classes classes;
    private final Planning planning;

    JoinLinks(Database database, School school, Classes classes, Planning planning) {
        this.database = database;
        this.school = school;
        this.classes = classes;
        this.planning = planning;
    }

    /** Who a link is for. */
    public enum Kind {
        PUPILS,
        STAFF,
        VISITOR
    }

    /** Who was invited by a link of their own, and to which lesson. */
    public record Invited(LessonId lesson, Member visitor) {}

    /** Where a link leads. @param current whether it still counts, or was renewed since */
    public record Led(Kind kind, Classes.SchoolClass ofClass, boolean current, Optional<Invited> invited) {}

    /** Nothing if no link of this school is written so. */
    public Optional<Led> read(String token) {
        return ofPupils(token).or(() -> ofStaff(token)).or(() -> ofVisitor(token));
    }

    private Optional<Led> ofPupils(String token) {
        return school.linkKey().read(token).flatMap(link -> classes.byLink(link.number())
                .filter(found -> link.renewal() <= found.link().renewal())
                .map(found -> new Led(
                        Kind.PUPILS, found, link.renewal() == found.link().renewal(), Optional.empty())));
    }

    private Optional<Led> ofStaff(String token) {
        return school.linkKey(STAFF).read(token).flatMap(link -> classes.byLink(link.number())
                .map(found ->
                        new Led(Kind.STAFF, found, link.renewal() == staffRenewal(found.id()), Optional.empty())));
    }

    private record VisitorRow(LessonId lesson, PersonId person, int renewal) {}

    private Optional<Led> ofVisitor(String token) {
        return school.linkKey(VISITOR).read(token).flatMap(link -> database.read()
                .sql("SELECT * FROM visitor_link WHERE number = :number")
                .param("number", link.number())
                .query((row, n) -> new VisitorRow(
                        new LessonId(row.getString("lesson")),
                        new PersonId(row.getString("person")),
                        row.getInt("renewal")))
                .optional()
                .flatMap(row -> classes.lesson(row.lesson)
                        .flatMap(lesson -> classes.find(lesson.ofClass()))
                        .map(found -> {
                            Optional<Invited> invited = planning.visitors(row.lesson).stream()
                                    .filter(one -> one.person().equals(row.person))
                                    .map(one -> new Invited(row.lesson, one))
                                    .findFirst();
                            boolean current = invited.isPresent() && row.renewal == link.renewal();
                            return new Led(Kind.VISITOR, found, current, invited);
                        })));
    }

    /** The path of the link that pupils of a class use. */
    public String ofClass(Classes.SchoolClass found) {
        return path(school.linkKey(), found.link());
    }

    /** The path of the link that leads its adults to the desk, after signing in. */
    public String ofStaff(Classes.SchoolClass found) {
        return path(school.linkKey(STAFF), new LinkKey.Link(found.link().number(), staffRenewal(found.id())));
    }

    /** The path of a visitor's own link to one lesson. */
    public String ofVisitor(LessonId lesson, PersonId visitor) {
        LinkKey.Link link = visitorLink(lesson, visitor).orElseGet(() -> {
            database.append(sql -> sql.sql(
                            "INSERT INTO visitor_link (lesson, person) VALUES (:lesson, :person) ON CONFLICT DO NOTHING")
                    .param("lesson", lesson.value())
                    .param("person", visitor.value())
                    .update());
            return visitorLink(lesson, visitor).orElseThrow();
        });
        return path(school.linkKey(VISITOR), link);
    }

    private Optional<LinkKey.Link> visitorLink(LessonId lesson, PersonId visitor) {
        return database.read()
                .sql("SELECT number, renewal FROM visitor_link WHERE lesson = :lesson AND person = :person")
                .param("lesson", lesson.value())
                .param("person", visitor.value())
                .query((row, n) -> new LinkKey.Link(row.getInt(1), row.getInt(2)))
                .optional();
    }

    private static String path(LinkKey key, LinkKey.Link link) {
        return "/join/" + key.token(link);
    }

    private int staffRenewal(ClassId id) {
        return database.read()
                .sql("SELECT staff_renewal FROM class WHERE id = :id")
                .param("id", id.value())
                .query(Integer.class)
                .single();
    }

    void renewStaff(ClassId id) {
        database.write(
                sql -> sql.sql("UPDATE class SET staff_renewal = staff_renewal + 1 WHERE id = :id")
                        .param("id", id.value())
                        .update(),
                Topic.PLAN);
    }

    void renewVisitor(LessonId lesson, PersonId visitor) {
        database.write(
                sql -> sql.sql(
                                "UPDATE visitor_link SET renewal = renewal + 1 WHERE lesson = :lesson AND person = :person")
                        .param("lesson", lesson.value())
                        .param("person", visitor.value())
                        .update(),
                Topic.PLAN);
    }
}
