package juricast.server.tell;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.exchange.TimetableChange;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.joining.LinkKey;
import juricast.core.joining.WayIn;
import juricast.core.time.Span;
import juricast.server.classes.Classes;
import juricast.server.classes.JoinLinks;
import juricast.server.data.Addresses;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.ical.CalendarText;
import juricast.server.rules.Settings;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Value;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.LastModified;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Status;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.stereotype.Component;

/**
 * Lessons as calendars that other programs keep up to date (need B9), each at an address that is its only key. The link to a door
 * stands only in a person's own, and only where the rules let it: a calendar is copied to more places than a link should be.
 */
@Component
class Feeds {
    private static final Duration PAST = Duration.ofDays(31);
    /** Lines are folded afterwards, by octets; the library counts letters. */
    private static final int UNFOLDED = 100_000;

    private static final Duration AHEAD = Duration.ofDays(400);

    private final Database database;
    private final School school;
    private final Classes classes;
    private final Settings settings;
    private final JoinLinks links;
    private final Addresses addresses;

    Feeds(Database database, School school, Classes classes, Settings settings, JoinLinks links, Addresses addresses) {
        this.database = database;
        this.school = school;
        this.classes = classes;
        this.settings = settings;
        this.links = links;
        this.addresses = addresses;
    }

    /** Whose lessons a calendar holds. */
    enum Kind {
        CLASS,
        PERSON
    }

    /** One calendar. */
    record Feed(Kind kind, String subject) {}

    private record Row(int number, int renewal, Feed feed) {}

    /** The path at which a calendar is found. */
    String path(Feed feed) {
        Row row = row(feed).orElseGet(() -> {
            database.append(
                    sql -> sql.sql("INSERT INTO feed (kind, subject) VALUES (:kind, :subject) ON CONFLICT DO NOTHING")
                            .param("kind", feed.kind.name())
                            .param("subject", feed.subject)
                            .update());
            return row(feed).orElseThrow();
        });
        return "/feeds/" + school.linkKey("feed").token(new LinkKey.Link(row.number, row.renewal)) + ".ics";
    }

    /** Gives it another address; the old one leads nowhere from now on. */
    void renew(Feed feed) {
        path(feed);
        database.append(
                sql -> sql.sql("UPDATE feed SET renewal = renewal + 1 WHERE kind = :kind AND subject = :subject")
                        .param("kind", feed.kind.name())
                        .param("subject", feed.subject)
                        .update());
    }

    private Optional<Row> row(Feed feed) {
        return database.read()
                .sql("SELECT * FROM feed WHERE kind = :kind AND subject = :subject")
                .param("kind", feed.kind.name())
                .param("subject", feed.subject)
                .query((row, n) -> new Row(row.getInt("number"), row.getInt("renewal"), feed))
                .optional();
    }

    /** The calendar at an address that still counts: a person's own ends with the account. */
    Optional<Feed> read(String token, Instant now) {
        return school.linkKey("feed").read(token).flatMap(link -> database.read()
                .sql(
                        """
                        SELECT * FROM feed WHERE number = :number AND renewal = :renewal
                          AND (kind <> 'PERSON' OR subject NOT IN (SELECT id FROM person WHERE account_ends <= :now))""")
                .param("number", link.number())
                .param("renewal", link.renewal())
                .param("now", now.toEpochMilli())
                .query((row, n) -> new Feed(Kind.valueOf(row.getString("kind")), row.getString("subject")))
                .optional());
    }

    private record Entry(
            LessonId id, ClassId ofClass, String title, Span time, boolean cancelled, int changes, Instant changed) {}

