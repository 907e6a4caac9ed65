package juricast.server.casebook;

import juricast.core.casebook.CaseRefusal;
import juricast.core.limits.Limits;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** Why something was not done with an incident, and what to do. */
@Component
class CaseWords {
    Problem problem(CaseRefusal why) {
        return switch (why) {
            case NOT_YOURS -> Problem.notYours(
                    "This is not yours to do", "Ask the safeguarding lead, or the head of the year.");
            case IS_CLOSED -> say(why, "This incident is closed", "Open it again first, or write a note.");
            case IS_OPEN -> say(why, "This incident is open", "Nothing needs to be done.");
            case WAS_MERGED -> say(why, "This incident goes on as another one", "Go on there.");
            case EMPTY_TEXT -> say(why, "Nothing is written yet", "Write a few words.");
            case TEXT_TOO_LONG -> say(
                    why,
                    "This is too long",
                    "Up to %d characters; a title up to %d.".formatted(Limits.NOTE, Limits.TITLE));
            case NO_SUCH_ACT -> say(why, "There is no such kind of act", "Choose one of the school's list.");
            case NO_SUCH_FOLLOW_UP -> say(why, "There is no such follow-up", "Look at the page again.");
            case ALREADY_DONE -> say(why, "This was done already", "Nothing needs to be done.");
            case DAY_IS_PAST -> say(why, "This day is past", "Choose today or a later one.");
            case NO_SUCH_EVENT -> say(why, "There is nothing of this number to correct", "Look at the page again.");
            case NOT_OUT -> say(why, "This pupil may come already", "Nothing needs to be done.");
            case NOT_IN_IT -> say(why, "This person has no part in it", "Say first which part they have.");
            case THE_SAME_ONE -> say(why, "It is this incident itself", "Choose another one.");
            case NOBODY_LEFT -> say(why, "Somebody must be in each of the two", "Choose some of its people, not all.");
            case LEADS_ALONE -> say(
                    why,
                    "One of the two is for safeguarding leads alone",
                    "Link them instead, so that it does not come before others' eyes.");
            case STILL_TO_DO -> say(
                    why,
                    "Something is still to be done",
                    "Finish the follow-ups, and talk with who is kept out of the series, then close it.");
            case TOO_MUCH -> say(why, "This is too much for one incident", "Write another one, and link the two.");
        };
    }

    private static Problem say(CaseRefusal why, String title, String whatToDo) {
        return Problem.refused(
                why.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'),
                title,
                "Nothing was changed.",
                whatToDo);
    }
}
