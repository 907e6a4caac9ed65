package juricast.core.rules;

/** The chapters of the charter, in reading order. */
public enum Area {
    ENTRY(
            "Entry and door",
            "Who walks in, who waits, and when.",
            "waiting room password lock guest guests outsider admit admission"),
    NAMES(
            "Names and identity",
            "Under which name somebody is seen, and by whom.",
            "nickname display name background profile"),
    VOICE_AND_CAMERA("Voice and camera", "Who is heard and seen.", "microphone mic mute unmute camera video"),
    CHAT("Chat", "Who may write to whom, and what.", "chat message messages texting files upload"),
    SHARING(
            "Sharing and drawing",
            "What is shown to everyone, and who leaves marks on it.",
            "screen sharing present presenter whiteboard draw"),
    SIGNALS("Signals and captions", "Taking part without a voice.", "reaction reactions emoji subtitles hand"),
    ACTIVITIES(
            "Activities and merits",
            "What a class is asked and praised for, and who sees it.",
            "poll polls quiz timer praise"),
    RECORDING("Recording", "What is kept of a lesson, and who may see it.", "record recordings video"),
    GROUPS("Groups", "Small rooms, and the adults in them.", "rooms room"),
    LINKS("Links and words", "The way to the door.", "url address invite password"),
    SUPERVISION("Supervision", "No pupil without an adult, no adult without eyes on them.", "alone unattended"),
    CONDUCT(
            "Conduct",
            "How a disturbance is met, and how a pupil can say that something is wrong.",
            "behaviour discipline sanction incident kick ban remove"),
    HELPING("Helping hands", "What others may do for the lead adult, and until when.", "helper assistant monitor"),
    REGISTER("Register", "What counts as present, late and absent.", "attendance absence absent late lateness present"),
    ACCOUNTS("Accounts and records", "How one signs in, and what is kept about who looked.", "login password log");

    private final String title;
    private final String about;

    private final String alsoCalled;

    Area(String title, String about, String alsoCalled) {
        this.title = title;
        this.about = about;
        this.alsoCalled = alsoCalled;
    }

    public String title() {
        return title;
    }

    /** What newcomers call such things, in small letters. */
    public String alsoCalled() {
        return alsoCalled;
    }

    /** One line under the title. */
    public String about() {
        return about;
    }
}
