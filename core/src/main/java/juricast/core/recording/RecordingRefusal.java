package juricast.core.recording;

import juricast.core.live.Refusal;

/** What stands in the way of a recording, or of a pause of it. */
public enum RecordingRefusal implements Refusal.Code {
    /** The rule forbids recordings here. */
    FORBIDDEN,
    /** Those named are here, and in their presence nothing may be recorded. */
    MAY_NOT_BE_RECORDED,
    NOT_RECORDING,
    /** A pause is at least a minute long and ends before the lesson does; without a length it lasts until somebody ends it. */
    WRONG_PAUSE
}
