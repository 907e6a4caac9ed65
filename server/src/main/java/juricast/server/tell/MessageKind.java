package juricast.server.tell;

import java.util.List;
import java.util.Set;
import juricast.core.telling.Template;

/** The kinds of messages, with the words they usually have and what may stand in them. */
enum MessageKind {
    REMINDER(
            "Reminder before a lesson",
            new Template(
                    "{class} at {time}", "Hello {name},\n{class} begins at {time} with {adults}.\nYour way in: {page}"),
            List.of("day", "time", "until", "adults")),
    NUDGE(
            "Nudge to who has not come",
            new Template(
                    "{class} has begun",
                    "Hello {name},\n{class} began at {time}, and you are missed. Come in while you can: {page}\n"
                            + "If you cannot come, tell {adults}."),
            List.of("day", "time", "until", "adults")),
    CHANGE(
            "Notice of changed lessons",
            new Template("Your timetable has changed", "Hello {name},\n{changes}\nWhy: {why}\nYour timetable: {page}"),
            List.of("changes", "why")),
    NEW_LINK(
            "Notice of a new link",
            new Template(
                    "{class} has a new link",
                    "Hello {name},\nthe link of {class} was renewed; the old one counts no more."
                            + " The new one is on your own page: {page}"),
            List.of()),
    INVITATION(
            "Invitation of a visitor",
            new Template(
                    "You are invited to {class}",
                    "Dear {name},\nyou are invited to {class} on {day}, {time} to {until}, with {adults}.\n"
                            + "Your own link: {link}\nIt is for you and for this lesson only. An adult lets you in."),
            List.of("day", "time", "until", "adults", "link")),
    PARENTS(
            "Letter to parents",
            new Template(
                    "About {pupil}, {class}",
                    "Dear {name},\nwe write to you about {pupil}.\n\n{text}\n\nPlease answer, or call us. {school}"),
            List.of("pupil", "text")),
    WORRY(
            "A pupil's worry, to safeguarding leads",
            new Template(
                    "A pupil has said that something is wrong",
                    "Dear {name},\na pupil has said quietly that something is wrong. Read it in the casebook: {page}"),
            List.of());

    private final String title;
    private final Template usual;
    private final List<String> places;

    MessageKind(String title, Template usual, List<String> places) {
        this.title = title;
        this.usual = usual;
        this.places = places;
    }

    String title() {
        return title;
    }

    /** The words as long as the school has none of its own. */
    Template usual() {
        return usual;
    }

    /** What may stand in braces: name, class, school and page always, and what belongs to the kind. */
    List<String> places() {
        return java.util.stream.Stream.concat(
                        java.util.stream.Stream.of("name", "class", "school", "page"), places.stream())
                .filter(one -> this != CHANGE || !one.equals("class"))
                .toList();
    }

    /** What adults of a class read of it, who are no safeguarding leads. */
    String shownToAdults(String body) {
        return switch (this) {
            case INVITATION -> "(the invitation with its link)";
            case PARENTS -> "(the letter; it stands in the casebook)";
            case REMINDER, NUDGE, CHANGE, NEW_LINK, WORRY -> body;
        };
    }

    Set<String> known() {
        return Set.copyOf(places());
    }
}
