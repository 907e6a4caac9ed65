package juricast.server.tell;

import java.time.Duration;
import java.time.Instant;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.time.Span;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/**
 * The words that a class is told how to join by (need C1): the least for pupils, more for parents and visitors, in the school's
 * words, as plain text and as rich text that says the same.
 */
@Component
class JoiningNote {
    private final School school;

    JoiningNote(School school) {
        this.school = school;
    }

    /** A note. @param html the same as rich text */
    record Note(String text, String html) {}

    /** What a note is about. @param lesson the next one @param address of the link @param word empty for who needs none */
    record About(
            Classes.SchoolClass ofClass,
            List<String> adults,
            Optional<Span> lesson,
            Weeks weeks,
            String address,
            String word) {}

    /** What comes again every week, in words: lessons, and help hours. Empty where nothing does. */
    record Weeks(String lessons, String helpHours) {}

    /** For pupils: what, when, where, the word. */
    Note shortOne(About about) {
        var lines = new ArrayList<Line>();
        lines.add(new Line("", when(about.lesson)));
        weekly(about, lines);
        lines.add(new Line("Join", about.address));
        if (!about.word.isEmpty()) {
            lines.add(new Line("Join word", about.word));
        }
        lines.add(new Line("", "Come with your first and last name. You are let in when your teacher is there."));
        return written(about.ofClass.title(), lines, List.of());
    }

    private static void weekly(About about, List<Line> lines) {
        if (!about.weeks.lessons.isEmpty()) {
            lines.add(new Line("Every week", about.weeks.lessons));
        }
        if (!about.weeks.helpHours.isEmpty()) {
            lines.add(new Line("Help hour, if you have a question", about.weeks.helpHours));
        }
    }

    /**
     * What is on the same weekday at the same time more than once, in words.
     *
     * @param times in order of time
     */
    String weekly(List<Span> times) {
        var counted = new LinkedHashMap<String, Integer>();
        for (Span time : times) {
            counted.merge(
                    "%s, %s to %s"
                            .formatted(
                                    time.from()
                                            .atZone(school.zone())
                                            .getDayOfWeek()
                                            .getDisplayName(TextStyle.FULL, Locale.UK),
                                    school.clockTime(time.from()),
                                    school.clockTime(time.until())),
                    1,
                    Integer::sum);
        }
        return counted.entrySet().stream()
                .filter(one -> one.getValue() > 1)
                .map(Map.Entry::getKey)
                .collect(Collectors.joining("; "));
    }

    /** For parents and visitors: also who teaches, what is kept, and what is expected. */
    Note fullOne(About about, Rulebook rules, Instant at) {
        var lines = new ArrayList<Line>();
        lines.add(new Line("When", when(about.lesson)));
        weekly(about, lines);
        lines.add(new Line(
                "With", about.adults.isEmpty() ? "the teachers of the class" : String.join(" and ", about.adults)));
        lines.add(new Line("Join", about.address));
        if (!about.word.isEmpty()) {
            lines.add(new Line("Join word", about.word));
        }
        lines.add(new Line("Recording", recording(rules, at)));
        var more = List.of(
                "At the door the house rules of this lesson are shown, and microphone and camera can be tried.",
                "Nobody is let in before an adult of the school is in the room; visitors are let in one by one.",
                "Please do not pass the link on: it is for this class only.",
                school.identity().map(School.Identity::name).orElse("The school"));
        return written(about.ofClass.title(), lines, more);
    }

    /** What is kept of the lesson, as ruled. */
    static String recording(Rulebook rules, Instant at) {
        return switch (rules.value(Catalogue.RECORDING_MODE, Rule.ANSWERS, at).text()) {
            case "required" -> "This lesson is recorded from beginning to end: sound, picture and what is shown.";
            case "optional" -> "This lesson may be recorded; everybody is told when it begins and ends.";
            default -> "This lesson is not recorded, and nobody may record it.";
        };
    }

    private record Line(String name, String value) {}

    private static Note written(String title, List<Line> lines, List<String> more) {
        var text = new StringBuilder(title).append('\n');
        var html = new StringBuilder("<p><strong>")
                .append(HtmlUtils.htmlEscape(title))
                .append("</strong></p><p>");
        for (Line line : lines) {
            text.append(line.name.isEmpty() ? "" : line.name + ": ")
                    .append(line.value)
                    .append('\n');
            String value = HtmlUtils.htmlEscape(line.value);
            html.append(line.name.isEmpty() ? "" : HtmlUtils.htmlEscape(line.name) + ": ")
                    .append(line.name.equals("Join") ? "<a href=\"" + value + "\">" + value + "</a>" : value)
                    .append("<br>");
        }
        html.append("</p>");
        more.forEach(sentence -> {
            text.append(sentence).append('\n');
            html.append("<p>").append(HtmlUtils.htmlEscape(sentence)).append("</p>");
        });
        return new Note(text.toString(), html.toString());
    }

    private String when(Optional<Span> next) {
        return next.map(lesson -> "%s, %s to %s (%d min)"
                        .formatted(
                                school.day(lesson.from()),
                                school.clockTime(lesson.from()),
                                school.clockTime(lesson.until()),
                                Duration.between(lesson.from(), lesson.until()).toMinutes()))
                .orElse("The time will follow.");
    }
}
