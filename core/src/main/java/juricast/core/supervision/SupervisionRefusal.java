package juricast.core.supervision;

import juricast.core.live.Refusal;

/** What stands in the way of bringing back what was stopped, or of taking charge. */
public enum SupervisionRefusal implements Refusal.Code {
    NOT_STOPPED,
    AN_ADULT_IS_IN
}
