package juricast.core.day;

/** A kind of thing that waits for an adult. The order is that of urgency: who is at the door cannot wait till the evening. */
public enum Duty {
    /** Lessons in which something is wrong that nobody has taken over, for who watches all. */
    WORRY(Chapter.TODAY),
    /** People at the doors of lessons that this adult runs. */
    KNOCK(Chapter.TODAY),
    /** What the casebook asks of this adult by today, or has asked before. */
    FOLLOW_UP(Chapter.AFTERWARDS),
    /** Dangers found in what is planned for today and the next day with lessons. */
    DANGER_AHEAD(Chapter.PLAN),
    /** Lessons that are over and whose register nobody has signed. */
    REGISTER(Chapter.AFTERWARDS),
    /** Changes of rules that were thought out and are not in force. */
    DRAFT(Chapter.RULES),
    /** What is not well with the program itself: backups, disk, records. */
    UPKEEP(Chapter.SCHOOL);

    private final Chapter chapter;

    Duty(Chapter chapter) {
        this.chapter = chapter;
    }

    /** Where one does it. */
    public Chapter chapter() {
        return chapter;
    }
}
