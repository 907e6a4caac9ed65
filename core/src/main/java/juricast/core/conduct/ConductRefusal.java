package juricast.core.conduct;

import juricast.core.live.Refusal;

/** What stands in the way of a step, a note or a worry. */
public enum ConductRefusal implements Refusal.Code {
    NO_SUCH_STEP,
    NO_SUCH_ACT,
    NOT_A_PUPIL,
    /** The ladder keeps this step for fewer people. */
    STEP_NOT_YOURS,
    /** Another step than the proposed one is taken with a reason. */
    WHY_NEEDED,
    STEP_TOO_HIGH,
    /** Another adult acted on this pupil in the meantime. */
    SOMEBODY_ACTED,
    WRONG_LENGTH,
    WRONG_EVIDENCE,
    ALREADY_WITHDRAWN,
    NO_SUCH_WORRY
}
