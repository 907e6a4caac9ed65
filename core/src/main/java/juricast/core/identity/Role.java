package juricast.core.identity;

/** What a person is in one lesson; permissions have a value for each (need A2). */
public enum Role {
    LEAD_ADULT,
    SECOND_ADULT,
    CLASS_MONITOR,
    PUPIL,
    VISITOR,
    OBSERVER;

    /** Whether this person may be in charge of pupils. */
    /** Whether somebody is taught here: not who looks on, or comes from outside. */
    public boolean isPupil() {
        return this == PUPIL || this == CLASS_MONITOR;
    }

    public boolean isAdultInCharge() {
        return this == LEAD_ADULT || this == SECOND_ADULT;
    }
}
