package juricast.server.lesson;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.audience.DeskView;
import juricast.core.entry.Reason;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.lesson.Appliance;
import juricast.core.lesson.LessonPlan;
import juricast.core.lesson.Readers;
import juricast.core.lesson.Visit;
import juricast.core.lesson.Words;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.time.Span;
import juricast.server.words.DoorWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The desk's view on the wire, with sentences in place of codes. */
@Component
class DeskJson {
    private final DoorWords door;

    DeskJson(DoorWords door) {
        this.door = door;
    }

    /** A live lesson for its adults. @param words those written after the number the browser knows */
    record Desk(
            int number,
            Instant now,
            String lesson,
            String title,
            Instant starts,
            Instant ends,
            DeskView.Phase phase,
            @Nullable Instant openedAt,
            @Nullable Instant dismissedAt,
            boolean iAmIn,
            DoorValue door,
            List<Column> columns,
            List<DeskAdult> adults,
            List<Pupil> pupils,
            List<Waiting> waiting,
            List<Refused> refused,
            List<Message> words) {}

    /** A value for all pupils. @param bound whether the charter or class binds it */
    record DoorValue(String value, boolean bound) {}

    /** One right as a column. */
    record Column(String rule, String title, String value, boolean bound) {}

    record DeskAdult(String id, String name, Role role, boolean in) {}

    /** One pupil as a row. @param handSince when the hand went up @param removedWhy what the adult wrote */
    record Pupil(
            String id,
            String name,
            @Nullable String shownName,
            DeskView.Whereabouts whereabouts,
            List<Stretch> stays,
            List<Stretch> waits,
            boolean microphone,
            boolean camera,
            boolean screen,
            @Nullable Instant handSince,
            int timesSpoken,
            List<Cell> cells,
            @Nullable String removedWhy) {}

    record Stretch(Instant from, Instant until) {}

    /** A right of one pupil. @param loan pass, curb or none @param until when the pass or curb ends */
    record Cell(String rule, String value, boolean bound, Loan loan, @Nullable Instant until) {}

    enum Loan {
        NONE,
        PASS,
        CURB
    }

    /** Somebody at the door. @param person who on the list is meant, if that is clear @param listed may be let in with all */
    record Waiting(
            String visit,
            String name,
            @Nullable String person,
            @Nullable String personName,
            Instant since,
            boolean connected,
            boolean listed,
            List<String> reasons) {}

    record Refused(String visit, String name, Instant at, List<String> reasons) {}

    record Message(int number, Instant at, String from, String fromName, Readers.Kind to, String toName, String text) {}

    Desk of(LiveLesson.Snapshot lesson, PersonId me, int after, Instant now) {
        LessonPlan plan = lesson.plan();
        DeskView view = DeskView.of(plan, lesson.state(), lesson.events(), lesson.rules(), now);
        return new Desk(
                view.number(),
                now,
                plan.lesson().value(),
                plan.title(),
                plan.time().from(),
                plan.time().until(),
                view.phase(),
                lesson.state().opened().map(one -> one.at()).orElse(null),
                lesson.state().dismissedAt().orElse(null),
                lesson.state().isPresent(me),
                new DoorValue(view.door().value().text(), isBound(view.door())),
                view.rights().stream()
                        .map(right -> new Column(
                                right.rule().key(),
                                right.rule().title(),
                                right.value().text(),
                                isBound(right)))
                        .toList(),
                view.adults().stream()
                        .map(one -> new DeskAdult(
                                one.member().person().value(),
                                one.member().name(),
                                one.member().role(),
                                one.isIn()))
                        .toList(),
                view.rows().stream().map(DeskJson::pupil).toList(),
                view.waiting().stream().map(visit -> waiting(visit, lesson)).toList(),
                view.refused().stream()
                        .map(visit -> new Refused(
                                visit.id().value(),
                                visit.arrival().claimedName(),
                                visit.knockedAt(),
                                reasons(visit, lesson)))
                        .toList(),
                view.words().stream()
                        .filter(words -> words.number() > after)
                        .map(words -> message(words, plan))
                        .toList());
    }

    private static boolean isBound(Ruling<?> ruling) {
        return ruling.floor().isPresent();
    }

    private static Pupil pupil(DeskView.Row row) {
        Member member = row.member();
        return new Pupil(
                member.person().value(),
                member.name(),
                row.shownName().orElse(null),
                row.whereabouts(),
                stretches(row.attendance().stays()),
                stretches(row.attendance().waits()),
                row.on().contains(Appliance.MICROPHONE),
                row.on().contains(Appliance.CAMERA),
                row.on().contains(Appliance.SCREEN),
                row.handSince().orElse(null),
                row.timesSpoken(),
                row.rights().stream().map(DeskJson::cell).toList(),
                row.removal().map(one -> one.why()).orElse(null));
    }

    private static Cell cell(DeskView.Cell cell) {
        return new Cell(
                cell.ruling().rule().key(),
                cell.ruling().value().text(),
                isBound(cell.ruling()),
                loan(cell.loan()),
                cell.loan().map(Setting::until).orElse(null));
    }

    static Loan loan(Optional<Setting> loan) {
        return loan.map(one -> one.force() == Force.PASS ? Loan.PASS : Loan.CURB)
                .orElse(Loan.NONE);
    }

    private static List<Stretch> stretches(List<Span> spans) {
        return spans.stream()
                .map(span -> new Stretch(span.from(), span.until()))
                .toList();
    }

    private Waiting waiting(Visit visit, LiveLesson.Snapshot lesson) {
        return new Waiting(
                visit.id().value(),
                visit.arrival().claimedName(),
                visit.person().map(PersonId::value).orElse(null),
                visit.person().map(lesson.plan()::nameOf).orElse(null),
                visit.knockedAt(),
                visit.connected(),
                visit.verdict().onlyTheDoorIsBetween(),
                reasons(visit, lesson));
    }

    private List<String> reasons(Visit visit, LiveLesson.Snapshot lesson) {
        return visit.verdict().reasons().stream()
                .map((Reason reason) -> door.forAdults(reason, lesson.plan(), lesson.rules()))
                .toList();
    }

    static Message message(Words words, LessonPlan plan) {
        return new Message(
                words.number(),
                words.at(),
                words.from().value(),
                plan.nameOf(words.from()),
                words.to().kind(),
                words.to().one().map(plan::nameOf).orElse(""),
                words.text());
    }
}
