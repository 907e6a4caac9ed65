package juricast.core.lesson;

/** Why a message waits for an adult. */
public enum Hold {
    /** It holds an address, and links need an adult's yes. */
    LINK,
    /** Every message of this person is looked at first. */
    EVERY_MESSAGE
}
