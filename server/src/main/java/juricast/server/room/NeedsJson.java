package juricast.server.room;

import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.conduct.ConductPart.CONDUCT;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.lines.LinesPart.LINES;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;

import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.audience.Need;
import juricast.core.audience.Needs;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.recording.Failure;
import juricast.core.rules.Rule;
import juricast.core.signals.Sign;
import juricast.server.door.DoorJson;
import juricast.server.groups.GroupsJson;
import juricast.server.lesson.Snapshot;
import juricast.server.recording.RecordingWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What asks for an adult, on the wire: a code for the screen to draw it by, and a sentence for people to read. */
@Component
class NeedsJson {
    /** What a signal says of who shows it. */
    private static final Map<Sign, String> SAYS = Map.of(Sign.CANNOT_HEAR, "cannot hear", Sign.BREAK, "needs a break");

    private static final Set<Need.Kind> IN_GROUPS =
            EnumSet.of(Need.Kind.GROUP_CALLS, Need.Kind.GROUP_ALONE, Need.Kind.GROUP_LATE, Need.Kind.GROUPS_PLANNED);

    private final DoorJson door;

    NeedsJson(DoorJson door) {
        this.door = door;
    }

    /**
     * One thing that asks.
     *
     * @param key the same as long as it is the same thing
     * @param says what it is, in a few words
     * @param visits who stands at the door, of needs there
     * @param number the message that waits
     * @param stance the stance that is planned
     * @param group which group it is about, or where a latecomer is needed; of planned ones their id
     */
    record NeedLine(
            Need.Kind kind,
            String key,
            String says,
            Instant since,
            @Nullable Instant until,
            List<String> visits,
            @Nullable String person,
            @Nullable String rule,
            int number,
            @Nullable String stance,
            @Nullable String group) {}

    List<NeedLine> of(Snapshot at, Instant now) {
        return at.timed(
                "needs",
                "all",
                List.of(DOOR, GROUPS, SIGNALS, RIGHTS, LINES, CHAT, RECORDING, CONDUCT),
                now,
                () -> Needs.of(at.plan(), at.state(), at.rules(), door.seen(at, now), now).list().stream()
                        .map(need -> line(need, at))
                        .toList(),
                made -> until(made, at, now));
    }

    /** Until something is added by the clock, or goes by it. */
    private static Instant until(List<NeedLine> made, Snapshot at, Instant now) {
        Instant next = Needs.next(at.state(), at.rules(), now);
        Instant step = at.plan().order().over(at.plan().time()).stream()
                .map(one -> one.time().from())
                .filter(now::isBefore)
                .min(Instant::compareTo)
                .orElse(Instant.MAX);
        return step.isBefore(next) ? step : next;
    }

    private static NeedLine line(Need need, Snapshot at) {
        return new NeedLine(
                need.kind(),
                key(need),
                says(need, at),
                need.since(),
                need.until().orElse(null),
                need.visits().stream().map(VisitId::value).toList(),
                need.person().map(PersonId::value).orElse(null),
                need.rule().map(Rule::key).orElse(null),
                need.number(),
                need.kind() == Need.Kind.STANCE ? need.about() : null,
                IN_GROUPS.contains(need.kind()) && !need.about().isEmpty() ? need.about() : null);
    }

    private static String key(Need need) {
        return switch (need.kind()) {
            case LISTED -> "listed";
            case UNSURE -> "unsure " + need.visits().get(0).value();
            case HELD -> "held " + need.number();
            case WORRY -> "worry " + need.number();
            case LINES_WEAK -> "lines-weak " + need.number();
            case RECORDING_FAILS -> "recording-fails " + need.since();
            case RECORDING_PAUSED -> "recording-paused " + need.since() + " " + need.number();
            case GROUP_CALLS, GROUP_ALONE, GROUPS_PLANNED -> need.kind() + " " + need.about();
            case GROUP_LATE -> need.kind() + " " + name(need);
            case STANCE -> "stance " + need.about();
            case SIGN, HAND, LOST -> need.kind() + " " + name(need) + " " + need.about();
            case ENDING -> "ending " + name(need) + " "
                    + need.rule().map(Rule::key).orElseThrow();
        };
    }

    private static String name(Need need) {
        return need.person().map(PersonId::value).orElseThrow();
    }

    private static String says(Need need, Snapshot at) {
        LessonPlan plan = at.plan();
        String who = need.person().map(plan::nameOf).orElse("");
        return switch (need.kind()) {
            case LISTED -> need.visits().size() == 1
                    ? "One on the class list waits"
                    : need.visits().size() + " on the class list wait";
            case UNSURE -> "Somebody waits whom you look at first";
            case WORRY -> who + " says quietly that something is wrong";
            case HELD -> who + " has written something that waits for you";
            case RECORDING_FAILS -> "The recorder does not record: " + RecordingWords.of(Failure.valueOf(need.about()));
            case RECORDING_PAUSED -> need.number() == 1
                    ? "The recording is still paused"
                    : "The recording has been paused for long. Let it go on, or end it";
            case GROUP_CALLS -> GroupsJson.name(at.state(), need.about()) + " calls for an adult";
            case GROUP_ALONE -> GroupsJson.name(at.state(), need.about()) + " has been without an adult for too long";
            case GROUP_LATE -> who + " came late and is in no group";
            case GROUPS_PLANNED -> plan.order().over(plan.time()).stream()
                    .flatMap(step -> step.groups().stream())
                    .filter(groups -> groups.id().equals(need.about()))
                    .findFirst()
                    .map(groups -> "Groups “%s” are planned now".formatted(groups.name()))
                    .orElse("Groups are planned now");
            case STANCE -> plan.order().over(plan.time()).stream()
                    .filter(step -> step.stance().id().equals(need.about()))
                    .findFirst()
                    .map(step -> step.stance().name() + " is planned now")
                    .orElse("Another stance is planned now");
            case SIGN -> who + " " + SAYS.get(Sign.valueOf(need.about()));
            case HAND -> who + " raises a hand";
            case LINES_WEAK -> need.number() + " have a weak line";
            case LOST -> who + " lost the connection";
            case ENDING -> "%s: pass ends (%s)"
                    .formatted(who, need.rule().map(Rule::title).orElseThrow());
        };
    }
}
