package juricast.server.casebook;

import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.board.BoardEvent;
import juricast.core.casebook.CaseEvent;
import juricast.core.casebook.Evidence;
import juricast.core.casebook.Incident;
import juricast.core.chat.ChatEvent;
import juricast.core.door.DoorEvent;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.lesson.Parts;
import juricast.core.live.Erased;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonState;
import juricast.core.rights.RightsEvent;
import juricast.core.slates.SlatesEvent;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.people.People;
import juricast.server.record.Journal;
import juricast.server.words.EventWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** An incident told from top to bottom: what happened in lessons, what was done, what was written, each at its time. */
@Component
class CaseStory {
    private final LiveLessons lessons;
    private final EventWords words;
    private final People people;

    CaseStory(LiveLessons lessons, EventWords words, People people) {
        this.lessons = lessons;
        this.words = words;
        this.people = people;
    }

    /** Told apart by shape on the page. */
    enum Kind {
        ACT,
        STEP,
        NOTE,
        DECISION,
        FOLLOW_UP,
        CHANGE
    }

    /**
     * One line.
     *
     * @param number of the event of the incident; 0 where it is of a lesson
     * @param quote what somebody wrote, word for word
     * @param corrects the number of the event that this note corrects, 0 if none
     */
    record StoryLine(
            int number,
            @Nullable String lesson,
            int lessonEvent,
            Instant at,
            Kind kind,
            String text,
            @Nullable String quote,
            boolean leadOnly,
            int corrects) {}

    /** All of it. @param leads whether also what is kept for safeguarding leads */
    List<StoryLine> of(Incident incident, List<Casebook.Numbered> events, boolean leads) {
        return of(incident, events, leads, incident.about());
    }

    /** @param about whose doings in lessons are told; of nobody in particular what everybody did */
    List<StoryLine> of(Incident incident, List<Casebook.Numbered> events, boolean leads, Set<PersonId> about) {
        var lines = new ArrayList<StoryLine>();
        incident.evidence().stream()
                .map(CaseEvent.EvidenceAdded::lesson)
                .distinct()
                .forEach(lesson -> lines.addAll(ofLesson(lesson, incident, about)));
        events.stream().flatMap(one -> line(one, leads).stream()).forEach(lines::add);
        lines.sort(Comparator.comparing(StoryLine::at).thenComparing(StoryLine::kind));
        return lines;
    }

    private List<StoryLine> ofLesson(LessonId lesson, Incident incident, Set<PersonId> about) {
        Snapshot at;
        try {
            at = lessons.look(lesson);
        } catch (Journal.DamagedRecord damaged) {
            return List.of();
        }
        Set<Integer> told = incident.steps().stream()
                .filter(one -> one.lesson().equals(lesson))
                .map(CaseEvent.StepAdded::number)
                .collect(Collectors.toSet());
        var lines = new ArrayList<StoryLine>();
        LessonState state = Parts.NEW;
        int number = 0;
        int erased = 0;
        Drawn drawn = Drawn.NOTHING;
        for (LessonEvent event : at.events()) {
            number++;
            boolean belongs = isIn(incident, lesson, number);
            if (belongs && event instanceof Erased) {
                erased++;
            }
            Optional<Evidence.Item> item = belongs ? Evidence.item(number, event, about) : Optional.empty();
            if (item.isPresent() && !told.contains(number) && !isConsequence(item.get(), incident)) {
                if (item.get().kind() == Evidence.Kind.MARK && event instanceof BoardEvent.Drawn mark) {
                    drawn = drawn.and(mark.person(), mark.page(), mark.at(), number, lines, lesson, this);
                } else {
                    drawn = drawn.told(lines, lesson, this);
                    line(item.get(), at, state, lesson).ifPresent(lines::add);
                }
            }
            state = state.after(event);
        }
        drawn.told(lines, lesson, this);
        if (erased > 0) {
            lines.add(new StoryLine(
                    0,
                    lesson.value(),
                    0,
                    incident.where().moment(),
                    Kind.CHANGE,
                    "What %d events of the lesson said was erased when its time had come.".formatted(erased),
                    null,
                    false,
                    0));
        }
        return lines;
    }

    /** What a step did by itself is told with the step. */
    private static boolean isConsequence(Evidence.Item item, Incident incident) {
        boolean ofStep = item.event() instanceof DoorEvent.Removed
                || item.event() instanceof DoorEvent.SentToDoor
                || item.event() instanceof RightsEvent.CurbGiven;
        return ofStep
                && incident.steps().stream()
                        .anyMatch(step -> step.at().equals(item.event().at()));
    }

    private static boolean isIn(Incident incident, LessonId lesson, int number) {
        return incident.evidence().stream()
                .anyMatch(one -> one.lesson().equals(lesson) && one.first() <= number && number <= one.last());
    }

