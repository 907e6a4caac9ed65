package juricast.core.casebook;

import static juricast.core.reading.Tie.ADULT;
import static juricast.core.reading.Tie.COVER;
import static juricast.core.reading.Tie.LEAD;
import static juricast.core.reading.Tie.YEAR;

import java.util.Collections;
import java.util.Set;
import juricast.core.reading.Tie;

/** What can be done with an incident, by who may do it beyond reading it. */
public enum Deed {
    NOTE(ADULT, COVER, YEAR, LEAD),
    /** A note that only safeguarding leads read. */
    NOTE_FOR_LEADS(LEAD),
    SAY_WHO(ADULT, COVER, YEAR, LEAD),
    CLASSIFY(ADULT, COVER, YEAR, LEAD),
    FOLLOW_UP(ADULT, COVER, YEAR, LEAD),
    DECIDE(YEAR, LEAD),
    /** Letting a pupil into the series again. */
    TALK(ADULT, YEAR, LEAD),
    WRITE_PARENTS(ADULT, YEAR, LEAD),
    CLOSE(YEAR, LEAD),
    /** Making one of two, and two of one. */
    JOIN(LEAD),
    /** Taking it out of the school as an evidence pack. */
    PACK(LEAD);

    private final Set<Tie> ties;

    Deed(Tie... ties) {
        this.ties = Set.of(ties);
    }

    public boolean isFor(Set<Tie> of) {
        return !Collections.disjoint(ties, of);
    }
}
