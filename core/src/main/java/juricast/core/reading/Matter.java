package juricast.core.reading;

import static juricast.core.reading.Tie.*;

import java.util.Set;

/**
 * What the school keeps, by who may read it. This table is the only place that says so: what is new and can be read gets a
 * line here, and whoever shows it asks {@link Reader#mayRead}.
 */
public enum Matter {
    /** The school's charter, years and sets. */
    CHARTER(STAFF, LEAD),
    /** A set that an adult has made for the own classes. */
    OWN_SETS(SELF, LEAD),
    /** Names of adults whom one may ask for help. */
    COLLEAGUES(STAFF, LEAD),
    /** A class's own page: its adults, its lessons, its plan. */
    CLASS(ADULT, LEAD),
    /** Who is in a class. */
    CLASS_LIST(ADULT, LEAD),
    /** What a class keeps for making groups: who stays apart and why, levels, who was in a group with whom. */
    GROUPING(ADULT, LEAD),
    /** The rules of a class, of its lessons, and why they are so. */
    RULES(ADULT, LEAD),
    /** The link, the join word and the notes about joining: who has them stands at the door. */
    WAY_IN(ADULT, LEAD),
    /** What is planned for a lesson: its running order and what is brought to it. */
    PLAN(ADULT, LEAD),
    /** A lesson as it runs, with all that its adults see. */
    DESK(ADULT, COVER, LEAD),
    /** Who was there, how long, and what was corrected. */
    REGISTER(ADULT, COVER, LEAD),
    /** A lesson looked at again, moment by moment. */
    REPLAY(ADULT, COVER, LEAD),
    /** Which lessons were recorded, which minutes are missing, and who watched; whether one may watch is asked by the rules beside it. */
    RECORDINGS(ADULT, COVER, LEAD),
    /** Questions that a class keeps, and what they have come to over lessons. */
    QUESTIONS(ADULT, LEAD),
    /** What was answered in a lesson; by whom only where the rules let it be seen. */
    ANSWERS(ADULT, COVER, LEAD),
    /** Merits of a class, of one pupil, and who never gets any. */
    MERITS(ADULT, LEAD),
    /** Who may be recorded, and on which paper that stands. */
    CONSENT(ADULT, LEAD),
    /** Marks over many lessons, of a class or of one pupil. */
    ATTENDANCE(ADULT, LEAD),
    /** How lessons departed from their rules. */
    KEEPING(ADULT, LEAD),
    /** When lessons are, and who gives them. */
    TIMETABLE(ADULT, COVER, LEAD),
    /** Weak spots of the timetable. */
    WEAK_SPOTS(ADULT, LEAD),
    /** Messages that went out about a class. */
    MESSAGES(ADULT, LEAD),
    /** The words of an invitation: they hold a way in that is somebody's own. */
    INVITATIONS(SELF, LEAD),
    /** An incident with its evidence, steps, notes and follow-ups; never by those it is about. */
    INCIDENT(ADULT, COVER, YEAR, ASKED, LEAD),
    /** What of an incident is kept for safeguarding leads; never by those it is about. */
    INCIDENT_FOR_LEADS(LEAD),
    /** Patterns across classes, and whether like acts are met alike. */
    FAIRNESS(LEAD),
    /** All lessons that run now. */
    CORRIDOR(LEAD),
    /** What is kept how long, what goes next and what went; all that is kept about one pupil. */
    KEPT_AND_FORGOTTEN(LEAD),
    /** Accounts, and who read what of whom. */
    ACCOUNTS(LEAD),
    /** A person's own day, calendar and account. */
    OWN_PAGE(SELF);

    private final Set<Tie> ties;

    Matter(Tie... ties) {
        this.ties = Set.of(ties);
    }

    /** Which ties open it; one of them is enough. */
    public Set<Tie> ties() {
        return ties;
    }
}