    /** The lessons of the last month and of the year to come, as RFC 5545 has it. */
    String calendar(Feed feed, Instant now) {
        var calendar = new Calendar();
        calendar.add(new ProdId("-//Juricast//Lessons//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(new XProperty("X-WR-CALNAME", nameOf(feed)));
        var refresh = new XProperty("REFRESH-INTERVAL", "PT1H");
        refresh.add(Value.DURATION);
        calendar.add(refresh);
        for (Entry one : entries(feed, now)) {
            var event = new VEvent(one.time.from(), one.time.until(), one.title);
            event.removeAll("DTSTAMP");
            // Without a METHOD this is when the entry was last changed (RFC 5545, 3.8.7.2), and stays so until it is
            // again.
            event.add(new DtStamp(one.changed));
            event.add(new LastModified(one.changed));
            event.add(new Uid(TimetableChange.uidOf(one.id)));
            event.add(new Sequence(one.changes));
            event.add(new Status(one.cancelled ? Status.VALUE_CANCELLED : Status.VALUE_CONFIRMED));
            String adults = String.join(" and ", adults(one));
            Optional<String> link = link(feed, one, now).map(addresses::of);
            event.add(new Description((adults.isEmpty() ? "" : "With " + adults + ". ")
                    + link.map("The way in: "::concat).orElse("The way in is on your own page in Juricast.")));
            link.ifPresent(door -> event.add(new Url(URI.create(door))));
            calendar.add(event);
        }
        var out = new StringWriter();
        try {
            new CalendarOutputter(false, UNFOLDED).output(calendar, out);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return CalendarText.folded(out.toString());
    }

    /** The path of the door, for whom the rules let their own calendar say it. */
    private Optional<String> link(Feed feed, Entry one, Instant now) {
        if (feed.kind == Kind.CLASS || one.cancelled || one.time.until().isBefore(now)) {
            return Optional.empty();
        }
        return members(one).stream()
                .filter(member -> member.person().value().equals(feed.subject))
                .filter(member -> WayIn.isInCalendars(settings.ofLesson(one.id), member.role(), one.time))
                .findFirst()
                .flatMap(member -> classes.find(one.ofClass))
                .map(links::ofClass);
    }

    private List<Member> members(Entry one) {
        return classes.membersOf(
                new Classes.Planned(one.id, one.ofClass, one.title, one.time, one.cancelled), one.time.from());
    }

    private List<String> adults(Entry one) {
        return members(one).stream()
                .filter(member -> member.role().isAdultInCharge())
                .map(Member::name)
                .toList();
    }

    private String nameOf(Feed feed) {
        String name = school.identity().map(School.Identity::name).orElse("School");
        return feed.kind == Kind.CLASS
                ? classes.find(new ClassId(feed.subject))
                        .map(Classes.SchoolClass::title)
                        .orElse(name)
                : "Lessons, " + name;
    }

    private List<Entry> entries(Feed feed, Instant now) {
        var of = new ArrayList<String>();
        if (feed.kind == Kind.CLASS) {
            of.add(feed.subject);
        } else {
            classes.of(new PersonId(feed.subject), now)
                    .forEach(one -> of.add(one.id().value()));
        }
        of.add(""); // a list in SQL is never empty
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, class.title,
                        (SELECT count(*) + sum(undone_at > 0) FROM lesson_change
                            JOIN plan_change ON plan_change.id = lesson_change.change
                            WHERE lesson_change.lesson = lesson.id) AS changes,
                        max(
                            (SELECT coalesce(min(since), 0) FROM class_member WHERE class_member.class = lesson.class),
                            (SELECT coalesce(max(max(made_at, undone_at)), 0) FROM plan_change WHERE id IN (
                                SELECT change FROM lesson_change WHERE lesson_change.lesson = lesson.id
                                UNION SELECT change FROM lesson_cover WHERE lesson_cover.lesson = lesson.id
                                UNION SELECT ended_by FROM lesson_cover WHERE lesson_cover.lesson = lesson.id))) AS changed
                    FROM lesson JOIN class ON class.id = lesson.class
                    WHERE starts > :from AND starts < :until AND (class IN (:classes) OR EXISTS (SELECT 1 FROM lesson_cover
                        WHERE lesson_cover.lesson = lesson.id AND adult = :person AND ended_at = 0))
                      AND NOT EXISTS (SELECT 1 FROM lesson_cover
                        WHERE lesson_cover.lesson = lesson.id AND instead_of = :person AND :person <> '' AND ended_at = 0)
                    ORDER BY starts""")
                .param("from", now.minus(PAST).toEpochMilli())
                .param("until", now.plus(AHEAD).toEpochMilli())
                .param("classes", of)
                .param("person", feed.kind == Kind.PERSON ? feed.subject : "")
                .query((row, n) -> new Entry(
                        new LessonId(row.getString("id")),
                        new ClassId(row.getString("class")),
                        Classes.titleOf(row),
                        new Span(
                                Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                        row.getInt("cancelled") != 0,
                        row.getInt("changes"),
                        Instant.ofEpochMilli(row.getLong("changed"))))
                .list();
    }
}
