package juricast.core.casebook;

import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.board.BoardEvent;
import juricast.core.chat.ChatEvent;
import juricast.core.conduct.ConductEvent;
import juricast.core.door.DoorEvent;
import juricast.core.identity.PersonId;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Stance;
import juricast.core.rights.RightsEvent;
import juricast.core.rules.Catalogue;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.signals.SignalsEvent;
import juricast.core.slates.SlatesEvent;
import juricast.core.supervision.SupervisionEvent;

/**
 * What of a lesson's record belongs to something that some people did in a stretch of it (need G3): worked out from the record alone, so
 * that it is the same whenever it is asked.
 *
 * @param items in order
 * @param present who was in at the end of it
 * @param rights what each of the people might do at the end of it, and by which rule
 * @param stance in force at the end of it, by its title
 * @param isRecorded whether something was recorded at any time of it
 * @param first the number of the first event of the stretch, 0 where it has none
 * @param last the number of the last
 */
public record Evidence(
        List<Item> items,
        Set<PersonId> present,
        List<Right> rights,
        Optional<String> stance,
        boolean isRecorded,
        int first,
        int last) {
    /** What an event is evidence of. */
    public enum Kind {
        WORDS,
        FILE,
        MARK,
        SLATE,
        SIGNAL,
        RIGHT,
        DOOR,
        STEP,
        STOP
    }

    /** One event. @param of by whom, or about whom */
    public record Item(int number, Kind kind, Optional<PersonId> of, LessonEvent event) {}

    /** What somebody might do, and what the rule for it came to. */
    public record Right(PersonId person, Rule<?> rule, String value) {}

    public int count(Kind kind) {
        return (int) items.stream().filter(one -> one.kind == kind).count();
    }

    /**
     * @param record all of it, in order
     * @param people whom it is about; where it is about nobody in particular, what everybody did
     * @param from its beginning, inclusive
     * @param until its end, inclusive: the step that is taken belongs to what it answers
     */
    public static Evidence of(
            LessonPlan plan,
            List<LessonEvent> record,
            PlannedRules rules,
            Set<PersonId> people,
            Instant from,
            Instant until) {
        var items = new ArrayList<Item>();
        LessonState state = Parts.NEW;
        boolean isRecorded = false;
        int first = 0;
        int last = 0;
        for (int i = 0; i < record.size(); i++) {
            LessonEvent event = record.get(i);
            if (event.at().isAfter(until)) {
                break;
            }
            state = state.after(event);
            if (!event.at().isBefore(from)) {
                first = first == 0 ? i + 1 : first;
                last = i + 1;
                isRecorded |= state.of(RECORDING).running().isPresent();
                item(i + 1, event, people).ifPresent(items::add);
            }
        }
        return new Evidence(
                List.copyOf(items),
                Collections.unmodifiableSet(WhoIsIn.of(state)),
                rights(plan, state, rules, people, until),
                state.of(RIGHTS).stance().map(Stance::name),
                isRecorded,
                first,
                last);
    }

    /** What one event is evidence of; nothing where it is not about these people. @param people nobody in particular where none is named */
    public static Optional<Item> item(int number, LessonEvent event, Set<PersonId> people) {
        return item(number, event).filter(one -> isAbout(one, people));
    }

    private static boolean isAbout(Item item, Set<PersonId> people) {
        return people.isEmpty() || item.of.isEmpty() || people.contains(item.of.get()) || item.kind == Kind.STEP;
    }

    private static List<Right> rights(
            LessonPlan plan, LessonState state, PlannedRules rules, Set<PersonId> people, Instant at) {
        var all = new ArrayList<Right>();
        for (PersonId person : people) {
            for (var right : Catalogue.RIGHTS) {
                if (plan.member(person).isPresent() && right.speaksOf(plan.roleOf(person))) {
                    all.add(new Right(
                            person,
                            right,
                            state.rules(rules)
                                    .of(person)
                                    .value(right, plan.roleOf(person), at)
                                    .text()));
                }
            }
        }
        return List.copyOf(all);
    }

    private static Optional<Item> item(int number, LessonEvent event) {
        if (event instanceof ChatEvent.Said said) {
            return item(number, said.file().isPresent() ? Kind.FILE : Kind.WORDS, said.from(), event);
        } else if (event instanceof ChatEvent.Held held) {
            return item(number, held.file().isPresent() ? Kind.FILE : Kind.WORDS, held.from(), event);
        } else if (event instanceof BoardEvent.Drawn drawn) {
            return item(number, Kind.MARK, drawn.person(), event);
        } else if (event instanceof BoardEvent.Wiped wiped) {
            return Optional.of(new Item(number, Kind.MARK, wiped.of(), event));
        } else if (event instanceof SlatesEvent.Drawn drawn) {
            return item(number, Kind.SLATE, drawn.person(), event);
        } else if (event instanceof SignalsEvent.SignShown shown && shown.sign().isPresent()) {
            return item(number, Kind.SIGNAL, shown.person(), event);
        } else if (event instanceof RightsEvent.TurnedOn on) {
            return item(number, Kind.RIGHT, on.person(), event);
        } else if (event instanceof RightsEvent.PassGiven pass) {
            return item(number, Kind.RIGHT, pass.person(), event);
        } else if (event instanceof RightsEvent.CurbGiven curb) {
            return item(number, Kind.RIGHT, curb.person(), event);
        } else if (event instanceof DoorEvent.Removed removed) {
            return item(number, Kind.DOOR, removed.person(), event);
        } else if (event instanceof DoorEvent.SentToDoor sent) {
            return item(number, Kind.DOOR, sent.person(), event);
        } else if (event instanceof DoorEvent.Renamed renamed) {
            return item(number, Kind.DOOR, renamed.person(), event);
        } else if (event instanceof DoorEvent.Knocked knocked
                && knocked.person().isPresent()) {
            return item(number, Kind.DOOR, knocked.person().get(), event);
        } else if (event instanceof ConductEvent.StepTaken || event instanceof ConductEvent.Withdrawn) {
            return Optional.of(new Item(number, Kind.STEP, Optional.empty(), event));
        } else if (event instanceof SupervisionEvent.Stopped || event instanceof SupervisionEvent.Resumed) {
            return Optional.of(new Item(number, Kind.STOP, Optional.empty(), event));
        }
        return Optional.empty();
    }

    private static Optional<Item> item(int number, Kind kind, PersonId of, LessonEvent event) {
        return Optional.of(new Item(number, kind, Optional.of(of), event));
    }
}
