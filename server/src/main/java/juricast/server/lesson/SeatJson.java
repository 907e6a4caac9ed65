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

/** A seat's view on the wire: only what the core's {@link SeatView} holds, in a pupil's words. */
@Component
class SeatJson {
    private final DoorWords door;
    private final RuleWords rules;

    SeatJson(DoorWords door, RuleWords rules) {
        this.door = door;
        this.rules = rules;
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
            List<Heard> words) {
        /** What can be seen, whenever it is looked at. */
        Seat timeless() {
            return new Seat(
                    0,
                    Instant.EPOCH,
                    title,
                    starts,
                    ends,
                    adults,
                    status,
                    why,
                    name,
                    shownName,
                    rights,
                    microphone,
                    camera,
                    screen,
                    handSince,
                    handsBefore,
                    classmates,
                    showing,
                    stance,
                    quiet,
                    stopped,
                    sign,
                    focus,
                    materials,
                    captions,
                    board,
                    held,
                    words);
        }
    }

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
    record Heard(int number, Instant at, boolean mine, String from, Readers.Kind to, String toName, String text) {}

    Seat of(LiveLesson.Snapshot lesson, VisitId visit, int after, Instant now) {
        LessonPlan plan = lesson.plan();
        SeatView view = SeatView.of(plan, lesson.state(), lesson.rights(now), visit, now);
        return new Seat(
                view.number(),
                now,
                plan.title(),
                plan.time().from(),
                plan.time().until(),
                plan.adults().stream().map(Member::name).toList(),
                view.status(),
                view.reasons().stream()
                        .map(code -> door.forArrival(code, plan, lesson.rules()))
                        .toList(),
                view.name().orElse(null),
                view.shownName().orElse(null),
                view.rights().stream().map(this::right).toList(),
                view.on().contains(Appliance.MICROPHONE),
                view.on().contains(Appliance.CAMERA),
                view.on().stream().anyMatch(Appliance::isShowing),
                view.handSince().orElse(null),
                view.handsBefore(),
                view.classmates().stream()
                        .map(one -> new Classmate(one.person().value(), one.name()))
                        .toList(),
                view.showing().orElse(null),
                view.stance().orElse(null),
                view.quiet(),
                view.stopped(),
                view.sign().orElse(null),
                view.focus().orElse(null),
                view.materials().stream()
                        .map(one -> new DeskJson.Handout(
                                one.number(), one.at(), plan.nameOf(one.by()), one.title(), one.body()))
                        .toList(),
                DeskJson.captions(view.captions(), plan),
                view.boardNumber(),
                view.held().size(),
                view.words().stream()
                        .filter(words -> words.number() > after)
                        .map(words -> heard(words, plan, view.name().orElse("")))
                        .toList());
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
                words.text());
    }
}
