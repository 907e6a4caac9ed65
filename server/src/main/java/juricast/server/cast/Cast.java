package juricast.server.cast;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import juricast.core.board.BoardOrder;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.chat.SentFile;
import juricast.core.conduct.ConductOrder;
import juricast.core.conduct.ConductRules;
import juricast.core.door.DoorOrder;
import juricast.core.drawing.Drawing;
import juricast.core.ending.EndingOrder;
import juricast.core.entry.Arrival;
import juricast.core.grouping.Grouping;
import juricast.core.grouping.Met;
import juricast.core.grouping.Recipe;
import juricast.core.groups.Group;
import juricast.core.groups.GroupsOrder;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.lines.LinesOrder;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Stance;
import juricast.core.material.MaterialOrder;
import juricast.core.recording.Failure;
import juricast.core.recording.PauseReason;
import juricast.core.recording.RecordingOrder;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsOrder;
import juricast.core.supervision.SupervisionOrder;
import org.apache.commons.csv.CSVRecord;

/**
 * The simulated cast of one lesson: reads its script and gives the core the same orders that browsers give. The same
 * script and seed give the same lesson.
 */
public final class Cast {
    private static final String VISIT = "cast-";

    private final LessonPlan plan;
    private final Instant zero;
    private final List<Step> steps;
    private final Random random;
    private final CastActivities activities;
    private final Function<String, Optional<Stance>> stances;
    private final Function<String, SentFile> files;

    /** What somebody does at an instant. */
    private record Step(Instant at, String who, String does, String with) {
        String text() {
            return (who + " " + does + " " + with).strip();
        }
    }

    /** An order with its time; what it is may depend on how the lesson stands then. @param text what happens, in words */
    public record Cue(Instant at, String text, Supplier<Optional<LessonOrder>> order) implements Comparable<Cue> {
        @Override
        public int compareTo(Cue other) {
            return at.compareTo(other.at);
        }
    }

    /**
     * @param zero from when the script's minutes count
     * @param stances finds a stance by the id of its ready-made set
     * @param files keeps a file of the demo by its name
     */
    public Cast(
            LessonPlan plan,
            Instant zero,
            List<CSVRecord> script,
            List<CSVRecord> incidents,
            Function<String, Optional<Stance>> stances,
            Function<String, SentFile> files) {
        this.plan = plan;
        this.zero = zero;
        this.stances = stances;
        this.files = files;
        this.random = new Random(plan.lesson().value().hashCode());
        this.activities = new CastActivities(random);
        this.steps = new ArrayList<>();
        List<String> named = script.stream()
                .filter(row -> row.get("does").equals("knocks"))
                .map(row -> row.get("who"))
                .toList();
        for (CSVRecord row : script) {
            if (row.get("who").equals("the class") && !row.get("does").equals("knocks")) {
                everyoneDoes(row.get("does"), row.get("with"));
            } else if (row.get("who").equals("the class")) {
                everyoneElseKnocks(row.get("with"), named);
            } else {
                steps.add(new Step(
                        minute(Double.parseDouble(row.get("minute"))),
                        row.get("who"),
                        row.get("does"),
                        row.get("with")));
            }
        }
        incidents.forEach(this::happens);
        steps.sort(Comparator.comparing(Step::at));
    }

    /** Somebody does something, and the lead adult takes a step. */
    private void happens(CSVRecord row) {
        double minute = Double.parseDouble(row.get("minute"));
        steps.removeIf(one -> one.who.equals(row.get("pupil")) && one.does.equals("knocks"));
        steps.add(new Step(minute(-2), row.get("pupil"), "knocks", ""));
        if (!row.get("words").isEmpty()) {
            steps.add(new Step(minute(minute - 1.5), "the lead adult", "sets", "chat.class=open"));
            steps.add(new Step(minute(minute - 0.7), row.get("pupil"), "writes to all", row.get("words")));
        }
        if (row.get("act").equals("drawing")) {
            steps.add(new Step(
                    minute(minute - 1.4), "the lead adult", "gives a pass to " + row.get("pupil"), "share.draw"));
            for (int i = 0; i < 6; i++) {
                steps.add(new Step(
                        minute(minute - 1 + i * 0.1),
                        row.get("pupil"),
                        "draws",
                        "%d,%d %d,%d".formatted(120 + i * 60, 200, 180 + i * 60, 420)));
            }
        }
        steps.add(new Step(
                minute(minute),
                "the lead adult",
                "takes the step " + row.get("step") + " for " + row.get("pupil"),
                row.get("act") + "|" + row.get("why")));
    }

