package juricast.core.chat;

/** Why a message waits for an adult. */
public enum Hold {
    /** It holds an address, and links need an adult's yes. */
    LINK,
    /** It holds a word of the school's list. */
    WORD,
    /** It is a file, and files need an adult's yes. */
    FILE,
    /** Every message of this person is looked at first. */
    EVERY_MESSAGE
}
