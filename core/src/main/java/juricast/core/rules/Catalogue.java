package juricast.core.rules;

import static juricast.core.identity.Role.*;
import static juricast.core.rules.Permission.*;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.Role;

/**
 * All rules, in the order in which the charter shows them (need A1). To add a rule: one constant here, one entry in
 * {@link #ALL}, and the decision that asks for it.
 */
public final class Catalogue {
    public static final Rule<Door> DOOR = new Rule<>(
            "entry.door",
            Area.ENTRY,
            ValueType.DOOR,
            "The door when a lesson opens",
            "Open lets the class list walk in, knock makes everyone wait, shut keeps the door closed.",
            "Whoever has the link can knock; only people whom the school knows should walk in.",
            "come in",
            Map.of(CLASS_MONITOR, Door.KNOCK, PUPIL, Door.KNOCK, VISITOR, Door.KNOCK));
    public static final Rule<YesNo> ADULTS_FIRST = new Rule<>(
            "entry.adults-first",
            Area.ENTRY,
            ValueType.YES_IS_STRICT,
            "An adult is in first",
            "Nobody of this role is let in before an adult of the class is in the room.",
            "Pupils who are alone in a room cannot be protected.",
            "be in before an adult",
            Map.of(CLASS_MONITOR, YesNo.YES, PUPIL, YesNo.YES, VISITOR, YesNo.YES));
    public static final Rule<Minutes> EARLY_MINUTES = new Rule<>(
            "entry.early-minutes",
            Area.ENTRY,
            ValueType.fewerMinutesAreStricter(0, 120),
            "How early one may come",
            "Minutes before the planned start from which an adult may open and others are let in.",
            "The planned time is enforced, so that no room stands open for hours.",
            "come early",
            Map.of(
                    LEAD_ADULT, new Minutes(30),
                    SECOND_ADULT, new Minutes(30),
                    CLASS_MONITOR, new Minutes(10),
                    PUPIL, new Minutes(10),
                    VISITOR, new Minutes(5)));
    public static final Rule<ReEntry> RE_ENTRY = new Rule<>(
            "entry.re-entry",
            Area.ENTRY,
            ValueType.RE_ENTRY,
            "Coming back after a removal",
            "Never, after an adult allowed it, or like anyone else.",
            "Removed means removed: by person, account and device.",
            "come back after being sent out",
            Map.of(
                    CLASS_MONITOR, ReEntry.AFTER_APPROVAL,
                    PUPIL, ReEntry.AFTER_APPROVAL,
                    VISITOR, ReEntry.NEVER));
    public static final Rule<Permission> RENAME = new Rule<>(
            "names.rename",
            Area.NAMES,
            ValueType.PERMISSION,
            "Change one's own shown name",
            "Whether a person may show another name than the class list's.",
            "A changed name lets one pupil speak or be punished as another.",
            "change the name others see",
            permissions(OPEN, OPEN, CLOSED, CLOSED, CLOSED));
    public static final Rule<YesNo> ARRIVE_MUTED = new Rule<>(
            "voice.arrive-muted",
            Area.VOICE_AND_CAMERA,
            ValueType.YES_IS_STRICT,
            "Arrive muted",
            "The microphone is off when this person comes in.",
            "Nobody's home is heard before they know that they are in.",
            "arrive with the microphone on",
            Map.of(
                    LEAD_ADULT, YesNo.NO,
                    SECOND_ADULT, YesNo.YES,
                    CLASS_MONITOR, YesNo.YES,
                    PUPIL, YesNo.YES,
                    VISITOR, YesNo.YES));
    public static final Rule<Permission> SPEAK = new Rule<>(
            "voice.speak",
            Area.VOICE_AND_CAMERA,
            ValueType.PERMISSION,
            "Speak",
            "Whether a person may switch the own microphone on.",
            "One voice at a time keeps a class teachable; adults can mute, never switch a microphone on.",
            "speak",
            permissions(OPEN, OPEN, OPEN, ON_REQUEST, ON_REQUEST));
    public static final Rule<Permission> CAMERA = new Rule<>(
            "voice.camera",
            Area.VOICE_AND_CAMERA,
            ValueType.PERMISSION,
            "Camera",
            "Whether a person may switch the own camera on.",
            "A camera shows a child's home; it is never switched on by anyone else.",
            "use your camera",
            permissions(OPEN, OPEN, OPEN, OPEN, ON_REQUEST));
    public static final Rule<Permission> CLASS_CHAT = new Rule<>(
            "chat.class",
            Area.CHAT,
            ValueType.PERMISSION,
            "Write to the whole class",
            "Whether a person may write what everybody reads. Writing to the adults is always open.",
            "Side talk in front of all is where most disruption begins.",
            "write to the whole class",
            permissions(OPEN, OPEN, OPEN, OPEN, ON_REQUEST));
    public static final Rule<Permission> PRIVATE_CHAT = new Rule<>(
            "chat.private",
            Area.CHAT,
            ValueType.PERMISSION,
            "Write privately to another pupil",
            "Whether pupils may write to each other where no adult reads along.",
            "What is out of every adult's sight is where bullying and grooming happen.",
            "write to one pupil alone",
            Map.of(CLASS_MONITOR, CLOSED, PUPIL, CLOSED, VISITOR, CLOSED));
    public static final Rule<Permission> SHARE_SCREEN = new Rule<>(
            "share.screen",
            Area.SHARING,
            ValueType.PERMISSION,
            "Share a screen",
            "Whether a person may show something from the own device to everyone.",
            "A shared screen can show anything, to every child, at once.",
            "share your screen",
            permissions(OPEN, OPEN, ON_REQUEST, ON_REQUEST, ON_REQUEST));
    public static final Rule<Minutes> LATE_AFTER = new Rule<>(
            "register.late-after",
            Area.REGISTER,
            ValueType.fewerMinutesAreStricter(0, 60),
            "Late after",
            "Minutes after the planned start from which an arrival counts as late; time at the door does not.",
            "One measure for all classes is fair, and shows a pattern early.",
            "arrive after the start",
            Map.of(CLASS_MONITOR, new Minutes(5), PUPIL, new Minutes(5)));

