package juricast.core.rules;

import static juricast.core.identity.Role.*;
import static juricast.core.rules.Area.*;
import static juricast.core.rules.Permission.*;
import static juricast.core.rules.Rule.Enforced.*;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.Role;
import juricast.core.rules.Rule.Enforced;
import juricast.core.rules.ValueType.Unit;

/**
 * All rules, in the order in which the charter shows them (needs A1, A8). To add a rule: one constant here, and the
 * decision that asks for it. One that nothing asks for yet says so by {@link Enforced#NOT_YET}; a test keeps that true.
 */
public final class Catalogue {
    private static final List<Rule<?>> WRITTEN = new ArrayList<>();

    public static final Rule<Door> DOOR = rule("entry.door", ENTRY, ValueType.DOOR)
            .titled("The door when a lesson opens")
            .meaning("Open lets the class list walk in, knock makes everyone wait, shut keeps the door closed.")
            .because("Whoever has the link can knock; only people whom the school knows should walk in.")
            .pupilsCallIt("coming in")
            .enforced(AT_THE_DOOR)
            .usual(CLASS_MONITOR, Door.KNOCK)
            .usual(PUPIL, Door.KNOCK)
            .usual(VISITOR, Door.KNOCK)
            .written();

    public static final Rule<YesNo> ADULTS_FIRST = rule("entry.adults-first", ENTRY, ValueType.YES_IS_STRICT)
            .titled("An adult is in first")
            .meaning("Nobody of this role is let in before an adult of the class is in the room.")
            .because("Pupils who are alone in a room cannot be protected.")
            .pupilsCallIt("an adult being there before you")
            .enforced(AT_THE_DOOR)
            .usual(CLASS_MONITOR, YesNo.YES)
            .usual(PUPIL, YesNo.YES)
            .usual(VISITOR, YesNo.YES)
            .written();

    public static final Rule<Minutes> EARLY_MINUTES = rule(
                    "entry.early-minutes", ENTRY, ValueType.fewerMinutesAreStricter(0, 120))
            .titled("How early one may come")
            .meaning("Minutes before the planned start from which an adult may open and others are let in.")
            .because("The planned time is enforced, so that no room stands open for hours.")
            .pupilsCallIt("coming early")
            .enforced(AT_THE_DOOR)
            .usual(LEAD_ADULT, new Minutes(30))
            .usual(SECOND_ADULT, new Minutes(30))
            .usual(CLASS_MONITOR, new Minutes(10))
            .usual(PUPIL, new Minutes(10))
            .usual(VISITOR, new Minutes(5))
            .usual(OBSERVER, new Minutes(5))
            .written();

    public static final Rule<ReEntry> RE_ENTRY = rule("entry.re-entry", ENTRY, ValueType.RE_ENTRY)
            .titled("Coming back after a removal")
            .meaning("Never, after an adult allowed it, or like anyone else.")
            .because("Removed means removed: by person, account and device.")
            .pupilsCallIt("coming back after being sent out")
            .enforced(AT_THE_DOOR)
            .usual(CLASS_MONITOR, ReEntry.AFTER_APPROVAL)
            .usual(PUPIL, ReEntry.AFTER_APPROVAL)
            .usual(VISITOR, ReEntry.NEVER)
            .written();

