package juricast.server.words;

import java.time.Instant;
import java.util.List;
import java.util.function.Function;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.inspection.Finding;
import juricast.core.inspection.FindingKind;
import juricast.core.inspection.InspectedClass;
import juricast.core.inspection.Mend;
import juricast.core.time.Span;
import juricast.server.data.School;
import org.springframework.stereotype.Component;

/** What the inspection found, in sentences: what is wrong, on what evidence, why it matters, and how it is mended. */
@Component
public class FindingWords {
    private static final int NAMED = 3;

    private final School school;

    FindingWords(School school) {
        this.school = school;
    }

    /** What the words need to look up. */
    public record Names(
            Function<ClassId, InspectedClass> classes,
            Function<LessonId, Span> times,
            Function<PersonId, String> people) {
        String title(ClassId id) {
            return classes.apply(id).title();
        }
    }

    /** The kind of weak spot, as a heading. */
    public static String heading(FindingKind kind) {
        return switch (kind) {
            case NO_ADULT -> "Nobody is in charge";
            case ADULT_TWICE -> "An adult in two lessons at once";
            case COVER_ENDS_EARLY -> "Cover ends before the lesson";
            case VISITOR_FORBIDDEN -> "A visitor whom the rules keep out";
            case STRANGERS_AT_AN_OPEN_DOOR -> "An open door while a visitor is expected";
            case ALONE_WITH_ONE_PUPIL -> "One adult with one pupil";
            case PUPILS_BEFORE_AN_ADULT -> "Pupils may be in before an adult";
            case LINK_TWICE -> "One link to two lessons at once";
            case TOO_FEW_ADULTS -> "Fewer adults than the rules ask for";
            case NOBODY_CAN_COME -> "A help hour to which nobody can come";
            case PUPIL_TWICE -> "Pupils in two lessons at once";
            case GAP_FOR_ADULT -> "No gap for an adult";
            case GAP_FOR_PUPILS -> "No gap for pupils";
            case NO_ROSTER -> "Nobody on the class list";
            case IN_A_HOLIDAY -> "In a holiday";
            case OUT_OF_TERM -> "Outside the terms";
            case ON_A_DAY_OFF -> "On a day without school";
            case OUTSIDE_SCHOOL_HOURS -> "Outside school hours";
            case MORE_THAN_THE_ROOM_HOLDS -> "More pupils than may be in";
            case RECORDING_FORBIDDEN -> "A recording that the rules forbid";
            case RECORDING_PREVENTED -> "Has to be recorded, and cannot be";
            case RECORDED_WITHOUT_SOME -> "Recorded, and not everybody may be";
            case GROUPS_FORBIDDEN -> "Groups that the rules forbid";
            case GROUPS_WITH_ONE_ADULT -> "Groups with one adult";
            case KEPT_APART_MET -> "In one group, and kept apart";
            case KEPT_APART_PLANNED -> "Prepared for one group, and kept apart";
            case WORD_TOO_WEAK -> "A join word that is easy to guess";
            case WORD_TOO_NEAR -> "Two join words that are nearly one";
            case LINK_HIDDEN_TOO_LONG -> "The link shows later than the door opens";
            case PUPILS_WRITE_UNSEEN -> "Pupils may write to each other unseen";
            case WHOLE_SCREENS_OPEN -> "Pupils may show whole screens";
            case NOBODY_TO_HELP -> "A large class with one adult";
            case NO_MORE_LESSONS -> "No more lessons planned";
        };
    }

    /** Why it matters. */
    public static String why(FindingKind kind) {
        return switch (kind) {
            case LINK_TWICE -> "Whoever opens the link comes into one of the two, perhaps the wrong one.";
            case PUPIL_TWICE -> "They will be late or missing in one of them, and it will look like their fault.";
            case GAP_FOR_ADULT -> "The last pupils of one lesson are nobody's while the adult opens the next.";
            case GAP_FOR_PUPILS -> "They come late to the next lesson, and it will look like their fault.";
            case NO_ROSTER -> "Everybody who knocks is unknown; nobody can be let in at once, and no register is kept.";
            case IN_A_HOLIDAY, OUT_OF_TERM, ON_A_DAY_OFF -> "Pupils may wait at a door that nobody opens.";
            case OUTSIDE_SCHOOL_HOURS -> "No lead is there to look after it.";
            case KEPT_APART_MET,
                    KEPT_APART_PLANNED -> "Somebody had a reason to keep them apart; it stands on the class's page for groups.";
            case NO_MORE_LESSONS -> "Its link still works, and its register ends without anybody saying so.";
            case NOBODY_TO_HELP -> "With so many, one adult cannot see the door, the chat and the class.";
            default -> kind.rule().map(rule -> rule.reason()).orElse("It is not as the charter wants it.");
        };
    }

