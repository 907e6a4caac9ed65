package juricast.core.casebook;

import java.util.List;
import juricast.core.identity.PersonId;

/**
 * Something that comes again across classes, with what it rests on. It says what was found, never why.
 *
 * @param people whom it is about: of a pair who did it and who suffered it, else one
 * @param about the kind of act, the hour, or the name, where it is about one
 * @param rests the incidents, the earliest first
 * @param of out of how many
 */
public record Pattern(Kind kind, List<PersonId> people, String about, List<IncidentId> rests, int of) {
    /** Of fewer it is said that they are few. */
    public static final int FEW = 5;

    /** What comes again. */
    public enum Kind {
        /** The same pupil to the same other. */
        SAME_PAIR,
        /** One pupil, most often at the same hour of the day. */
        SAME_HOUR,
        /** One pupil, the same kind of act. */
        SAME_KIND,
        /** One pupil, each time met by a higher step. */
        ESCALATION,
        /** An adult whose steps are nearly always above the proposed ones. */
        ABOVE_PROPOSED,
        /** An adult who takes no step in many lessons, where others take some. */
        NEVER_ACTS,
        /** An unknown name at several doors on several days. */
        DOOR_TO_DOOR
    }

    public Pattern {
        people = List.copyOf(people);
        rests = List.copyOf(rests);
    }

    /** Whether it rests on so little that it may well be chance. */
    public boolean isFew() {
        return kind != Kind.NEVER_ACTS && rests.size() < FEW;
    }
}