    public static final Rule<Permission> SECOND_DEVICE = rule("entry.second-device", ENTRY, ValueType.PERMISSION)
            .titled("A second device")
            .meaning("Whether a person may be in with two devices at the same time.")
            .because("A second device under one name may be a second person.")
            .pupilsCallIt("come in with a second device")
            .enforced(AT_THE_DOOR)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, CLOSED, CLOSED));

    public static final Rule<Permission> TELEPHONE = rule("entry.telephone", ENTRY, ValueType.PERMISSION)
            .titled("Join by telephone")
            .meaning(
                    "Closed: a call is not let in. On request: an adult asks who it is. Open: a number that was let in once comes back by itself.")
            .because(
                    "A voice without a face or an account is the hardest to know; on an island it may be all there is.")
            .pupilsCallIt("join by telephone")
            .enforced(AT_THE_DOOR)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, CLOSED, CLOSED));

    public static final Rule<Permission> VISITORS = rule("entry.visitors", ENTRY, ValueType.PERMISSION)
            .titled("Visitors")
            .meaning(
                    "Closed: none. On request: only with an invitation for this lesson and an adult present. Open: whoever an adult lets in.")
            .because("A stranger among children needs a name, a reason and an adult.")
            .pupilsCallIt("be a visitor of a class")
            .enforced(AT_THE_DOOR)
            .usual(VISITOR, ON_REQUEST)
            .written();

    public static final Rule<Permission> OUTSIDE_ACCOUNTS = rule("entry.outside-accounts", ENTRY, ValueType.PERMISSION)
            .titled("Accounts from outside the school")
            .meaning("Whether somebody signed in with an account of another place may come in.")
            .because("The school can vouch only for accounts it gave.")
            .pupilsCallIt("come in with an account from elsewhere")
            .enforced(AT_THE_DOOR)
            .usual(CLASS_MONITOR, CLOSED)
            .usual(PUPIL, CLOSED)
            .usual(VISITOR, ON_REQUEST)
            .usual(OBSERVER, CLOSED)
            .written();

    public static final Rule<Count> CAPACITY = rule(
                    "entry.capacity", ENTRY, ValueType.fewerAreStricter(1, 300, Unit.PEOPLE))
            .titled("How many may be in")
            .meaning("Pupils and visitors in one lesson at the same time.")
            .because("A room nobody can overlook is a room without supervision.")
            .pupilsCallIt("how many may be in")
            .enforced(AT_THE_DOOR)
            .ofWholeLesson(new Count(60));

    public static final Rule<YesNo> ONE_BY_ONE = rule("entry.one-by-one", ENTRY, ValueType.YES_IS_STRICT)
            .titled("Let in one by one")
            .meaning("An adult lets in each person alone; no key lets in all on the class list at once.")
            .because("Where a stranger has been in before, each face is worth a look.")
            .pupilsCallIt("being let in one by one")
            .enforced(AT_THE_DOOR)
            .ofWholeLesson(YesNo.NO);

    public static final Rule<Count> HELP_AT_ONCE = rule(
                    "entry.help-at-once", ENTRY, ValueType.fewerAreStricter(1, 30, Unit.PEOPLE))
            .titled("At once in a help hour")
            .meaning("Pupils and visitors in a help hour at the same time; the others wait in a row.")
            .because("A question is asked more freely among few, and nobody is overlooked.")
            .pupilsCallIt("how many may be in a help hour at once")
            .enforced(AT_THE_DOOR)
            .ofWholeLesson(new Count(3));

    public static final Rule<Permission> RENAME = rule("names.rename", NAMES, ValueType.PERMISSION)
            .titled("Change one's own shown name")
            .meaning("Whether a person may show another name than the class list's.")
            .because("A changed name lets one pupil speak or be punished as another.")
            .pupilsCallIt("change the name others see")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Choice> SHOWN_NAME = rule(
                    "names.shown", NAMES, ValueType.withoutOrder("first-name", "first-name-and-initial", "full-name"))
            .titled("The name that others see")
            .meaning("How the name of a pupil or a visitor is written in what is watched of a recording.")
            .because("Visitors and recordings need no full names of children.")
            .pupilsCallIt("how your name is written")
            .enforced(IN_THE_RECORD)
            .usual(CLASS_MONITOR, new Choice("full-name"))
            .usual(PUPIL, new Choice("full-name"))
            .usual(VISITOR, new Choice("full-name"))
            .written();

    public static final Rule<Permission> SEE_LIST = rule("names.see-list", NAMES, ValueType.PERMISSION)
            .titled("See who is present")
            .meaning("Whether a person sees the names of those who are in the same place of the lesson.")
            .because("A list of children is worth something to strangers.")
            .pupilsCallIt("see who is here")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, CLOSED, OPEN));

    public static final Rule<Permission> BACKGROUND = rule("names.background", NAMES, ValueType.PERMISSION)
            .titled("Background pictures")
            .meaning(
                    "Whether a person may put a picture of their own behind themselves. A plain background is always there for the asking.")
            .because("A blurred or plain background hides a home; a chosen one can carry anything.")
            .pupilsCallIt("use a background picture")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, OPEN, CLOSED));

    public static final Rule<YesNo> ARRIVE_MUTED = rule("voice.arrive-muted", VOICE_AND_CAMERA, ValueType.YES_IS_STRICT)
            .titled("Arrive muted")
            .meaning("The microphone is off when this person comes in.")
            .because("Nobody's home is heard before they know that they are in.")
            .pupilsCallIt("arriving muted")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, YesNo.NO)
            .usual(SECOND_ADULT, YesNo.YES)
            .usual(CLASS_MONITOR, YesNo.YES)
            .usual(PUPIL, YesNo.YES)
            .usual(VISITOR, YesNo.YES)
            .usual(OBSERVER, YesNo.YES)
            .written();

    public static final Rule<YesNo> ARRIVE_UNSEEN = rule(
                    "voice.arrive-camera-off", VOICE_AND_CAMERA, ValueType.YES_IS_STRICT)
            .titled("Arrive with the camera off")
            .meaning("The camera is off when this person comes in.")
            .because("Nobody's home is seen before they know that they are in.")
            .pupilsCallIt("arriving with the camera off")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, YesNo.NO)
            .usual(SECOND_ADULT, YesNo.YES)
            .usual(CLASS_MONITOR, YesNo.YES)
            .usual(PUPIL, YesNo.YES)
            .usual(VISITOR, YesNo.YES)
            .usual(OBSERVER, YesNo.YES)
            .written();

    public static final Rule<Permission> SPEAK = rule("voice.speak", VOICE_AND_CAMERA, ValueType.PERMISSION)
            .titled("Speak")
            .meaning("Whether a person may switch the own microphone on.")
            .because("One voice at a time keeps a class teachable; adults can mute, never switch a microphone on.")
            .pupilsCallIt("speak")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, ON_REQUEST, ON_REQUEST, CLOSED));

    public static final Rule<Permission> CAMERA = rule("voice.camera", VOICE_AND_CAMERA, ValueType.PERMISSION)
            .titled("Camera")
            .meaning("Whether a person may switch the own camera on.")
            .because("A camera shows a child's home; it is never switched on by anyone else.")
            .pupilsCallIt("use your camera")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, ON_REQUEST, CLOSED));

    public static final Rule<Permission> SEE_CAMERAS = rule("voice.see-cameras", VOICE_AND_CAMERA, ValueType.PERMISSION)
            .titled("See others' cameras")
            .meaning("Whether a person sees the pupils' camera pictures.")
            .because("Pictures of children are for the adults who teach them, and for few others.")
            .pupilsCallIt("see the cameras of others")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, CLOSED, ON_REQUEST));

    public static final Rule<Permission> FOCUS = rule("voice.focus", VOICE_AND_CAMERA, ValueType.PERMISSION)
            .titled("Be put in focus")
            .meaning("Whether a person may be shown large to everyone.")
            .because("To be put in front of all should be a choice.")
            .pupilsCallIt("be shown large to everyone")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, ON_REQUEST, CLOSED));

    public static final Rule<Permission> CLASS_CHAT = rule("chat.class", CHAT, ValueType.PERMISSION)
            .titled("Write to the whole class")
            .meaning("Whether a person may write what everybody reads.")
            .because("Side talk in front of all is where most disruption begins.")
            .pupilsCallIt("write to the whole class")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, ON_REQUEST, CLOSED));

    public static final Rule<Permission> ADULT_CHAT = rule("chat.adults", CHAT, ValueType.PERMISSION)
            .titled("Write to the adults")
            .meaning("Whether a person may write what only the adults of the lesson read.")
            .because("Nobody should be without a way to ask for help.")
            .pupilsCallIt("write to your teachers")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, OPEN, CLOSED));

    public static final Rule<Permission> PRIVATE_CHAT = rule("chat.private", CHAT, ValueType.PERMISSION)
            .titled("Whisper to one pupil")
            .meaning(
                    "Whether pupils may write to each other privately, where no adult reads along. It is kept with the lesson, but no page shows it to an adult. With a visitor nobody writes alone: the adults always read along.")
            .because("What is out of every adult's sight is where bullying and grooming happen.")
            .pupilsCallIt("whisper to one pupil")
            .enforced(IN_THE_LESSON)
            .usual(CLASS_MONITOR, CLOSED)
            .usual(PUPIL, CLOSED)
            .usual(VISITOR, CLOSED)
            .written();

    public static final Rule<Permission> CHAT_LINKS = rule("chat.links", CHAT, ValueType.PERMISSION)
            .titled("Send links")
            .meaning("Whether a message may hold an address; without the right it waits for an adult.")
            .because("An address leads anywhere, and thirty children follow.")
            .pupilsCallIt("send links")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, ON_REQUEST, CLOSED));

    public static final Rule<Permission> CHAT_WORDS = rule("chat.words", CHAT, ValueType.PERMISSION)
            .titled("Write watched words")
            .meaning("Whether a message may hold a word of the school's list; without the right it waits for an adult.")
            .because("Some words hurt at once, and taking them back later does not help.")
            .pupilsCallIt("send a message with a watched word")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, ON_REQUEST, CLOSED));

    public static final Rule<YesNo> CHAT_APPROVAL = rule("chat.approval", CHAT, ValueType.YES_IS_STRICT)
            .titled("An adult reads first")
            .meaning("Every message to the class or to another pupil waits until an adult lets it through.")
            .because("Where words have hurt, they are read before they are shown.")
            .pupilsCallIt("your messages being read first")
            .enforced(IN_THE_LESSON)
            .usual(CLASS_MONITOR, YesNo.NO)
            .usual(PUPIL, YesNo.NO)
            .usual(VISITOR, YesNo.NO)
            .written();

    public static final Rule<Count> CHAT_RATE = rule(
                    "chat.rate", CHAT, ValueType.fewerAreStricter(1, 60, Unit.MESSAGES))
            .titled("Messages in a minute")
            .meaning("How many messages this person may write within one minute.")
            .because("A flood drowns the one message that asks for help.")
            .pupilsCallIt("how many messages you may write in a minute")
            .enforced(IN_THE_LESSON)
            .usual(CLASS_MONITOR, new Count(12))
            .usual(PUPIL, new Count(8))
            .usual(VISITOR, new Count(8))
            .written();

    public static final Rule<Permission> CHAT_FILES = rule("chat.files", CHAT, ValueType.PERMISSION)
            .titled("Send files")
            .meaning("Whether a person may send files to those who read the chat.")
            .because("A file can hold what no adult has seen.")
            .pupilsCallIt("send files")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, CLOSED, CLOSED));

    public static final Rule<Kinds> FILE_KINDS = rule(
                    "chat.file-kinds", CHAT, ValueType.anyOf("documents", "pictures", "slides", "sound", "video"))
            .titled("Which files")
            .meaning("The kinds of files this person may send, where files are allowed. Programs never, for anyone.")
            .because("What can run can harm; what is large drowns a weak link.")
            .pupilsCallIt("which files you may send")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, Kinds.of("documents", "pictures", "slides", "sound", "video"))
            .usual(SECOND_ADULT, Kinds.of("documents", "pictures", "slides", "sound", "video"))
            .usual(CLASS_MONITOR, Kinds.of("documents", "pictures"))
            .usual(PUPIL, Kinds.of("documents", "pictures"))
            .usual(VISITOR, Kinds.of("slides"))
            .written();

    public static final Rule<Permission> CHAT_SAVE = rule("chat.save", CHAT, ValueType.PERMISSION)
            .titled("Keep a copy of the chat")
            .meaning(
                    "Whether a person may save what was written, and read it again after the lesson. The school keeps its own record either way.")
            .because("A saved chat travels; the record stays.")
            .pupilsCallIt("keep a copy of the chat")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Count> CHAT_KEPT = rule(
                    "chat.kept-days", CHAT, ValueType.fewerAreStricter(1, 3650, Unit.DAYS))
            .titled("How long the chat is kept")
            .meaning("Days after the lesson, then its text and files are erased; longer where an incident holds them.")
            .because("Long enough to look into what happened, no longer.")
            .pupilsCallIt("how long the chat is kept")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(new Count(180));

    public static final Rule<Count> BOARD_KEPT = rule(
                    "board.kept-days", SHARING, ValueType.fewerAreStricter(1, 3650, Unit.DAYS))
            .titled("How long the board is kept")
            .meaning(
                    "Days after the lesson, then the lines on its board are erased; longer where an incident holds them.")
            .because("Long enough to learn from it, no longer.")
            .pupilsCallIt("how long the board is kept")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(new Count(180));

    public static final Rule<Permission> SHARE_SCREEN = rule("share.screen", SHARING, ValueType.PERMISSION)
            .titled("Share a screen")
            .meaning("Whether a person may show something from the own device to everyone.")
            .because("A shared screen can show anything, to every child, at once.")
            .pupilsCallIt("share your screen")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, ON_REQUEST, CLOSED));

    public static final Rule<Permission> WHOLE_SCREEN = rule("share.whole-screen", SHARING, ValueType.PERMISSION)
            .titled("Show a whole screen")
            .meaning("Whether it may be the whole screen rather than one window.")
            .because("Whole screens leak mail, notices and names.")
            .pupilsCallIt("show your whole screen")
            .enforced(IN_THE_LESSON)
            .usual(rights(ON_REQUEST, ON_REQUEST, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Permission> TAKE_OVER = rule("share.take-over", SHARING, ValueType.PERMISSION)
            .titled("Take over from who is showing")
            .meaning("Whether a person may begin to show while another does.")
            .because("A lesson is lost quickest when anyone can push in.")
            .pupilsCallIt("take over while somebody shows something")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Permission> DRAW = rule("share.draw", SHARING, ValueType.PERMISSION)
            .titled("Draw on what is shown")
            .meaning("Whether a person may make marks that all see; each mark carries its author.")
            .because("Marks without an author invite what no one would sign.")
            .pupilsCallIt("draw on what is shown")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, ON_REQUEST, CLOSED));

    public static final Rule<Permission> SAVE_BOARD = rule("share.save-board", SHARING, ValueType.PERMISSION)
            .titled("Save the board")
            .meaning("Whether a person may keep a copy of the board, and look at it again after the lesson.")
            .because("Pupils need their notes; a board with names should stay in the school.")
            .pupilsCallIt("save the board")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, CLOSED, CLOSED));

    public static final Rule<Permission> HAND_OUT = rule("share.hand-out", SHARING, ValueType.PERMISSION)
            .titled("Hand out material")
            .meaning("Whether a person may add links, files and notes to the list of the lesson.")
            .because("What hangs on the wall all lesson should come from who answers for it.")
            .pupilsCallIt("hand out material")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, CLOSED, ON_REQUEST, CLOSED));

    public static final Rule<Permission> MATERIAL_AFTERWARDS = rule(
                    "share.handed-out-after", SHARING, ValueType.PERMISSION)
            .titled("Read what was handed out after the lesson")
            .meaning("Whether a person still finds links and notes of the lesson on the own page when it is over.")
            .because("Homework needs the sheet; whoever was ill needs it most.")
            .pupilsCallIt("find what was handed out after the lesson")
            .enforced(ON_THE_OWN_PAGE)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, CLOSED, CLOSED));

    public static final Rule<Permission> OUTSIDE_AUDIENCE = rule("share.outside", SHARING, ValueType.PERMISSION)
            .titled("Pass the lesson on live")
            .meaning("Whether a person may pass the lesson on to an audience outside the room.")
            .because("Nobody in the room can know who is watching.")
            .pupilsCallIt("pass the lesson on to people outside")
            .enforced(IN_THE_LESSON)
            .usual(rights(CLOSED, CLOSED, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Permission> HAND = rule("signals.hand", SIGNALS, ValueType.PERMISSION)
            .titled("Raise a hand")
            .meaning("Whether a person may ask for the word.")
            .because("To be called on fairly, one must be able to ask.")
            .pupilsCallIt("raise your hand")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, OPEN, CLOSED));

    public static final Rule<Permission> REACTIONS = rule("signals.reactions", SIGNALS, ValueType.PERMISSION)
            .titled("Signals")
            .meaning("Agree, disagree, slower, faster, need a break, cannot hear, without voice.")
            .because("A quiet child can still be counted.")
            .pupilsCallIt("give signals")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, OPEN, CLOSED));

    public static final Rule<Permission> CAPTIONS = rule("signals.captions", SIGNALS, ValueType.PERMISSION)
            .titled("Read captions")
            .meaning("Whether a person may switch captions on for themselves.")
            .because("Some cannot hear; some sit on a ferry.")
            .pupilsCallIt("read captions")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, OPEN, OPEN));

    public static final Rule<Permission> WRITE_CAPTIONS = rule("signals.write-captions", SIGNALS, ValueType.PERMISSION)
            .titled("Write captions")
            .meaning("Whether a person may be the one who writes the captions.")
            .because("Captions are read as the truth of what was said.")
            .pupilsCallIt("write the captions")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, ON_REQUEST, CLOSED, CLOSED, CLOSED));

    public static final Rule<Permission> CAPTION_SERVICE = rule(
                    "signals.caption-service", SIGNALS, ValueType.PERMISSION)
            .titled("Have captions written by a service")
            .meaning("Whether an adult may let the caption service listen and write along.")
            .because("Nobody has a hand free to write; but it hears every voice in the room, and some of it wrongly.")
            .pupilsCallIt("have captions written by a service")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Permission> START_ACTIVITY = rule("activities.start", ACTIVITIES, ValueType.PERMISSION)
            .titled("Start questions, clocks and slates")
            .meaning("Whether a person may ask the class a question, start a clock or give out slates.")
            .because("Whoever asks decides what thirty pupils do next.")
            .pupilsCallIt("ask the class a question")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Permission> ANSWER = rule("activities.answer", ACTIVITIES, ValueType.PERMISSION)
            .titled("Answer questions, use a slate")
            .meaning("Whether a person may answer what the class is asked.")
            .because("Everybody of the class takes part; a visitor’s answer would count among the pupils’.")
            .pupilsCallIt("answer what the class is asked")
            .enforced(IN_THE_LESSON)
            .usual(CLASS_MONITOR, OPEN)
            .usual(PUPIL, OPEN)
            .usual(VISITOR, CLOSED)
            .written();

    public static final Rule<Permission> SEE_ANSWERS = rule("activities.see-names", ACTIVITIES, ValueType.PERMISSION)
            .titled("See who answered what")
            .meaning("Open: answers are seen with names by adults. Closed: only counts, and who has not answered yet."
                    + " What held when a question was asked holds for it for ever.")
            .because("A teacher helps better who knows; some questions are honest only without names.")
            .pupilsCallIt("teachers seeing what you answered")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Permission> SHOW_RESULTS = rule(
                    "activities.show-results", ACTIVITIES, ValueType.PERMISSION)
            .titled("Show results and slates to the class")
            .meaning(
                    "Whether a person may show how a question was answered, or a pupil’s slate. Results never have names.")
            .because("What one pupil wrote for the teacher is shown to the others only on purpose.")
            .pupilsCallIt("show everybody what was answered")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Permission> ANNOUNCE = rule("activities.announce", ACTIVITIES, ValueType.PERMISSION)
            .titled("Welcome and announce")
            .meaning(
                    "Whether a person may put up words that stay on top of everybody’s page until they are taken down.")
            .because("What stays in sight should come from who answers for it.")
            .pupilsCallIt("put up an announcement")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Permission> GIVE_MERITS = rule("merits.give", ACTIVITIES, ValueType.PERMISSION)
            .titled("Give merits")
            .meaning("Whether a person may praise pupils by merits, and take one back within some minutes.")
            .because("Praise that counts comes from who saw it.")
            .pupilsCallIt("give merits")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Choice> MERITS_SEEN = rule(
                    "merits.seen", ACTIVITIES, ValueType.strictToLoose("adults", "pupil", "class"))
            .titled("Who sees merits")
            .meaning("Adults only, the pupil who got one too, or the whole class.")
            .because("Praise before all is a joy to some and a burden to others.")
            .pupilsCallIt("who sees your merits")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Choice("pupil"));

    public static final Rule<Count> ANSWERS_KEPT = rule(
                    "activities.kept-days", ACTIVITIES, ValueType.fewerAreStricter(1, 3650, Unit.DAYS))
            .titled("How long answers are kept")
            .meaning(
                    "Days after the lesson, then what pupils answered and drew on slates is erased; longer where an incident holds it.")
            .because("An answer is for learning, not for a file about a child.")
            .pupilsCallIt("how long your answers are kept")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(new Count(365));

    public static final Rule<Permission> OPEN_BOARD_AGAIN = rule("share.open-again", SHARING, ValueType.PERMISSION)
            .titled("Open a board again")
            .meaning("Whether a person may bring the board of an earlier lesson, or of another class, into this one.")
            .because("A board carries names and what somebody drew; another class should see it only on purpose.")
            .pupilsCallIt("open an earlier board again")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Count> CAPTIONS_KEPT = rule(
                    "captions.kept-days", SIGNALS, ValueType.fewerAreStricter(1, 3650, Unit.DAYS))
            .titled("How long captions are kept")
            .meaning("Days after the lesson, then what was written along is erased; longer where an incident holds it.")
            .because("What was said is not kept longer than it is needed.")
            .pupilsCallIt("how long captions are kept")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(new Count(180));

    public static final Rule<Choice> RECORDING_MODE = rule(
                    "recording.mode", RECORDING, ValueType.withoutOrder("required", "optional", "forbidden"))
            .titled("Recording")
            .meaning(
                    "Required, optional or forbidden. What is required starts by itself with the first pupil and an adult, and plans that do not fit are pointed out.")
            .because("Either way it is decided beforehand, not by who is quickest.")
            .pupilsCallIt("whether lessons are recorded")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Choice("optional"));

    public static final Rule<Permission> START_RECORDING = rule("recording.start", RECORDING, ValueType.PERMISSION)
            .titled("Start a recording")
            .meaning("Whether a person may start one where it is optional.")
            .because("Who records must know who may not be recorded.")
            .pupilsCallIt("start a recording")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, ON_REQUEST, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Permission> PAUSE_RECORDING = rule("recording.pause", RECORDING, ValueType.PERMISSION)
            .titled("Pause a recording")
            .meaning("Whether a person may pause it for something confidential.")
            .because("A child who confides must not be recorded; a pause that is forgotten leaves a gap.")
            .pupilsCallIt("pause the recording")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Permission> END_RECORDING = rule("recording.end", RECORDING, ValueType.PERMISSION)
            .titled("End a required recording")
            .meaning("Whether a person may end one that is required before the lesson is over.")
            .because("What has to be recorded is not ended by whoever would rather not have it.")
            .pupilsCallIt("end a recording that is required")
            .enforced(IN_THE_LESSON)
            .usual(rights(CLOSED, CLOSED, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Minutes> PAUSE_MINUTES = rule(
                    "recording.pause-minutes", RECORDING, ValueType.fewerMinutesAreStricter(1, 60))
            .titled("A pause is asked about after")
            .meaning(
                    "Minutes of a pause until the adults are asked to let it go on; then again, and louder, each time they pass.")
            .because("A pause that is forgotten leaves a gap.")
            .pupilsCallIt("how long the recording may be paused")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Minutes(5));

    public static final Rule<YesNo> ANNOUNCED = rule("recording.announced", RECORDING, ValueType.YES_IS_STRICT)
            .titled("Recording is announced")
            .meaning(
                    "Everyone is told ten seconds before it starts, and when it starts, pauses and ends. A mark shows all the time either way.")
            .because("Nobody is recorded without knowing.")
            .pupilsCallIt("being told about recording")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(YesNo.YES);

    public static final Rule<Choice> CONSENT = rule(
                    "recording.consent",
                    RECORDING,
                    ValueType.strictToLoose(
                            "no-recording", "closed-while-recording", "paused-while-they-speak", "not-asked"))
            .titled("Without consent")
            .meaning(
                    "What happens where somebody present may not be recorded: no recording, their voice and camera closed meanwhile, or a recording that waits while they speak.")
            .because("A family said no, and must be able to rely on it.")
            .pupilsCallIt("your voice and camera if you may not be recorded")
            .enforced(IN_THE_LESSON)
            .usual(CLASS_MONITOR, new Choice("closed-while-recording"))
            .usual(PUPIL, new Choice("closed-while-recording"))
            .usual(VISITOR, new Choice("closed-while-recording"))
            .written();

    public static final Rule<Permission> WATCH_RECORDING = rule("recording.watch", RECORDING, ValueType.PERMISSION)
            .titled("Watch a recording")
            .meaning("Whether a person may watch it afterwards.")
            .because("A recording of children is shown to those who were there, and to few others.")
            .pupilsCallIt("watch the recording")
            .enforced(IN_THE_RECORD)
            .usual(rights(OPEN, OPEN, ON_REQUEST, ON_REQUEST, CLOSED, CLOSED));

    public static final Rule<Permission> DOWNLOAD_RECORDING = rule(
                    "recording.download", RECORDING, ValueType.PERMISSION)
            .titled("Download a recording")
            .meaning("Whether a person may take a copy.")
            .because("A copy cannot be deleted on time.")
            .pupilsCallIt("download the recording")
            .enforced(IN_THE_RECORD)
            .usual(rights(ON_REQUEST, CLOSED, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Count> RECORDING_KEPT = rule(
                    "recording.kept-days", RECORDING, ValueType.fewerAreStricter(1, 3650, Unit.DAYS))
            .titled("How long a recording is kept")
            .meaning("Days after the lesson, then it is deleted; longer for an incident.")
            .because("Long enough to be of use, no longer.")
            .pupilsCallIt("how long recordings are kept")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(new Count(60));

    public static final Rule<YesNo> RECORDING_ALONE = rule("recording.without-chat", RECORDING, ValueType.YES_IS_STRICT)
            .titled("Kept without chat and board")
            .meaning("The recording is kept alone; otherwise chat, polls and board are kept with it.")
            .because("Chat next to a picture tells more about a child than either alone.")
            .pupilsCallIt("recordings kept without chat and board")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(YesNo.NO);

    public static final Rule<Permission> MAKE_GROUPS = rule("groups.make", GROUPS, ValueType.PERMISSION)
            .titled("Make groups")
            .meaning("Whether a person may divide the class into groups.")
            .because("Who sits with whom behind a door is for adults to decide.")
            .pupilsCallIt("make groups")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Count> GROUP_SIZE = rule(
                    "groups.smallest", GROUPS, ValueType.moreAreStricter(2, 30, Unit.PEOPLE))
            .titled("The smallest group")
            .meaning("Pupils in a group at the least.")
            .because("Two pupils alone behind a door is not a group.")
            .pupilsCallIt("how small a group may be")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Count(3));

    public static final Rule<Minutes> GROUP_MINUTES = rule(
                    "groups.minutes", GROUPS, ValueType.fewerMinutesAreStricter(1, 120))
            .titled("The longest time in groups")
            .meaning("Minutes until everyone is brought back.")
            .because("The longer the doors are shut, the less anybody knows.")
            .pupilsCallIt("how long groups last")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Minutes(20));

    public static final Rule<Permission> GROUP_RETURN = rule("groups.return", GROUPS, ValueType.PERMISSION)
            .titled("Come back from a group")
            .meaning("Whether a person may return from a group by themselves.")
            .because("Who is uneasy must be able to leave.")
            .pupilsCallIt("come back from your group")
            .enforced(IN_THE_LESSON)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, OPEN, OPEN));

    public static final Rule<Minutes> GROUP_ALONE = rule(
                    "groups.alone-minutes", GROUPS, ValueType.fewerMinutesAreStricter(0, 60))
            .titled("A group without an adult")
            .meaning("Minutes a group may be without an adult looking in.")
            .because("An adult who may come in at any time keeps a group kind.")
            .pupilsCallIt("how long a group is alone")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Minutes(5));

    public static final Rule<YesNo> GROUP_QUIET = rule("groups.quiet-alone", GROUPS, ValueType.YES_IS_STRICT)
            .titled("A group left alone goes quiet")
            .meaning(
                    "Words, drawing and sharing of a group stop by themselves when it has been without an adult for too long, until one looks in.")
            .because(
                    "With one adult and many groups a long silence is worse than a short worry; a school may decide otherwise.")
            .pupilsCallIt("a group without an adult goes quiet")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(YesNo.NO);

    public static final Rule<Permission> GROUP_LATE = rule("groups.late", GROUPS, ValueType.PERMISSION)
            .titled("Join a group late")
            .meaning(
                    "Who comes while the class is in groups goes to the group that needs them by themselves, by an adult's word, or stays with the class together.")
            .because("A late child alone with nobody learns nothing; a group may be in the middle of something.")
            .pupilsCallIt("go to a group when you come late")
            .enforced(IN_THE_LESSON)
            .usual(CLASS_MONITOR, ON_REQUEST)
            .usual(PUPIL, ON_REQUEST)
            .usual(VISITOR, ON_REQUEST)
            .written();

    public static final Rule<Choice> LINK_RENEWAL = rule(
                    "links.renewal", LINKS, ValueType.strictToLoose("each-lesson", "each-week", "each-term", "series"))
            .titled("How long a link is good")
            .meaning("Until the end of the lesson, week, term or series; then a new one is made.")
            .because("One link saves reposting; a fresh one keeps out those who kept an old one.")
            .pupilsCallIt("a new link is made for")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Choice("series"));

    public static final Rule<Minutes> LINK_SHOWN = rule(
                    "links.shown-minutes", LINKS, ValueType.fewerMinutesAreStricter(0, 1440))
            .titled("When the link is shown")
            .meaning("Minutes before the planned start from which pupils see it on their own page.")
            .because("A link that is not there cannot be passed on.")
            .pupilsCallIt("how long before the lesson you see the link")
            .enforced(ON_THE_OWN_PAGE)
            .usual(CLASS_MONITOR, new Minutes(30))
            .usual(PUPIL, new Minutes(30))
            .written();

    public static final Rule<Permission> LINK_VISIBLE = rule("links.visible", LINKS, ValueType.PERMISSION)
            .titled("See the link")
            .meaning("Whether a person sees the link of the lesson at all.")
            .because("Where links leak, only the adults hand them out.")
            .pupilsCallIt("see the link")
            .enforced(ON_THE_OWN_PAGE)
            .usual(rights(OPEN, OPEN, OPEN, OPEN, CLOSED, CLOSED));

    public static final Rule<Permission> LINK_IN_CALENDARS = rule("links.in-calendars", LINKS, ValueType.PERMISSION)
            .titled("The link in calendars")
            .meaning("Whether the entries of a person's own calendar say the link, where the person sees it at all.")
            .because("A calendar is copied to more places than a link should be.")
            .pupilsCallIt("have the link in your calendar")
            .enforced(ON_THE_OWN_PAGE)
            .usual(rights(CLOSED, CLOSED, CLOSED, CLOSED, CLOSED, CLOSED));

    public static final Rule<Count> WORD_STRENGTH = rule(
                    "links.word-strength", LINKS, ValueType.moreAreStricter(10, 60, Unit.BITS))
            .titled("The strength of a join word")
            .meaning("Bits of chance in it at the least; one more bit is twice as hard to guess.")
            .because("Easy to say must not be easy to guess.")
            .pupilsCallIt("how hard a join word is to guess, at least")
            .enforced(IN_THE_INSPECTION)
            .ofWholeLesson(new Count(18));

    public static final Rule<Count> WORD_DISTANCE = rule(
                    "links.word-distance", LINKS, ValueType.moreAreStricter(1, 6, Unit.LETTERS))
            .titled("How unlike join words are")
            .meaning("Letters in which it differs from every other class's word at the least.")
            .because("Nobody strays into the wrong room by a slip.")
            .pupilsCallIt("by how much join words differ, at least")
            .enforced(IN_THE_INSPECTION)
            .ofWholeLesson(new Count(2));

    public static final Rule<Minutes> REMINDER_MINUTES = rule(
                    "links.reminder-minutes", LINKS, ValueType.moreMinutesAreStricter(0, 120))
            .titled("Reminder before a lesson")
            .meaning("Minutes before the planned start at which everybody expected is reminded; 0 for none.")
            .because("Whoever is reminded in time needs no nudge.")
            .pupilsCallIt("how long before a lesson you are reminded")
            .enforced(IN_THE_OUTBOX)
            .ofWholeLesson(new Minutes(10));

    public static final Rule<Minutes> NUDGE_MINUTES = rule(
                    "links.nudge-minutes", LINKS, ValueType.fewerMinutesAreStricter(0, 60))
            .titled("Nudge after the start")
            .meaning("Minutes after the planned start at which pupils who have not come are nudged; 0 for never.")
            .because("Who forgot can still come; who could not is missed early.")
            .pupilsCallIt("how long after the start you are asked where you are")
            .enforced(IN_THE_OUTBOX)
            .ofWholeLesson(new Minutes(5));

    public static final Rule<Minutes> ALONE_MINUTES = rule(
                    "supervision.alone-minutes", SUPERVISION, ValueType.fewerMinutesAreStricter(0, 15))
            .titled("Without an adult, at most")
            .meaning("Minutes pupils may be in a room without an adult until it goes quiet by itself.")
            .because("A lost line is not a step out, but it must not last.")
            .pupilsCallIt("the longest time without an adult")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Minutes(2));

    public static final Rule<Count> ADULTS_PRESENT = rule(
                    "supervision.adults", SUPERVISION, ValueType.moreAreStricter(1, 5, Unit.PEOPLE))
            .titled("Adults in a lesson")
            .meaning("How many adults must be present.")
            .because("Two pairs of eyes see what one cannot.")
            .pupilsCallIt("adults in a lesson, at least")
            .enforced(IN_THE_CORRIDOR)
            .ofWholeLesson(new Count(1));

    public static final Rule<YesNo> NEVER_ALONE_WITH_ONE = rule(
                    "supervision.one-to-one", SUPERVISION, ValueType.YES_IS_STRICT)
            .titled("No adult alone with one pupil")
            .meaning("A last private word, and one pupil in a help hour, need a second adult or a recording.")
            .because("It protects the child, and the adult.")
            .pupilsCallIt("a second adult or a recording at a last private word")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(YesNo.YES);

    public static final Rule<YesNo> SEE_OBSERVERS = rule(
                    "supervision.see-observers", SUPERVISION, ValueType.YES_IS_STRICT)
            .titled("See who observes")
            .meaning(
                    "Whether people of this role see the name of who looks on without being one of the lesson, or looks in on their group.")
            .because(
                    "Nobody should be watched without knowing it; a school that must may say otherwise, and says so here.")
            .pupilsCallIt("see who looks on")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, YesNo.YES)
            .usual(SECOND_ADULT, YesNo.YES)
            .usual(CLASS_MONITOR, YesNo.YES)
            .usual(PUPIL, YesNo.YES)
            .usual(VISITOR, YesNo.YES)
            .written();

    public static final Rule<Minutes> GAP = rule(
                    "supervision.gap-minutes", SUPERVISION, ValueType.moreMinutesAreStricter(0, 60))
            .titled("Between two lessons")
            .meaning("Minutes between the end of a lesson and the next one of the same adult or class.")
            .because("Without a gap, the last pupils of one lesson are nobody's.")
            .pupilsCallIt("time between two lessons, at least")
            .enforced(IN_THE_INSPECTION)
            .ofWholeLesson(new Minutes(5));

    public static final Rule<Permission> TAKE_STEPS = rule("conduct.steps", CONDUCT, ValueType.PERMISSION)
            .titled("Take steps of the ladder")
            .meaning(
                    "Whether an adult may take the school's measured steps against a pupil; some steps ask for more by themselves.")
            .because("Who was there and saw it can act at once.")
            .pupilsCallIt("take steps when somebody disturbs")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Count> STEPS_ABOVE = rule(
                    "conduct.steps-above", CONDUCT, ValueType.fewerAreStricter(0, 12, Unit.STEPS))
            .titled("Steps above the proposed one, at most")
            .meaning(
                    "How far above the proposed step an adult may go, with a reason; further only the safeguarding lead.")
            .because("Like acts should be met alike, and a heat of the moment should have a bound.")
            .pupilsCallIt("how much harder than usual a step may be")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Count(12));

    public static final Rule<Choice> BACK_FROM_DOOR = rule(
                    "conduct.back-from-door", CONDUCT, ValueType.strictToLoose("adult", "minutes"))
            .titled("Coming in again when sent to the door")
            .meaning("By an adult alone, or also by themselves after some minutes.")
            .because("A few minutes to calm down are no removal; some want a word first.")
            .pupilsCallIt("coming in again when you were sent to the door")
            .enforced(AT_THE_DOOR)
            .ofWholeLesson(new Choice("adult"));

    public static final Rule<Minutes> DOOR_MINUTES = rule(
                    "conduct.door-minutes", CONDUCT, ValueType.moreMinutesAreStricter(1, 60))
            .titled("Minutes at the door, when sent there")
            .meaning(
                    "After how many minutes a pupil who was sent to the door comes in by themselves, where the rules let them.")
            .because("Long enough to calm down, short enough to go on learning.")
            .pupilsCallIt("how long you wait when you were sent to the door")
            .enforced(AT_THE_DOOR)
            .ofWholeLesson(new Minutes(5));

    public static final Rule<Choice> WORRIES_READ = rule(
                    "conduct.worries", CONDUCT, ValueType.strictToLoose("lead", "adults"))
            .titled("Who reads a worry that a pupil raises")
            .meaning(
                    "The safeguarding lead alone, or the adults of the lesson too. A worry about an adult is always for the safeguarding lead alone.")
            .because("A child who tells must know who will read it.")
            .pupilsCallIt("who reads it when you say that something is wrong")
            .enforced(IN_THE_LESSON)
            .ofWholeLesson(new Choice("adults"));

    public static final Rule<Count> HELD_AFTER = rule(
                    "conduct.held-days", CONDUCT, ValueType.moreAreStricter(0, 3650, Unit.DAYS))
            .titled("How long evidence is held after an incident is closed")
            .meaning(
                    "Days for which nothing that an incident rests on is erased after it was closed; as long as it is open, nothing is.")
            .because("Somebody may ask again when it seemed to be over.")
            .pupilsCallIt("how long what happened is kept after it was settled")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(new Count(90));

    public static final Rule<Count> INCIDENTS_KEPT = rule(
                    "conduct.kept-days", CONDUCT, ValueType.fewerAreStricter(30, 9125, Unit.DAYS))
            .titled("How long incidents are kept")
            .meaning("Days after an incident was closed, then what it says is erased; that there was one is not.")
            .because("A child grows up, and a file should not grow with it for ever.")
            .pupilsCallIt("how long the school remembers an incident")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(new Count(1095));

    public static final Rule<Permission> HELP_DOOR = rule("help.door", HELPING, ValueType.PERMISSION)
            .titled("Help at the door")
            .meaning(
                    "A second adult lets in and turns away; a trusted pupil lets in only who is surely on the class list.")
            .because("Nobody should wait because the lead adult is teaching.")
            .pupilsCallIt("help at the door")
            .enforced(IN_THE_LESSON)
            .usual(SECOND_ADULT, OPEN)
            .usual(CLASS_MONITOR, ON_REQUEST)
            .usual(PUPIL, CLOSED)
            .written();

    public static final Rule<Permission> HELP_HANDS = rule("help.hands", HELPING, ValueType.PERMISSION)
            .titled("Call on raised hands")
            .meaning("Whether a person may call on those whose hands are up, and lower hands.")
            .because("Who waits with a raised hand should be seen.")
            .pupilsCallIt("call on raised hands")
            .enforced(IN_THE_LESSON)
            .usual(SECOND_ADULT, OPEN)
            .usual(CLASS_MONITOR, ON_REQUEST)
            .usual(PUPIL, CLOSED)
            .written();

    public static final Rule<Permission> HELP_CHAT = rule("help.chat", HELPING, ValueType.PERMISSION)
            .titled("Look after the chat")
            .meaning(
                    "A second adult changes who may write and decides about held messages; a trusted pupil only pauses the class chat.")
            .because("A chat that nobody looks after is where the trouble starts.")
            .pupilsCallIt("look after the class chat")
            .enforced(IN_THE_LESSON)
            .usual(SECOND_ADULT, OPEN)
            .usual(CLASS_MONITOR, ON_REQUEST)
            .usual(PUPIL, CLOSED)
            .written();

    public static final Rule<Permission> HELP_STEER = rule("help.steer", HELPING, ValueType.PERMISSION)
            .titled("Steer the lesson")
            .meaning(
                    "Whether a second adult may switch stances, mute all, and change what all may do, while the lead adult is in.")
            .because("Two who steer pull in two directions.")
            .pupilsCallIt("steer the lesson")
            .enforced(IN_THE_LESSON)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Permission> LEND = rule("supervision.lend", HELPING, ValueType.PERMISSION)
            .titled("Give passes and curbs")
            .meaning("Whether an adult may lend pupils a right for some minutes, or close one.")
            .because("Lent rights should be few and their lender known.")
            .pupilsCallIt("lend rights to others")
            .enforced(IN_THE_LESSON)
            .usual(LEAD_ADULT, OPEN)
            .usual(SECOND_ADULT, OPEN)
            .written();

    public static final Rule<Permission> HELP_DISMISS = rule("help.dismiss", HELPING, ValueType.PERMISSION)
            .titled("End the lesson for everyone")
            .meaning("Whether a second adult may dismiss the class while the lead adult is in the room.")
            .because("One person says when it is over.")
            .pupilsCallIt("end the lesson")
            .enforced(IN_THE_LESSON)
            .usual(SECOND_ADULT, ON_REQUEST)
            .written();

    public static final Rule<Minutes> LATE_AFTER = rule(
                    "register.late-after", REGISTER, ValueType.fewerMinutesAreStricter(0, 60))
            .titled("Late after")
            .meaning("Minutes after the planned start from which an arrival counts as late; time at the door does not.")
            .because("One measure for all classes is fair, and shows a pattern early.")
            .pupilsCallIt("what counts as late, from")
            .enforced(IN_THE_REGISTER)
            .usual(CLASS_MONITOR, new Minutes(5))
            .usual(PUPIL, new Minutes(5))
            .written();

    public static final Rule<Count> ABSENT_BELOW = rule(
                    "register.absent-below", REGISTER, ValueType.moreAreStricter(0, 100, Unit.PERCENT))
            .titled("Absent below")
            .meaning("Part of the lesson that somebody must be present at the least not to count as absent.")
            .because("To look in for a minute is not to attend.")
            .pupilsCallIt("the part of a lesson to be there for, at least")
            .enforced(IN_THE_REGISTER)
            .usual(CLASS_MONITOR, new Count(50))
            .usual(PUPIL, new Count(50))
            .written();

    public static final Rule<Count> PARTLY_BELOW = rule(
                    "register.partly-below", REGISTER, ValueType.moreAreStricter(0, 100, Unit.PERCENT))
            .titled("Partly below")
            .meaning("Part of the lesson that somebody must be present at the least to count as present, not partly.")
            .because("Who was in and out all lesson missed some of it.")
            .pupilsCallIt("the part of a lesson to be there for, to count as present")
            .enforced(IN_THE_REGISTER)
            .usual(CLASS_MONITOR, new Count(80))
            .usual(PUPIL, new Count(80))
            .written();

    public static final Rule<Minutes> LEFT_EARLY = rule(
                    "register.left-early", REGISTER, ValueType.fewerMinutesAreStricter(0, 60))
            .titled("Left early")
            .meaning("Minutes before the planned end from which leaving no longer counts as early.")
            .because("Who is gone before the end may have been hurt, or bored.")
            .pupilsCallIt("what counts as leaving early, from")
            .enforced(IN_THE_REGISTER)
            .usual(CLASS_MONITOR, new Minutes(5))
            .usual(PUPIL, new Minutes(5))
            .written();

    public static final Rule<Minutes> BRIDGE = rule(
                    "register.bridge-minutes", REGISTER, ValueType.fewerMinutesAreStricter(0, 30))
            .titled("Short drops")
            .meaning("Minutes of a lost connection that still count as present.")
            .because("A ferry's link is not a pupil's fault.")
            .pupilsCallIt("losses of connection that are not counted, up to")
            .enforced(IN_THE_REGISTER)
            .usual(CLASS_MONITOR, new Minutes(3))
            .usual(PUPIL, new Minutes(3))
            .written();

    public static final Rule<Count> WATCHED_COUNTS = rule(
                    "register.watched-percent", REGISTER, ValueType.moreAreStricter(0, 100, Unit.PERCENT))
            .titled("Watching a recording counts from")
            .meaning(
                    "Part of a recording that somebody who was away must have watched to be marked as having watched it; 0 where watching does not count.")
            .because("Who is at sea in the morning can still have the lesson; who skips through it has not.")
            .pupilsCallIt("watching a recording instead of being there")
            .enforced(IN_THE_REGISTER)
            .ofWholeLesson(new Count(0));

    public static final Rule<Count> REGISTER_KEPT = rule(
                    "register.kept-days", REGISTER, ValueType.fewerAreStricter(30, 3650, Unit.DAYS))
            .titled("How long registers are kept")
            .meaning(
                    "Days after the lesson, then its register is deleted, with logs from elsewhere and all that its record says of anybody.")
            .because("Long enough for the year's report, no longer.")
            .pupilsCallIt("how long registers are kept")
            .enforced(IN_THE_RECORD)
            .ofWholeLesson(new Count(1095));

    public static final Rule<YesNo> LEADS_FACTOR = rule(
                    "account.leads-second-factor", ACCOUNTS, ValueType.YES_IS_STRICT)
            .titled("A second factor for safeguarding leads")
            .meaning(
                    "A lead shows a code of the own telephone besides the password; without one set up, nothing else opens.")
            .because("Who sees every child's record is worth more trouble to an intruder than a password is.")
            .pupilsCallIt("a second check when those who see everything sign in")
            .enforced(AT_SIGN_IN)
            .ofWholeLesson(YesNo.NO);

    public static final Rule<Count> LOOKS_KEPT = rule(
                    "account.looks-kept-days", ACCOUNTS, ValueType.fewerAreStricter(30, 3650, Unit.DAYS))
            .titled("How long it is kept who looked at what")
            .meaning("Days after a sign-in or a look at somebody's record, then the note of it is deleted.")
            .because("Long enough to find out who looked without a reason, and not for ever.")
            .pupilsCallIt("how long it is kept who looked at your record")
            .enforced(AT_SIGN_IN)
            .ofWholeLesson(new Count(365));

    public static final Rule<Count> MESSAGES_KEPT = rule(
                    "account.messages-kept-days", ACCOUNTS, ValueType.fewerAreStricter(30, 3650, Unit.DAYS))
            .titled("How long messages are kept")
            .meaning("Days after a message went out, then it is deleted.")
            .because("Long enough to show that a family was told.")
            .pupilsCallIt("how long messages to you are kept")
            .enforced(IN_THE_OUTBOX)
            .ofWholeLesson(new Count(180));

    public static final Rule<Count> DEVICES_KEPT = rule(
                    "account.devices-kept-days", ACCOUNTS, ValueType.fewerAreStricter(7, 3650, Unit.DAYS))
            .titled("How long a device is known")
            .meaning("Days after somebody signed in on a device for the last time, then it is forgotten.")
            .because("A device that was given away is nobody’s any more.")
            .pupilsCallIt("how long your devices are known")
            .enforced(AT_SIGN_IN)
            .ofWholeLesson(new Count(180));

    public static final List<Rule<?>> ALL = List.copyOf(WRITTEN);

    /** The rights that a desk shows as columns and a seat as a list. */
    public static final List<Rule<Permission>> RIGHTS =
            List.of(SPEAK, CAMERA, CLASS_CHAT, PRIVATE_CHAT, SHARE_SCREEN, DRAW, RENAME);

    /** Rights that few schools open to a class: a seat lists them where they are open, and leaves them out elsewhere. */
    public static final List<Rule<Permission>> RARELY_OPEN = List.of(WHOLE_SCREEN, OUTSIDE_AUDIENCE);

    /** What others are shown, which adults switch for the class while a lesson runs. */
    public static final List<Rule<Permission>> SEEN = List.of(SEE_LIST, SEE_CAMERAS);

    /** What others do for the lead adult; who leads may lend each of these for some minutes (needs A2, F7). */
    public static final List<Rule<Permission>> HELP =
            List.of(HELP_DOOR, HELP_HANDS, HELP_CHAT, HELP_STEER, LEND, HELP_DISMISS);

    private static final Map<String, Rule<?>> BY_KEY =
            ALL.stream().collect(Collectors.toMap(Rule::key, Function.identity()));

    private Catalogue() {}

    public static Optional<Rule<?>> byKey(String key) {
        return Optional.ofNullable(BY_KEY.get(key));
    }

    /** The right of that key, if passes and curbs can be about it: one of {@link #RIGHTS} or {@link #HELP}. */
    public static Optional<Rule<Permission>> rightByKey(String key) {
        return byKey(key, Stream.of(RIGHTS, HELP));
    }

    /** The right of that key, if a seat can show it: one of {@link #RIGHTS}, {@link #HELP} or {@link #RARELY_OPEN}. */
    public static Optional<Rule<Permission>> shownAtSeatByKey(String key) {
        return byKey(key, Stream.of(RIGHTS, HELP, RARELY_OPEN));
    }

    private static Optional<Rule<Permission>> byKey(String key, Stream<List<Rule<Permission>>> among) {
        return among.flatMap(List::stream)
                .filter(rule -> rule.key().equals(key))
                .findFirst();
    }

    private static <V extends Value> Draft<V> rule(String key, Area area, ValueType<V> type) {
        return new Draft<>(key, area, type);
    }

    private static Map<Role, Permission> rights(
            Permission lead,
            Permission second,
            Permission monitor,
            Permission pupil,
            Permission visitor,
            Permission observer) {
        return new EnumMap<>(Map.of(
                LEAD_ADULT, lead,
                SECOND_ADULT, second,
                CLASS_MONITOR, monitor,
                PUPIL, pupil,
                VISITOR, visitor,
                OBSERVER, observer));
    }

    /** A rule being written down. */
    private static final class Draft<V extends Value> {
        private final String key;
        private final Area area;
        private final ValueType<V> type;
        private final Map<Role, V> usual = new EnumMap<>(Role.class);
        private String title = "";
        private String meaning = "";
        private String reason = "";
        private String pupilWords = "";
        private Enforced enforced = NOT_YET;

        Draft(String key, Area area, ValueType<V> type) {
            this.key = key;
            this.area = area;
            this.type = type;
        }

        Draft<V> titled(String words) {
            title = words;
            return this;
        }

        Draft<V> meaning(String words) {
            meaning = words;
            return this;
        }

        Draft<V> because(String words) {
            reason = words;
            return this;
        }

        Draft<V> pupilsCallIt(String words) {
            pupilWords = words;
            return this;
        }

        Draft<V> enforced(Enforced where) {
            enforced = where;
            return this;
        }

        Draft<V> usual(Role role, V value) {
            usual.put(role, value);
            return this;
        }

        Rule<V> usual(Map<Role, V> values) {
            usual.putAll(values);
            return written();
        }

        Rule<V> ofWholeLesson(V value) {
            usual.put(Rule.ANSWERS, value);
            return written(true);
        }

        Rule<V> written() {
            return written(false);
        }

        private Rule<V> written(boolean wholeLesson) {
            var text = new Rule.Text(key, area, title, meaning, reason, pupilWords);
            var rule = new Rule<>(WRITTEN.size(), text, type, enforced, wholeLesson, usual);
            WRITTEN.add(rule);
            return rule;
        }
    }
}