    /** What was found, with its evidence. */
    public String sentence(Finding finding, Names names) {
        String other = finding.other()
                .map(lesson -> "“%s”, %s"
                        .formatted(names.title(finding.otherClass().orElseThrow()), hours(names.times.apply(lesson))))
                .orElseGet(() -> finding.otherClass()
                        .map(of -> "“%s”".formatted(names.title(of)))
                        .orElse(""));
        String people = people(finding.people(), names);
        int is = finding.is();
        int wanted = finding.wanted();
        return switch (finding.kind()) {
            case NO_ADULT -> "No adult belongs to this lesson.";
            case ADULT_TWICE -> "%s is also in charge of %s: %d min at once.".formatted(people, other, is);
            case COVER_ENDS_EARLY -> "%s, who covers alone, goes %d min before the end.".formatted(people, is);
            case VISITOR_FORBIDDEN -> "A visitor is invited, and the rules of this lesson let none in.";
            case STRANGERS_AT_AN_OPEN_DOOR -> "A visitor is invited, and the door lets people walk in.";
            case ALONE_WITH_ONE_PUPIL -> "Only %s is on the class list, and one adult is there.".formatted(people);
            case PUPILS_BEFORE_AN_ADULT -> "The rules of this lesson let pupils in before any adult.";
            case LINK_TWICE -> "The same link leads to %s.".formatted(other);
            case TOO_FEW_ADULTS -> "%s is in charge; the rules ask for %d."
                    .formatted(is == 1 ? "1 adult" : is + " adults", wanted);
            case NOBODY_CAN_COME -> "One adult is there, one pupil may be in at once, and the rules let nobody be alone with an adult.";
            case PUPIL_TWICE -> "%s in %s too: %d min at once.".formatted(are(people, finding), other, is);
            case GAP_FOR_ADULT -> "%s comes from %s with %d min between; %d are wanted."
                    .formatted(people, other, is, wanted);
            case GAP_FOR_PUPILS -> "%s from %s with %d min between; %d are wanted."
                    .formatted(finding.people().size() == 1 ? people + " comes" : people + " come", other, is, wanted);
            case NO_ROSTER -> "No pupil is on the class list.";
            case IN_A_HOLIDAY, OUT_OF_TERM, ON_A_DAY_OFF -> "There is no school on this day.";
            case OUTSIDE_SCHOOL_HOURS -> "It begins before the school opens, or ends after it closes.";
            case MORE_THAN_THE_ROOM_HOLDS -> "%d pupils are on the list; %d may be in.".formatted(is, wanted);
            case RECORDING_FORBIDDEN -> "A recording is planned; the rules of this lesson forbid it.";
            case RECORDING_PREVENTED -> "Nothing is recorded while %s %s there; it is not known that they may be."
                    .formatted(people, finding.people().size() == 1 ? "is" : "are");
            case RECORDED_WITHOUT_SOME -> "It is not known that %s may be recorded; their voices and cameras are closed, or it waits while they speak."
                    .formatted(people);
            case GROUPS_FORBIDDEN -> "Groups are planned; the lead adult may not make any.";
            case GROUPS_WITH_ONE_ADULT -> "Groups are planned with one adult; no group may be alone for a minute.";
            case KEPT_APART_MET -> "%s were in one group for %d min in the last two weeks.".formatted(people, is);
            case KEPT_APART_PLANNED -> "Prepared groups put %s together.".formatted(people);
            case WORD_TOO_WEAK -> "“%s” has about %d bits; the rules ask for %d."
                    .formatted(names.classes.apply(finding.ofClass()).word().text(), is, wanted);
            case WORD_TOO_NEAR -> "“%s” is near “%s” of %s: %s."
                    .formatted(
                            names.classes.apply(finding.ofClass()).word().text(),
                            names.classes
                                    .apply(finding.otherClass().orElseThrow())
                                    .word()
                                    .text(),
                            other,
                            is < wanted ? "%d of %d letters apart".formatted(is, wanted) : "they sound alike");
            case LINK_HIDDEN_TOO_LONG -> "Pupils may come %d min before, and see the link %d min before."
                    .formatted(wanted, is);
            case PUPILS_WRITE_UNSEEN -> "Private chat between pupils is open in this lesson.";
            case WHOLE_SCREENS_OPEN -> "A pupil who shows a whole screen shows mail and notices too.";
            case NOBODY_TO_HELP -> "%d pupils are on the list, and one adult is there.".formatted(is);
            case NO_MORE_LESSONS -> "Nothing is planned for this class any more.";
        };
    }

    private static String are(String people, Finding finding) {
        return people + (finding.people().size() == 1 ? " is" : " are");
    }

    /** How it would be mended, as something to press. */
    public String mend(Mend mend, Names names) {
        return mend.match(new Mend.Cases<>() {
            @Override
            public String endEarlier(Mend.EndEarlier one) {
                return "End the lesson before at %s".formatted(clock(one.until()));
            }

            @Override
            public String leaveOut(Mend.LeaveOut one) {
                return "Cancel this lesson";
            }

            @Override
            public String cover(Mend.Cover one) {
                return "Let %s cover for %s"
                        .formatted(names.people.apply(one.by()), names.people.apply(one.insteadOf()));
            }

            @Override
            public String addAdult(Mend.AddAdult one) {
                return "Let %s come besides".formatted(names.people.apply(one.adult()));
            }

            @Override
            public String coverLonger(Mend.CoverLonger one) {
                return "Let the cover stay until %s".formatted(clock(one.until()));
            }

            @Override
            public String newWord(Mend.NewWord one) {
                return "Make a new join word";
            }
        });
    }

    private String people(List<PersonId> people, Names names) {
        String first =
                people.stream().limit(NAMED).map(names.people).collect(java.util.stream.Collectors.joining(", "));
        return people.size() <= NAMED ? first : "%s and %d more".formatted(first, people.size() - NAMED);
    }

    private String hours(Span time) {
        return "%s to %s".formatted(clock(time.from()), clock(time.until()));
    }

    private String clock(Instant at) {
        return school.clockTime(at);
    }
}