    LessonId lesson() {
        return plan.lesson();
    }

    static boolean isCast(VisitId visit) {
        return visit.value().startsWith(VISIT);
    }

    /** What is to happen, in order. @param state how the lesson stands when an order is due */
    public List<Cue> cues(Supplier<LessonState> state) {
        return steps.stream()
                .map(step -> new Cue(step.at, step.text(), () -> order(step, state.get())))
                .toList();
    }

    /** Those on the class list who are not named by the script knock once, most of them around the start. */
    private void everyoneElseKnocks(String range, List<String> named) {
        String[] minutes = range.split(" to ");
        double from = Double.parseDouble(minutes[0]);
        double until = Double.parseDouble(minutes[1]);
        for (Member pupil : plan.classList()) {
            double chance = random.nextDouble();
            double minute = from + (until - from) * Math.pow(random.nextDouble(), 1.6);
            boolean stayAway = chance < 0.04;
            boolean comesByScript = named.contains(pupil.name())
                    && !pupil.name().startsWith("Zeb ")
                    && !pupil.name().startsWith("Dagny ");
            if (!stayAway && !comesByScript) {
                steps.add(new Step(minute(minute), pupil.name(), "knocks", ""));
            }
        }
    }

    /** Most of the class, each at a moment of their own. @param range "12 to 13" */
    private void everyoneDoes(String does, String range) {
        String[] minutes = range.split(" to ");
        double from = Double.parseDouble(minutes[0]);
        double until = Double.parseDouble(minutes[1]);
        for (Member pupil : plan.classList()) {
            double minute = from + (until - from) * random.nextDouble();
            if (random.nextDouble() < 0.88) {
                steps.add(new Step(minute(minute), pupil.name(), does, ""));
            }
        }
    }

    private Instant minute(double minutes) {
        return zero.plus(Duration.ofMillis(Math.round(minutes * 60_000)));
    }

    /** @param what "curb for Zeb Corran" @param with the kind of act and why, told apart by a stroke */
    private LessonOrder step(String what, String with, PersonId me, LessonState state) {
        String[] parts = what.split(" for ");
        String[] words = with.split("\\|", -1);
        return new ConductOrder.TakeStep(
                List.of(personOf(parts[1])),
                words[0],
                parts[0],
                ConductOrder.How.USUAL,
                words[1].isEmpty() ? "as it was" : words[1],
                ConductRules.EVIDENCE,
                state.number(),
                me);
    }

    /** Whether somebody has signed in as this pupil, whose part they play from then on. */
    private boolean isPlayedByAnother(PersonId pupil, LessonState state) {
        return plan.classList().stream().anyMatch(one -> one.person().equals(pupil))
                && state.of(DOOR).visitsOf(pupil).stream()
                        .anyMatch(visit -> visit.goesOn()
                                && !isCast(visit.id())
                                && visit.arrival().hasAccount());
    }

