package juricast.server.lesson;

import java.time.Instant;
import java.util.List;
import juricast.core.audience.SeatView;
import juricast.core.identity.Member;
import juricast.core.identity.VisitId;
import juricast.core.lesson.Appliance;
import juricast.core.lesson.LessonPlan;
import juricast.core.lesson.Readers;
import juricast.core.lesson.Sign;
import juricast.core.lesson.Visit;
import juricast.core.lesson.Words;
import juricast.core.rules.Setting;
import juricast.server.words.DoorWords;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** A seat's view on the wire: only what the core's {@link SeatView} holds, in a pupil's words. */
@Component
class SeatJson {
    private final DoorWords door;
    private final RuleWords rules;
    private final JsonMapper json;

    SeatJson(DoorWords door, RuleWords rules, JsonMapper json) {
        this.door = door;
        this.rules = rules;
        this.json = json;
    }

    /** A lesson as one arrival sees it. @param why the reasons at the door; empty once inside @param held own messages that wait */
    record Seat(
            int number,
            Instant now,
            String title,
            Instant starts,
            Instant ends,
            List<String> adults,
            Visit.Status status,
            List<String> why,
            @Nullable String name,
            @Nullable String shownName,
            List<Right> rights,
            boolean microphone,
            boolean camera,
            boolean screen,
            @Nullable Instant handSince,
            int handsBefore,
            List<Classmate> classmates,
            @Nullable String showing,
            @Nullable String stance,
            boolean quiet,
            boolean stopped,
            @Nullable Sign sign,
            @Nullable String focus,
            List<DeskJson.Handout> materials,
            List<DeskJson.CaptionLine> captions,
            int board,
            int held,
            List<Heard> words) {}

    /** The part of {@link Seat} that all with the same rights see alike, under the same names. */
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
            int board) {}

    /** The part of {@link Seat} that is one arrival's own, under the same names. */
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
            List<Classmate> classmates,
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
    Seat of(LiveLesson.Snapshot lesson, VisitId visit, Instant now) {
        SeatView view = SeatView.of(lesson.plan(), lesson.state(), lesson.rights(now), visit, 0, now);
        Room room = room(lesson, view.room());
        Own own = own(lesson, view);
        return new Seat(
                view.number(),
                now,
                room.title,
                room.starts,
                room.ends,
                room.adults,
                own.status,
                own.why,
                own.name,
                own.shownName,
                room.rights,
                own.microphone,
                own.camera,
                own.screen,
                own.handSince,
                own.handsBefore,
                own.classmates,
                room.showing,
                room.stance,
                room.quiet,
                room.stopped,
                own.sign,
                room.focus,
                room.materials,
                room.captions,
                room.board,
                own.held,
                heard(view, lesson.plan()));
    }

    /** The same for a stream, with the words after a number. */
    Shown shown(LiveLesson.Snapshot lesson, VisitId visit, int after, Instant now) {
        SeatView view = SeatView.of(lesson.plan(), lesson.state(), lesson.rights(now), visit, after, now);
        return new Shown(
                view.number(),
                view.status() == Visit.Status.IN ? view.number() : after,
                now,
                room(lesson, view.room()),
                own(lesson, view),
                words(lesson, view, after),
                lesson.shared());
    }

    private Room room(LiveLesson.Snapshot lesson, SeatView.Room seen) {
        return lesson.shared().once(seen, "on the wire", () -> {
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
                    seen.materials().stream()
                            .map(one -> new DeskJson.Handout(
                                    one.number(), one.at(), plan.nameOf(one.by()), one.title(), one.body()))
                            .toList(),
                    DeskJson.captions(seen.captions(), plan),
                    seen.boardNumber());
        });
    }

    private Own own(LiveLesson.Snapshot lesson, SeatView view) {
        return new Own(
                view.status(),
                view.reasons().stream()
                        .map(code -> door.forArrival(code, lesson.plan(), lesson.rules()))
                        .toList(),
                view.name().orElse(null),
                view.shownName().orElse(null),
                view.on().contains(Appliance.MICROPHONE),
                view.on().contains(Appliance.CAMERA),
                view.on().stream().anyMatch(Appliance::isShowing),
                view.handSince().orElse(null),
                view.handsBefore(),
                view.classmates().stream()
                        .map(one -> new Classmate(one.person().value(), one.name()))
                        .toList(),
                view.sign().orElse(null),
                view.held().size());
    }

    /** What was written to everybody reads the same for all but who wrote it, so it is encoded once. */
    private String words(LiveLesson.Snapshot lesson, SeatView view, int after) {
        if (view.words().isEmpty()) {
            return "";
        }
        String me = view.name().orElse("");
        boolean alike = view.words().stream()
                .allMatch(one -> one.to().kind() == Readers.Kind.CLASS
                        && !lesson.plan().nameOf(one.from()).equals(me));
        return alike
                ? lesson.shared().once(lesson, after, () -> json.writeValueAsString(heard(view, lesson.plan())))
                : json.writeValueAsString(heard(view, lesson.plan()));
    }

    private static List<Heard> heard(SeatView view, LessonPlan plan) {
        return view.words().stream()
                .map(words -> heard(words, plan, view.name().orElse("")))
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

    private static Heard heard(Words words, LessonPlan plan, String me) {
        String from = plan.nameOf(words.from());
        return new Heard(
                words.number(),
                words.at(),
                from.equals(me),
                from,
                words.to().kind(),
                words.to().one().map(plan::nameOf).orElse(""),
                words.text(),
                DeskJson.file(words.file()));
    }
}
