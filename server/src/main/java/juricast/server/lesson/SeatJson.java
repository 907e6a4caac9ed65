package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.audience.SeatView;
import juricast.core.chat.Readers;
import juricast.core.chat.Words;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.live.Visit;
import juricast.core.rights.Appliance;
import juricast.core.rules.Setting;
import juricast.core.signals.Sign;
import juricast.server.words.RuleWords;
import juricast.server.words.VerdictWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** A seat's view on the wire: only what the core's {@link SeatView} holds, in a pupil's words. */
@Component
class SeatJson {
    private final VerdictWords door;
    private final RuleWords rules;
    private final JsonMapper json;

    SeatJson(VerdictWords door, RuleWords rules, JsonMapper json) {
        this.door = door;
        this.rules = rules;
        this.json = json;
    }

    /** A lesson as one arrival sees it; on the wire its parts are one. */
    record Seat(int number, Instant now, @JsonUnwrapped Room room, @JsonUnwrapped Own own, List<Heard> words) {}

    /** What all with the same rights see alike. */
    record Room(
            String title,
            Instant starts,
            Instant ends,
            List<String> adults,
            List<Right> rights,
            @Nullable String showing,
            @Nullable String stance,
            boolean quiet,
            boolean stopped,
            @Nullable String focus,
            List<DeskJson.Handout> materials,
            List<DeskJson.CaptionLine> captions,
            int board,
            @Nullable SeatHelp help,
            List<String> observers) {}

    /** What a trusted pupil helps with. @param door who waits and is surely on the list @param hands whose hand is up */
    record SeatHelp(List<Right> rights, List<AtDoor> door, List<Classmate> hands, boolean chatPaused) {}

    record AtDoor(String visit, String name) {}

    /** What is one arrival's own. @param why the reasons at the door; empty once inside @param held own messages that wait */
    record Own(
            Visit.Status status,
            List<String> why,
            @Nullable String name,
            @Nullable String shownName,
            boolean microphone,
            boolean camera,
            boolean screen,
            @Nullable Instant handSince,
            int handsBefore,
            boolean allowedBack,
            List<Reader> classmates,
            @Nullable Sign sign,
            int held) {}

    /** One right. @param line what to do or when it changes, in a few words @param until when a pass or curb ends */
    record Right(
            String rule,
            String title,
            String value,
            boolean bound,
            DeskJson.Loan loan,
            @Nullable Instant until,
            String line) {}

    record Classmate(String id, String name) {}

    /** Whom one may write to alone. @param readAlong whether the adults read along, as with everybody from outside */
    record Reader(String id, String name, boolean readAlong) {}

    /** Something written. @param mine whether this person wrote it */
    record Heard(
            int number,
            Instant at,
            boolean mine,
            String from,
            Readers.Kind to,
            String toName,
            String text,
            DeskJson.@Nullable FileLine file) {}

    /** The whole seat, with all its words. */
    Seat of(Snapshot lesson, VisitId visit, Instant now) {
        Looks looks = looks(lesson, visit, now);
        List<Heard> words = heard(SeatView.words(lesson.state(), visit, 0), lesson, visit);
        return new Seat(lesson.state().number(), now, looks.room, looks.own, words);
    }

    /** The same for a stream, with the words after a number. */
    Shown shown(Snapshot lesson, VisitId visit, int after, Instant now) {
        Looks looks = looks(lesson, visit, now);
        int number = lesson.state().number();
        return new Shown(
                number,
                looks.own.status == Visit.Status.IN ? number : after,
                now,
                looks.room,
                looks.own,
                looks.own.status == Visit.Status.IN ? words(lesson, visit, looks.person, after) : "",
                lesson.shared());
    }

    /** All of a seat but what was written, and whose it is. */
    private record Looks(Room room, Own own, Optional<PersonId> person) {}

    /** Made anew only when something but words is new: most of what thirty seats are told is words. */
    private Looks looks(Snapshot lesson, VisitId visit, Instant now) {
        LiveLesson.Seen seen = lesson.seen(now);
        return seen.shared().once(seen, visit, () -> {
            // Without the words, which are looked up each time.
            int all = lesson.state().number();
            SeatView view = SeatView.of(lesson.plan(), lesson.state(), seen.rights(), visit, all, now);
            Optional<PersonId> person = lesson.state().of(DOOR).visit(visit).flatMap(Visit::person);
            return new Looks(room(lesson, seen, view.room()), own(lesson, view), person);
        });
    }

