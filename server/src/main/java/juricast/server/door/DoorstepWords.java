package juricast.server.door;

import java.util.List;
import juricast.core.entry.Doorstep;
import juricast.core.limits.Limits;
import juricast.server.problems.Problem;

/** What is said to somebody who has not knocked yet, in words for everybody. */
final class DoorstepWords {
    private DoorstepWords() {}

    static Problem problem(Doorstep.Refusal why) {
        return switch (why) {
            case FOR_STAFF -> Problem.refused(
                    "for-staff",
                    "This link is for the adults of the class",
                    "You have not knocked.",
                    "Sign in; it then leads to the desk. Pupils use the link in their joining note.");
            case NO_NAME -> Problem.notReadable(
                    "Please give your name",
                    "You have not knocked yet.",
                    "First and last name, up to " + Limits.NAME + " characters.",
                    List.of(new Problem.Wrong("name", "1 to " + Limits.NAME + " characters")));
            case WRONG_WORD -> Problem.refused(
                    "wrong-word",
                    "That is not the join word of this class",
                    "You have not knocked yet. Your name is still here.",
                    "Look at your joining note again: two words and a number, such as amber-kelp-47.");
            case HOUSE_RULES -> Problem.refused(
                    "house-rules",
                    "Please read the house rules first",
                    "You have not knocked yet. Your name is still here.",
                    "Tick that you have read them and keep to them.");
            case NO_LESSON_NOW -> Problem.refused(
                    "no-lesson-now",
                    "There is no lesson now",
                    "Nobody is there to let you in.",
                    "Come back shortly before your lesson begins.");
            case TOO_MANY_KNOCKS -> Problem.tooMany(
                    "Too many tries", "Wait two minutes, then try again with the word your teacher gave you.");
        };
    }
}