    private Optional<LessonOrder> order(Step step, LessonState state) {
        PersonId me = somebody(step.who, state);
        if (isPlayedByAnother(me, state)) {
            return Optional.empty();
        }
        String does = step.does;
        if (does.startsWith("writes to ")) {
            return visitOf(me, state).map(visit -> new ChatOrder.Say(visit, readers(does.substring(10)), step.with));
        }
        if (does.startsWith("sends to ")) {
            return visitOf(me, state)
                    .map(visit -> new ChatOrder.SendFile(visit, readers(does.substring(9)), files.apply(step.with)));
        }
        if (does.startsWith("takes the step ")) {
            return Optional.of(step(does.substring(15), step.with, me, state));
        }
        if (does.startsWith("removes ")) {
            return Optional.of(new DoorOrder.Remove(personOf(does.substring(8)), step.with, me));
        }
        if (does.startsWith("closes for ")) {
            return Optional.of(new RightsOrder.GiveCurb(
                    personOf(does.substring(11)), right(step.with), Duration.ofMinutes(10), me));
        }
        if (does.startsWith("gives a pass to ")) {
            return Optional.of(new RightsOrder.GivePass(
                    personOf(does.substring(16)), right(step.with), Duration.ofMinutes(6), me));
        }
        Optional<LessonOrder> aboutGroups = aboutGroups(step, me, state);
        if (aboutGroups.isPresent()) {
            return aboutGroups;
        }
        Optional<LessonOrder> activity = activities.order(does, step.with, me, visitOf(me, state), state);
        if (activity.isPresent()) {
            return activity;
        }
        if (does.startsWith("hands out ")) {
            return Optional.of(new MaterialOrder.HandOut(me, does.substring(10), step.with));
        }
        return switch (does) {
            case "switches to" -> stances.apply(step.with)
                    .map(stance -> new RightsOrder.SwitchStance(stance, true, me));
            case "sets" -> Optional.of(new RightsOrder.SetLive(RuleValue.parse(step.with), me));
            case "signals" -> visitOf(me, state)
                    .map(visit -> new SignalsOrder.ShowSign(visit, Optional.of(Sign.valueOf(step.with))));
            case "draws" -> visitOf(me, state)
                    .map(visit ->
                            new BoardOrder.Draw(visit, CastActivities.page(me, state), Drawing.pen(line(step.with))));
            case "captions" -> visitOf(me, state).map(visit -> new MaterialOrder.Caption(visit, step.with));
            case "lets the service write captions" -> Optional.of(new MaterialOrder.LetServiceListen(true, me));
            case "stops everything" -> Optional.of(new SupervisionOrder.StopEverything(step.with, me));
            case "brings back what was" -> Optional.of(new SupervisionOrder.Resume(me));
            case "opens" -> Optional.of(new DoorOrder.Open(me));
            case "comes in" -> Optional.of(new DoorOrder.Join(visit(step), device(step), me));
            case "knocks" -> Optional.of(new DoorOrder.Knock(
                    Arrival.of(visit(step), device(step), step.who, account(step), Arrival.Link.CURRENT, true)));
            case "lets all in" -> Optional.of(new DoorOrder.AdmitAllListed(me));
            case "dismisses" -> Optional.of(new EndingOrder.Dismiss(me));
            case "leaves" -> visitOf(me, state).map(DoorOrder.Leave::new);
            case "leaves the microphone open" -> visitOf(me, state)
                    .map(visit -> new RightsOrder.TurnOn(visit, Appliance.MICROPHONE));
            case "raises a hand" -> visitOf(me, state).map(SignalsOrder.RaiseHand::new);
            case "loses connection" -> visitOf(me, state).map(DoorOrder.LoseConnection::new);
            case "has a weak line", "has a good line" -> visitOf(me, state)
                    .map(visit -> new LinesOrder.Tell(visit, step.does.equals("has a weak line")));
            case "comes back" -> visitOf(me, state).map(DoorOrder.ComeBack::new);
            case "switches on" -> visitOf(me, state)
                    .map(visit -> new RightsOrder.TurnOn(visit, Appliance.valueOf(step.with)));
            case "switches off" -> Optional.of(new RightsOrder.TurnOff(me, Appliance.valueOf(step.with), me));
            case "wipes the board" -> Optional.of(new BoardOrder.Wipe(Optional.empty(), Optional.empty(), me));
            case "pauses the recording" -> Optional.of(
                    new RecordingOrder.Pause(PauseReason.valueOf(step.with), Optional.empty(), me));
            case "fails" -> Optional.of(RecordingOrder.Answer.failed(Failure.valueOf(step.with)));
            case "lets the recording go on" -> Optional.of(new RecordingOrder.GoOn(me));
                // Whoever is not in, or is asked nothing now, does nothing.
            case "answers",
                    "presses",
                    "closes the question",
                    "shows what is right",
                    "puts the question away",
                    "draws on the slate",
                    "hands in the slate" -> Optional.empty();
            default -> throw new IllegalStateException("The cast cannot play: " + does);
        };
    }

    private Optional<LessonOrder> aboutGroups(Step step, PersonId me, LessonState state) {
        return switch (step.does) {
            case "makes groups" -> Optional.of(new GroupsOrder.DrawUp(groups(step.with, state), "by chance", 1, me));
            case "writes the task" -> Optional.of(new GroupsOrder.WriteTask(step.with, me));
            case "sends out for" -> Optional.of(
                    new GroupsOrder.SendOut(Optional.of(Duration.ofMinutes(Long.parseLong(step.with))), false, me));
            case "goes into" -> group(step.with, state).map(group -> new GroupsOrder.GoIn(group.id(), me));
            case "comes out" -> Optional.of(new GroupsOrder.ComeOut(me));
            case "looks into" -> group(step.with, state).map(group -> new GroupsOrder.LookIn(group.id(), me));
            case "looks away" -> Optional.of(new GroupsOrder.LookAway(me));
            case "calls for an adult" -> visitOf(me, state).map(GroupsOrder.CallForHelp::new);
            default -> Optional.empty();
        };
    }