    /** Marks one after another by one hand are one line. */
    private record Drawn(@Nullable PersonId by, int page, int count, Instant since, int first) {
        static final Drawn NOTHING = new Drawn(null, 0, 0, Instant.EPOCH, 0);

        Drawn and(
                PersonId person, int on, Instant at, int number, List<StoryLine> to, LessonId lesson, CaseStory story) {
            if (person.equals(by) && page == on) {
                return new Drawn(by, page, count + 1, since, first);
            }
            told(to, lesson, story);
            return new Drawn(person, on, 1, at, number);
        }

        Drawn told(List<StoryLine> to, LessonId lesson, CaseStory story) {
            if (by != null) {
                to.add(new StoryLine(
                        0,
                        lesson.value(),
                        first,
                        since,
                        Kind.ACT,
                        "%s drew %s on the board"
                                .formatted(story.people.nameOf(by), count == 1 ? "one mark" : count + " marks"),
                        null,
                        false,
                        0));
            }
            return NOTHING;
        }
    }

    private Optional<StoryLine> line(Evidence.Item item, Snapshot at, LessonState before, LessonId lesson) {
        LessonEvent event = item.event();
        if (event instanceof ChatEvent.Said said) {
            return Optional.of(act(
                    item,
                    lesson,
                    name(said.from()) + said.file().map(one -> " sent a file").orElse(" wrote"),
                    said.text()));
        } else if (event instanceof ChatEvent.Held held) {
            return Optional.of(
                    act(item, lesson, name(held.from()) + " wrote, held back and read by adults only", held.text()));
        } else if (event instanceof SlatesEvent.Drawn slate) {
            return Optional.of(act(item, lesson, name(slate.person()) + " drew on the slate", null));
        }
        String sentence = words.of(event, at.plan(), before).sentence();
        Kind kind = item.kind() == Evidence.Kind.STEP || item.kind() == Evidence.Kind.STOP ? Kind.STEP : Kind.ACT;
        return sentence.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        new StoryLine(0, lesson.value(), item.number(), event.at(), kind, sentence, null, false, 0));
    }

    private static StoryLine act(Evidence.Item item, LessonId lesson, String text, @Nullable String quote) {
        return new StoryLine(
                0,
                lesson.value(),
                item.number(),
                item.event().at(),
                Kind.ACT,
                text,
                quote == null || quote.isEmpty() ? null : quote,
                false,
                0);
    }

    private String name(PersonId person) {
        return people.nameOf(person);
    }

    private Optional<StoryLine> line(Casebook.Numbered one, boolean leads) {
        return one.event().match(new Telling(one.number(), leads));
    }

    /** What each event of an incident is on its page; nothing for what the page shows otherwise. */
    private final class Telling implements CaseEvent.Cases<Optional<StoryLine>> {
        private final int number;
        private final boolean leads;

        Telling(int number, boolean leads) {
            this.number = number;
            this.leads = leads;
        }

        private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.UK);

        private static String day(LocalDate day) {
            return day.format(DAY);
        }

        private Optional<StoryLine> line(CaseEvent event, Kind kind, String text) {
            return Optional.of(new StoryLine(number, null, 0, event.at(), kind, text, null, false, 0));
        }

        private String by(CaseEvent event) {
            return event.by().equals(PersonId.RULES) || event.by().equals(PersonId.CLOCK)
                    ? ""
                    : " (" + name(event.by()) + ")";
        }

        @Override
        public Optional<StoryLine> opened(CaseEvent.Opened event) {
            return switch (event.origin()) {
                case STEP -> Optional.empty();
                case WORRY -> line(event, Kind.ACT, name(event.by()) + " said quietly that something is wrong");
                case MOMENT -> line(event, Kind.NOTE, name(event.by()) + " marked this moment to be looked at later");
                case STOP -> line(event, Kind.STEP, name(event.by()) + " stopped everything");
                case SWEEP -> line(event, Kind.ACT, event.title() + "; every door of the school waits for an adult");
                case WRITTEN -> line(event, Kind.NOTE, name(event.by()) + " wrote this down");
                case SPLIT -> line(event, Kind.CHANGE, "Split off from another incident" + by(event));
            };
        }

        @Override
        public Optional<StoryLine> partTaken(CaseEvent.PartTaken event) {
            return Optional.empty();
        }

        @Override
        public Optional<StoryLine> evidenceAdded(CaseEvent.EvidenceAdded event) {
            return Optional.empty();
        }

        @Override
        public Optional<StoryLine> stepAdded(CaseEvent.StepAdded event) {
            String who = event.met().stream().map(one -> name(one.person())).collect(Collectors.joining(", "));
            String proposed = event.met().stream()
                            .allMatch(one -> one.proposed() == event.step().level())
                    ? "proposed, taken as proposed"
                    : "proposed was step %s"
                            .formatted(event.met().stream()
                                    .map(one -> String.valueOf(one.proposed()))
                                    .distinct()
                                    .collect(Collectors.joining(" or ")));
            String why = event.why().isEmpty() ? "" : " “%s”".formatted(event.why());
            return line(
                    event,
                    Kind.STEP,
                    "Step %d, %s, for %s by %s; %s.%s"
                            .formatted(
                                    event.step().level(),
                                    event.step().name().toLowerCase(Locale.ROOT),
                                    who,
                                    name(event.by()),
                                    proposed,
                                    why));
        }

        @Override
        public Optional<StoryLine> stepWithdrawn(CaseEvent.StepWithdrawn event) {
            return line(event, Kind.CHANGE, "A step was taken in error: %s%s".formatted(event.why(), by(event)));
        }

        @Override
        public Optional<StoryLine> noted(CaseEvent.Noted event) {
            return event.leadOnly() && !leads
                    ? Optional.empty()
                    : Optional.of(new StoryLine(
                            number,
                            null,
                            0,
                            event.at(),
                            Kind.NOTE,
                            name(event.by()) + ": " + event.text(),
                            null,
                            event.leadOnly(),
                            event.corrects().orElse(0)));
        }

        @Override
        public Optional<StoryLine> classified(CaseEvent.Classified event) {
            return line(
                    event,
                    Kind.CHANGE,
                    "Said to be %s, %s%s"
                            .formatted(
                                    event.act().name().toLowerCase(Locale.ROOT),
                                    event.severity().name().toLowerCase(Locale.ROOT),
                                    by(event)));
        }

        @Override
        public Optional<StoryLine> followUpSet(CaseEvent.FollowUpSet event) {
            return line(
                    event,
                    Kind.FOLLOW_UP,
                    "To do: %s, %s until %s%s"
                            .formatted(event.what(), name(event.who()), day(event.until()), by(event)));
        }

        @Override
        public Optional<StoryLine> followUpMoved(CaseEvent.FollowUpMoved event) {
            return line(
                    event, Kind.FOLLOW_UP, "Later, on %s: %s%s".formatted(day(event.until()), event.why(), by(event)));
        }

        @Override
        public Optional<StoryLine> followUpDone(CaseEvent.FollowUpDone event) {
            return line(
                    event,
                    Kind.FOLLOW_UP,
                    "Done%s%s".formatted(event.words().isEmpty() ? "" : ": " + event.words(), by(event)));
        }

        @Override
        public Optional<StoryLine> decided(CaseEvent.Decided event) {
            return line(event, Kind.DECISION, "Decided: %s%s".formatted(event.text(), by(event)));
        }

        @Override
        public Optional<StoryLine> linked(CaseEvent.Linked event) {
            return line(
                    event,
                    Kind.CHANGE,
                    "Has to do with %s%s%s"
                            .formatted(event.other(), event.how().isEmpty() ? "" : ": " + event.how(), by(event)));
        }

        @Override
        public Optional<StoryLine> mergedInto(CaseEvent.MergedInto event) {
            return line(event, Kind.CHANGE, "Goes on as %s%s".formatted(event.other(), by(event)));
        }

        @Override
        public Optional<StoryLine> absorbed(CaseEvent.Absorbed event) {
            return line(event, Kind.CHANGE, "%s goes on in this one%s".formatted(event.other(), by(event)));
        }

        @Override
        public Optional<StoryLine> splitOff(CaseEvent.SplitOff event) {
            return line(
                    event,
                    Kind.CHANGE,
                    "%s went into %s%s"
                            .formatted(
                                    event.people().stream()
                                            .map(CaseStory.this::name)
                                            .collect(Collectors.joining(", ")),
                                    event.into(),
                                    by(event)));
        }

        @Override
        public Optional<StoryLine> talked(CaseEvent.Talked event) {
            return line(
                    event,
                    Kind.DECISION,
                    "%s is let into the series again: %s%s".formatted(name(event.pupil()), event.words(), by(event)));
        }

        @Override
        public Optional<StoryLine> parentsWritten(CaseEvent.ParentsWritten event) {
            return line(
                    event,
                    Kind.FOLLOW_UP,
                    "The parents of %s were written to%s".formatted(name(event.pupil()), by(event)));
        }

        @Override
        public Optional<StoryLine> packMade(CaseEvent.PackMade event) {
            return line(
                    event,
                    Kind.CHANGE,
                    "An evidence pack was made%s%s"
                            .formatted(event.covered() ? ", with others' names covered" : "", by(event)));
        }

        @Override
        public Optional<StoryLine> closed(CaseEvent.Closed event) {
            return line(event, Kind.DECISION, "Closed: %s%s".formatted(event.words(), by(event)));
        }

        @Override
        public Optional<StoryLine> reopened(CaseEvent.Reopened event) {
            return line(event, Kind.DECISION, "Opened again: %s%s".formatted(event.why(), by(event)));
        }
    }
}
