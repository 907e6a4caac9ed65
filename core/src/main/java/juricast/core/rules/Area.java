package juricast.core.rules;

/** The chapters of the charter, in reading order. */
public enum Area {
    ENTRY("Entry and door", "Who walks in, who waits, and when."),
    NAMES("Names and identity", "Under which name somebody is seen, and by whom."),
    VOICE_AND_CAMERA("Voice and camera", "Who is heard and seen."),
    CHAT("Chat", "Who may write to whom, and what."),
    SHARING("Sharing and drawing", "What is shown to everyone, and who leaves marks on it."),
    SIGNALS("Signals and captions", "Taking part without a voice."),
    ACTIVITIES("Activities and merits", "What a class is asked and praised for, and who sees it."),
    RECORDING("Recording", "What is kept of a lesson, and who may see it."),
    GROUPS("Groups", "Small rooms, and the adults in them."),
    LINKS("Links and words", "The way to the door."),
    SUPERVISION("Supervision", "No pupil without an adult, no adult without eyes on them."),
    CONDUCT("Conduct", "How a disturbance is met, and how a pupil can say that something is wrong."),
    HELPING("Helping hands", "What others may do for the lead adult, and until when."),
    REGISTER("Register", "What counts as present, late and absent."),
    ACCOUNTS("Accounts and records", "How one signs in, and what is kept about who looked.");

    private final String title;
    private final String about;

    Area(String title, String about) {
        this.title = title;
        this.about = about;
    }

    public String title() {
        return title;
    }

    /** One line under the title. */
    public String about() {
        return about;
    }
}
