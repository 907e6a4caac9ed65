package juricast.core.recording;

/** Why a recording waits by itself, strongest first. It goes on by itself when nothing of this is so any more. */
public enum Hindrance {
    /** The class is in groups; only the class together is recorded (need H5). */
    GROUPS,
    /** Somebody is here in whose presence nothing may be recorded. */
    NO_CONSENT,
    /** Somebody speaks, or is seen, who may not be recorded. */
    SPEAKS
}
