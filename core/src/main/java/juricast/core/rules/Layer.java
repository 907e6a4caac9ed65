package juricast.core.rules;

/** Who a setting speaks for, from the widest to the most specific (need A3). The order is the order of resolution. */
public enum Layer {
    SCHOOL,
    YEAR_GROUP,
    CLASS,
    LESSON,
    STANCE,
    LIVE_ORDER,
    PERSON
}
