package juricast.core.ending;

/** What happens by itself when a lesson has ended (need K2), in this order. */
public enum ClosingStep {
    /** The link that led to this lesson counts no more, because the rule wants a new one. */
    LINK_RETIRED,
    /** Everybody was together again; the count is of the groups that were out. */
    GROUPS_CLOSED,
    /** Messages are kept in the record; those still held for an adult were kept back. */
    CHAT_KEPT,
    /** What was recorded is kept; the count is of whole minutes. */
    RECORDING_KEPT,
    /** Lines on the board are kept as they were at the end. */
    BOARD_KEPT,
    /** The register is drafted; the count is of those who were in. */
    REGISTER_DRAFTED
}
