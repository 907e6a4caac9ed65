package juricast.server.tell;

import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.time.Span;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.languages.Language;
import juricast.server.languages.Sentences;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/**
 * The words that a class is told how to join by (need C1): the least for pupils, more for parents and visitors, in the school's
 * words, as plain text and as rich text that says the same.
 */
@Component
class JoiningNote {
    private final School school;
    private final Sentences sentences;

    JoiningNote(School school, Sentences sentences) {
        this.school = school;
        this.sentences = sentences;
    }

    /** A note. @param html the same as rich text */
    record Note(String text, String html) {}

    /** What a note is about, and in which language. @param lesson the next one @param address of the link @param word empty for who needs none */
    record About(
            Classes.SchoolClass ofClass,
            List<String> adults,
            Optional<Span> lesson,
            Weeks weeks,
            String address,
            String word,
            Language language) {}

    /** What comes again every week, in words: lessons, and help hours. Empty where nothing does. */
    record Weeks(String lessons, String helpHours) {}

    /** For pupils: what, when, where, the word. */
    Note shortOne(About about) {
        var say = new Said(about.language);
        var lines = new ArrayList<Line>();
        lines.add(new Line("", when(about.lesson, say)));
        weekly(about, lines, say);
        join(about, lines, say);
        lines.add(new Line("", say.it("come")));
        return written(about.ofClass.title(), lines, List.of());
    }

    /** The sentences of notes in one language. */
    private final class Said {
        private final Language language;

        Said(Language language) {
            this.language = language;
        }

        String it(String key, Object... with) {
            return sentences.in(language, "note." + key, with);
        }
    }

    private static void weekly(About about, List<Line> lines, Said say) {
        if (!about.weeks.lessons.isEmpty()) {
            lines.add(new Line(say.it("every-week"), about.weeks.lessons));
        }
        if (!about.weeks.helpHours.isEmpty()) {
            lines.add(new Line(say.it("help-hour"), about.weeks.helpHours));
        }
    }

    private static void join(About about, List<Line> lines, Said say) {
        lines.add(new Line(say.it("join"), about.address, true));
        if (!about.word.isEmpty()) {
            lines.add(new Line(say.it("word"), about.word));
        }
    }

    /**
     * What is on the same weekday at the same time more than once, in words.
     *
     * @param times in order of time
     */
    String weekly(List<Span> times, Language language) {
        var say = new Said(language);
        var counted = new LinkedHashMap<String, Integer>();
        for (Span time : times) {
            counted.merge(
                    say.it(
                            "weekly",
                            time.from()
                                    .atZone(school.zone())
                                    .getDayOfWeek()
                                    .getDisplayName(TextStyle.FULL, language.locale()),
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
        var say = new Said(about.language);
        var lines = new ArrayList<Line>();
        lines.add(new Line(say.it("when"), when(about.lesson, say)));
        weekly(about, lines, say);
        lines.add(new Line(
                say.it("with"),
                about.adults.isEmpty() ? say.it("the-teachers") : String.join(say.it("and"), about.adults)));
        join(about, lines, say);
        lines.add(new Line(say.it("recording"), recording(rules, at, about.language)));
        var more = List.of(
                say.it("door"),
                say.it("adult"),
                say.it("pass-on"),
                school.identity().map(School.Identity::name).orElse(say.it("the-school")));
        return written(about.ofClass.title(), lines, more);
    }

    /** What is kept of the lesson, as ruled. */
    String recording(Rulebook rules, Instant at, Language language) {
        return new Said(language)
                .it("recorded."
                        + rules.value(Catalogue.RECORDING_MODE, Rule.ANSWERS, at)
                                .text());
    }

    /** @param isLink whether it can be followed */
    private record Line(String name, String value, boolean isLink) {
        Line(String name, String value) {
            this(name, value, false);
        }
    }

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
                    .append(line.isLink ? "<a href=\"" + value + "\">" + value + "</a>" : value)
                    .append("<br>");
        }
        html.append("</p>");
        more.forEach(sentence -> {
            text.append(sentence).append('\n');
            html.append("<p>").append(HtmlUtils.htmlEscape(sentence)).append("</p>");
        });
        return new Note(text.toString(), html.toString());
    }

    private String when(Optional<Span> next, Said say) {
        var day = DateTimeFormatter.ofPattern(say.it("day"), say.language.locale());
        return next.map(lesson -> say.it(
                        "time",
                        day.format(lesson.from().atZone(school.zone())),
                        school.clockTime(lesson.from()),
                        school.clockTime(lesson.until()),
                        Duration.between(lesson.from(), lesson.until()).toMinutes()))
                .orElse(say.it("later"));
    }
}