    /** Those of the class list who are in, in groups of these names, as the class wishes. */
    private List<GroupsOrder.Wanted> groups(String names, LessonState state) {
        String[] all = names.split("; ");
        List<PersonId> present = plan.classList().stream()
                .map(Member::person)
                .filter(person -> state.of(DOOR).isPresent(person))
                .toList();
        var recipe = new Recipe(
                Recipe.By.NUMBER, Math.min(all.length, Math.max(1, present.size() / 3)), false, false, false, 2, 1);
        if (Grouping.impossible(present.size(), recipe).isPresent()) {
            return List.of();
        }
        List<List<PersonId>> made =
                Grouping.propose(present, recipe, plan.wishes(), Met.NOBODY).groups();
        return IntStream.range(0, made.size())
                .mapToObj(place -> new GroupsOrder.Wanted(all[place], made.get(place)))
                .toList();
    }

    private static Optional<Group> group(String name, LessonState state) {
        return state.of(GROUPS).groups().stream()
                .filter(one -> one.name().equals(name))
                .findFirst();
    }

    /** "Ledge 2" is the second of those who are in that group. */
    private static Optional<PersonId> ofGroup(String who, LessonState state) {
        int space = who.lastIndexOf(' ');
        return space < 0 || !who.substring(space + 1).matches("\\d")
                ? Optional.empty()
                : group(who.substring(0, space), state).flatMap(group -> group.people().stream()
                        .filter(person -> state.where().placeOf(person).equals(group.id())
                                && state.of(DOOR).isPresent(person))
                        .skip(Integer.parseInt(who.substring(space + 1)) - 1L)
                        .findFirst());
    }

    /** Whoever opens comes in at once. */
    public Optional<LessonOrder> follows(LessonOrder order) {
        return order instanceof DoorOrder.Open open
                ? Optional.of(new DoorOrder.Join(
                        new VisitId(VISIT + plan.lesson() + "-desk-of-" + open.by()),
                        new DeviceId("desk of " + open.by()),
                        open.by()))
                : Optional.empty();
    }

    private VisitId visit(Step step) {
        return new VisitId(VISIT + plan.lesson() + "-" + slug(step.who) + "-" + step.at.toEpochMilli());
    }

    private static DeviceId device(Step step) {
        return new DeviceId("cast device of " + slug(step.who) + " " + slug(step.with));
    }

    /** A pupil on the own device is signed in; one on another device comes by name. */
    private Optional<PersonId> account(Step step) {
        return step.with.isEmpty()
                ? plan.classList().stream()
                        .filter(one -> one.name().equals(step.who))
                        .map(Member::person)
                        .findFirst()
                : Optional.empty();
    }

    static Optional<VisitId> visitOf(PersonId person, LessonState state) {
        return state.of(DOOR).visits().stream()
                .filter(visit -> visit.goesOn() && visit.person().equals(Optional.of(person)))
                .map(visit -> visit.id())
                .findFirst();
    }

    /** "pupil 3" is the third of those of the cast who are present, so that a script fits every lesson. */
    private PersonId somebody(String who, LessonState state) {
        if (!who.matches("pupil \\d+")) {
            return ofGroup(who, state).orElseGet(() -> personOf(who));
        }
        List<PersonId> present = plan.classList().stream()
                .map(Member::person)
                .filter(person -> visitOf(person, state).filter(Cast::isCast).isPresent()
                        && state.of(DOOR).isPresent(person))
                .toList();
        int place = Integer.parseInt(who.substring(6)) * 7;
        return present.isEmpty() ? personOf(who) : present.get(place % present.size());
    }

    private PersonId personOf(String name) {
        if (name.equals("the lead adult")) {
            return plan.adults().get(0).person();
        }
        return plan.members().stream()
                .filter(one -> one.name().equals(name))
                .map(Member::person)
                .findFirst()
                .orElseGet(() -> idOf(name));
    }

    /** A line as "x,y x,y": from 0 to 1000 of the board's width and height. */
    private static List<Integer> line(String points) {
        return Arrays.stream(points.split("[ ,]+")).map(Integer::valueOf).toList();
    }

    private Readers readers(String whom) {
        return switch (whom) {
            case "all" -> Readers.CLASS;
            case "adults" -> Readers.ADULTS;
            default -> Readers.only(personOf(whom));
        };
    }

    /** Who somebody of the demo is, by name. */
    public static PersonId idOf(String name) {
        return new PersonId(name.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", "-"));
    }

    private static Rule<Permission> right(String key) {
        return Catalogue.rightByKey(key).orElseThrow();
    }

    private static String slug(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    }
}
