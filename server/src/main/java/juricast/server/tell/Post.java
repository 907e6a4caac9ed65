package juricast.server.tell;

/** The port to services that carry mail and text messages. What is given to it stands in the outbox already. */
public interface Post {
    /** How a message goes. */
    enum Way {
        MAIL,
        TEXT
    }

    /** A message for one person. */
    record Letter(String person, String name, Way way, String subject, String body) {}

    /** Carries it. Called once for each message, after it is on the disk; must not wait for long. */
    void carry(Letter letter);
}
