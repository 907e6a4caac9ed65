package juricast.core.rules;

/** The chapters of the charter, in reading order. */
public enum Area {
    ENTRY("Entry and door"),
    NAMES("Names and identity"),
    VOICE_AND_CAMERA("Voice and camera"),
    CHAT("Chat"),
    SHARING("Sharing and drawing"),
    REGISTER("Register");

    private final String title;

    Area(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