    public static final List<Rule<?>> ALL = List.of(
            DOOR,
            ADULTS_FIRST,
            EARLY_MINUTES,
            RE_ENTRY,
            RENAME,
            ARRIVE_MUTED,
            SPEAK,
            CAMERA,
            CLASS_CHAT,
            PRIVATE_CHAT,
            SHARE_SCREEN,
            LATE_AFTER);

    /** The rights that a desk shows as columns and a seat as a list; passes and curbs are about these. */
    public static final List<Rule<Permission>> RIGHTS =
            List.of(SPEAK, CAMERA, CLASS_CHAT, PRIVATE_CHAT, SHARE_SCREEN, RENAME);

    private Catalogue() {}

    public static Optional<Rule<?>> byKey(String key) {
        return ALL.stream().filter(rule -> rule.key().equals(key)).findFirst();
    }

    /** The right of that key, if it is one of {@link #RIGHTS}. */
    public static Optional<Rule<Permission>> rightByKey(String key) {
        return RIGHTS.stream().filter(rule -> rule.key().equals(key)).findFirst();
    }

    private static Map<Role, Permission> permissions(
            Permission lead, Permission second, Permission monitor, Permission pupil, Permission visitor) {
        var usual = new EnumMap<Role, Permission>(Role.class);
        usual.put(LEAD_ADULT, lead);
        usual.put(SECOND_ADULT, second);
        usual.put(CLASS_MONITOR, monitor);
        usual.put(PUPIL, pupil);
        usual.put(VISITOR, visitor);
        return usual;
    }
}