    private Room room(Snapshot lesson, LiveLesson.Seen known, SeatView.Room seen) {
        return known.shared().once(seen, "on the wire", () -> {
            LessonPlan plan = lesson.plan();
            return new Room(
                    plan.title(),
                    plan.time().from(),
                    plan.time().until(),
                    plan.adults().stream().map(Member::name).toList(),
                    seen.rights().stream().map(this::right).toList(),
                    seen.showing().orElse(null),
                    seen.stance().orElse(null),
                    seen.quiet(),
                    seen.stopped(),
                    seen.focus().orElse(null),
                    DeskJson.handouts(seen.materials(), plan),
                    DeskJson.captions(seen.captions(), plan),
                    seen.boardNumber(),
                    seen.helping().map(this::help).orElse(null),
                    seen.observers());
        });
    }

    private SeatHelp help(SeatView.Helping helping) {
        return new SeatHelp(
                helping.rights().stream().map(this::right).toList(),
                helping.door().stream()
                        .map(one -> new AtDoor(one.visit().value(), one.name()))
                        .toList(),
                helping.hands().stream()
                        .map(one -> new Classmate(one.person().value(), one.name()))
                        .toList(),
                helping.chatPaused());
    }

    private Own own(Snapshot lesson, SeatView view) {
        return new Own(
                view.status(),
                view.reasons().stream()
                        .map(code -> door.forArrival(
                                code, lesson.plan(), lesson.live().all()))
                        .toList(),
                view.name().orElse(null),
                view.shownName().orElse(null),
                view.on().contains(Appliance.MICROPHONE),
                view.on().contains(Appliance.CAMERA),
                view.on().stream().anyMatch(Appliance::isShowing),
                view.handSince().orElse(null),
                view.handsBefore(),
                view.allowedBack(),
                view.classmates().stream()
                        .map(one -> new Reader(
                                one.person().value(), one.name(), view.isVisitor() || one.role() == Role.VISITOR))
                        .toList(),
                view.sign().orElse(null),
                view.held().size());
    }

    /** What was written to everybody reads the same for all but who wrote it, so it is encoded once. */
    private String words(Snapshot lesson, VisitId visit, Optional<PersonId> me, int after) {
        Written written = lesson.shared().once(lesson, after, () -> written(lesson, after));
        if (written.words.isEmpty()) {
            return "";
        }
        if (written.toAll && me.filter(written.authors::contains).isEmpty()) {
            return written.encoded;
        }
        List<Words> mine = SeatView.words(lesson.state(), visit, after);
        return mine.isEmpty() ? "" : json.writeValueAsString(heard(mine, lesson, visit));
    }

    /** What was written after a number. @param encoded as it reads for who wrote none of it; empty unless all is to all */
    private record Written(List<Words> words, boolean toAll, Set<PersonId> authors, String encoded) {}

    private Written written(Snapshot lesson, int after) {
        List<Words> words = SeatView.wordsAfter(lesson.state(), after);
        boolean toAll = words.stream().allMatch(one -> one.to().kind() == Readers.Kind.CLASS);
        return new Written(
                words,
                toAll,
                words.stream().map(Words::from).collect(Collectors.toSet()),
                toAll
                        ? json.writeValueAsString(words.stream()
                                .map(one -> heard(one, lesson.plan(), false))
                                .toList())
                        : "");
    }

    private static List<Heard> heard(List<Words> all, Snapshot lesson, VisitId visit) {
        Optional<PersonId> me = lesson.state().of(DOOR).visit(visit).flatMap(Visit::person);
        return all.stream()
                .map(words -> heard(words, lesson.plan(), me.equals(Optional.of(words.from()))))
                .toList();
    }

    private Right right(SeatView.Right right) {
        return new Right(
                right.ruling().rule().key(),
                capitalised(right.ruling().rule().pupilWords()),
                right.ruling().value().text(),
                right.ruling().floor().isPresent(),
                DeskJson.loan(right.loan()),
                right.loan().map(Setting::until).orElse(null),
                rules.seatLine(right.ruling(), right.loan()));
    }

    private static String capitalised(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static Heard heard(Words words, LessonPlan plan, boolean mine) {
        return new Heard(
                words.number(),
                words.at(),
                mine,
                plan.nameOf(words.from()),
                words.to().kind(),
                words.to().one().map(plan::nameOf).orElse(""),
                words.text(),
                DeskJson.file(words.file()));
    }
}
