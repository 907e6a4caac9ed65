package juricast.server.words;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import juricast.core.entry.Reason;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonPlan;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rulebook;
import juricast.server.data.School;
import juricast.server.languages.Sentences;
import org.springframework.stereotype.Component;

/** The table that turns reasons at the door into sentences: one column for adults, one for the arrival. */
@Component
public class VerdictWords {
    private final School school;
    private final Sentences sentences;
    private final Map<ReasonCode, Sentence> table = new EnumMap<>(ReasonCode.class);

    private record Sentence(String adults, String arrival) {}

    VerdictWords(School school, Sentences sentences) {
        this.school = school;
        this.sentences = sentences;
        put(ReasonCode.LESSON_OVER, "The lesson is over.", "This lesson is over. Your next one is on your own page.");
        put(
                ReasonCode.LINK_RETIRED,
                "Came with a link that was renewed.",
                "This link was renewed and counts no more. Ask your teacher for the new one.");
        put(
                ReasonCode.REMOVED_FOR_GOOD,
                "{who} was removed; the charter lets nobody back into the same lesson.",
                "You were sent out of this lesson and cannot come back to it. Your teacher will talk with you.");
        put(
                ReasonCode.REMOVED_EARLIER,
                "{who} was removed earlier in this lesson, by name or by this device.",
                "You were sent out. Your teacher decides whether you may come back; please wait.");
        put(
                ReasonCode.OUT_OF_SERIES,
                "{who} is not let into lessons of this class until somebody has talked; see the casebook.",
                "You cannot come into these lessons until somebody of the school has talked with you. They will write to you.");
        put(
                ReasonCode.SENT_TO_DOOR,
                "{who} was sent back to the door.",
                "You were asked to wait at the door for a moment. You are not in trouble for waiting; your teacher will let you in.");
        put(
                ReasonCode.NO_VISITORS,
                "{who} is a visitor, and the rules close the door to visitors now.",
                "Visitors cannot come in now. Please write to the teacher who invited you.");
        put(
                ReasonCode.TURNED_AWAY_EARLIER,
                "This device was turned away earlier.",
                "You were turned away before. A teacher looks at it once more; please wait.");
        put(
                ReasonCode.SWEEP,
                "This device has tried several doors of the school in minutes. The lead was told.",
                "A teacher looks at who you are; please wait.");
        put(
                ReasonCode.NAME_UNCLEAR,
                "May be {who}: ask which.",
                "We are not sure who you are. Knock again with your first and last name, or wait for your teacher.");
        put(
                ReasonCode.NAME_SIMILAR,
                "Nearly the name of {who}.",
                "Your name is written a little differently on the class list. Your teacher looks at it.");
        put(
                ReasonCode.NOT_ON_LIST,
                "No such name on the class list{nearest}.",
                "This name is not on the class list. Knock again with your first and last name, or wait for your teacher.");
        put(
                ReasonCode.NO_TELEPHONE,
                "Calls by telephone; the rules close the door to calls.",
                "This lesson cannot be joined by telephone. Please come by the link in your joining note.");
        put(
                ReasonCode.BY_TELEPHONE,
                "Calls by telephone: ask who it is{maybe}.",
                "You are connected. An adult of the lesson will ask who you are; please wait.");
        put(
                ReasonCode.NO_OUTSIDE_ACCOUNT,
                "Signed in at another place; the rules let no such account in.",
                "An account of another place does not count here. Please use your school’s account, or ask your teacher.");
        put(
                ReasonCode.OUTSIDE_ACCOUNT,
                "Signed in at another place, which vouches for the address only.",
                "Your account is from another place. Your teacher looks at it and lets you in.");
        put(
                ReasonCode.ALREADY_HERE,
                "{who} is already here on another device.",
                "Somebody of this name is in the lesson already. Your teacher looks at it.");
        put(
                ReasonCode.NO_SECOND_DEVICE,
                "{who} is already here; the rules allow no second device.",
                "You are in the lesson on another device already. Go on there.");
        put(
                ReasonCode.VISITOR,
                "A visitor, invited to this lesson: let in by an adult only.",
                "Your host sees you and will let you in.");
        put(
                ReasonCode.ROOM_IS_FULL,
                "The room is full by the rules.",
                "The room is full. Your teacher sees that you wait.");
        put(
                ReasonCode.HELP_IS_FULL,
                "As many as may be are in this help hour.",
                "Others are asking just now. You are in the row and come in by yourself when it is your turn.");
        put(
                ReasonCode.WOULD_BE_ALONE,
                "Would be alone with one adult: comes in with the next one, a second adult, or while it is recorded.",
                "You would be the only one in there. You come in as soon as somebody else comes too; you need not do anything.");
        put(
                ReasonCode.TOO_EARLY,
                "Early: nobody is let in before {opens}.",
                "You are early. The door opens at {opens}.");
        put(
                ReasonCode.NO_ADULT_YET,
                "No adult is in the room yet.",
                "Your teacher is not there yet. You will be let in when they are; you need not do anything.");
        put(
                ReasonCode.DOOR_SHUT,
                "Knocked while the door was shut.",
                "The door is shut. Your teacher sees that you knock.");
        put(ReasonCode.DOOR_KNOCK, "Everyone knocks.", "Your teacher sees you and will let you in.");
        put(ReasonCode.ON_CLASS_LIST, "On the class list.", "You are on the class list.");
    }

    private void put(ReasonCode code, String adults, String arrival) {
        table.put(code, new Sentence(adults, arrival));
    }

    /** A reason for the adults, with the names of those it is about. */
    public String forAdults(Reason reason, LessonPlan plan, Rulebook rules) {
        Function<PersonId, String> name = plan::nameOf;
        String who = reason.about().stream().map(name).collect(Collectors.joining(" or "));
        return table.get(reason.code())
                .adults
                .replace("{who}", who)
                .replace("{maybe}", who.isEmpty() ? "" : "; earlier it was " + who)
                .replace("{nearest}", who.isEmpty() ? "" : "; nearest is " + who)
                .replace("{opens}", reason.code() == ReasonCode.TOO_EARLY ? opens(plan, rules) : "");
    }

    /** A reason for the arrival, in their language: kind, true, and about nobody else. */
    public String forArrival(ReasonCode code, LessonPlan plan, Rulebook rules) {
        String opens = code == ReasonCode.TOO_EARLY ? opens(plan, rules) : "";
        String key = "verdict." + code.name().toLowerCase(Locale.ROOT).replace('_', '-');
        return sentences.or(table.get(code).arrival.replace("{opens}", opens), key, opens);
    }

    private String opens(LessonPlan plan, Rulebook rules) {
        var early = rules.value(
                Catalogue.EARLY_MINUTES,
                juricast.core.identity.Role.PUPIL,
                plan.time().from());
        return school.clockTime(plan.time().from().minus(early.length()));
    }
}
