package juricast.server.ical;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarParserImpl;
import net.fortuna.ical4j.data.ContentHandler;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.util.Strings;

/**
 * Cuts a file into its calendars, and each calendar into blocks. Each block is parsed by itself, so that a broken one hides no
 * other, and what is held at once stays bounded.
 */
public final class Blocks {
    /** Lines of one block, with its alarms and notes. */
    private static final int MOST_LINES = 2_000;

    private static final Pattern NAME = Pattern.compile("[A-Za-z0-9-]+");

    /** One calendar of a file. @param own its own properties, as METHOD */
    public record Calendar(Block own, List<Block> blocks) {}

    /** What is no block, or none that ends. */
    public enum Trouble {
        NOT_ENDED,
        BROKEN_LINE,
        /** A line that belongs to no calendar. */
        STRAY_LINE
    }

    /** @param name of the block @param quote something in it by which a person knows it */
    public record Broken(int line, String name, Trouble trouble, String quote) {}

    private final List<Calendar> calendars = new ArrayList<>();
    private final List<Broken> broken = new ArrayList<>();
    private final List<CalendarText.Line> head = new ArrayList<>();
    private final List<CalendarText.Line> held = new ArrayList<>();
    private final Deque<String> open = new ArrayDeque<>();
    private List<Block> blocks = new ArrayList<>();
    private boolean isInCalendar;
    private boolean hasStrayed;

    private Blocks() {}

    public static Blocks of(CalendarText text) {
        var all = new Blocks();
        text.lines().forEach(all::take);
        all.giveUp();
        all.endCalendar();
        return all;
    }

    public List<Calendar> calendars() {
        return calendars;
    }

    public List<Broken> broken() {
        return broken;
    }

    private void take(CalendarText.Line line) {
        String said = line.text().strip().toUpperCase(Locale.ROOT);
        if (said.equals("BEGIN:VCALENDAR")) {
            giveUp();
            endCalendar();
            isInCalendar = true;
        } else if (said.equals("END:VCALENDAR")) {
            giveUp();
            endCalendar();
        } else if (!isInCalendar) {
            stray(line);
        } else if (said.startsWith("BEGIN:")) {
            String name = said.substring(6).strip();
            // A block of this kind is in no other: the one before has no end.
            if (open.contains(name)) {
                giveUp();
            }
            open.push(name);
            hold(line);
        } else if (open.isEmpty()) {
            head.add(line);
        } else {
            hold(line);
            if (said.startsWith("END:")) {
                close(said.substring(4).strip());
            }
        }
    }

    private void stray(CalendarText.Line line) {
        if (!hasStrayed) {
            broken.add(new Broken(line.number(), "", Trouble.STRAY_LINE, line.text()));
            hasStrayed = true;
        }
    }

    private void hold(CalendarText.Line line) {
        boolean mustBeHeld = line.text().regionMatches(true, 0, "END:", 0, 4);
        if (held.size() < MOST_LINES || mustBeHeld) {
            held.add(line);
        }
    }

    private void close(String name) {
        if (!open.contains(name)) {
            return;
        }
        while (!open.pop().equals(name)) {
            // What is in it and has no end ends with it; the parser says that it is broken.
        }
        if (open.isEmpty()) {
            parsed(name).ifPresent(blocks::add);
            held.clear();
        }
    }

    private void giveUp() {
        if (!open.isEmpty()) {
            broken.add(new Broken(held.get(0).number(), open.getLast(), Trouble.NOT_ENDED, quote()));
            open.clear();
            held.clear();
        }
    }

    private void endCalendar() {
        if (isInCalendar) {
            calendars.add(new Calendar(own(), blocks));
        }
        isInCalendar = false;
        blocks = new ArrayList<>();
        head.clear();
    }

    /** What a calendar says of itself; a line of it that cannot be read is told and hides no other. */
    private Block own() {
        var own = new HashMap<String, List<Block.Property>>();
        for (CalendarText.Line line : head) {
            try {
                parse(
                                "BEGIN:VCALENDAR\r\nBEGIN:OWN\r\n" + line.text() + "\r\nEND:OWN\r\nEND:VCALENDAR\r\n",
                                line.number())
                        .properties()
                        .forEach((name, all) -> own.computeIfAbsent(name, any -> new ArrayList<>())
                                .addAll(all));
            } catch (ParserException | IOException | RuntimeException unreadable) {
                broken.add(new Broken(line.number(), "VCALENDAR", Trouble.BROKEN_LINE, line.text()));
            }
        }
        return new Block("VCALENDAR", 1, own, List.of());
    }

    private Optional<Block> parsed(String name) {
        int line = held.get(0).number();
        try {
            return Optional.of(parse(
                    held.stream()
                            .map(CalendarText.Line::text)
                            .collect(Collectors.joining("\r\n", "BEGIN:VCALENDAR\r\n", "\r\nEND:VCALENDAR\r\n")),
                    line));
        } catch (ParserException | IOException | RuntimeException unreadable) {
            broken.add(new Broken(line, name, Trouble.BROKEN_LINE, quote()));
            return Optional.empty();
        }
    }

    private static Block parse(String text, int line) throws ParserException, IOException {
        var found = new Found(line);
        new CalendarParserImpl().parse(new StringReader(text), found);
        return found.whole();
    }

    private String quote() {
        return held.stream()
                .map(CalendarText.Line::text)
                .filter(line -> line.toUpperCase(Locale.ROOT).startsWith("SUMMARY"))
                .findFirst()
                .orElse(held.size() > 1 ? held.get(1).text() : "");
    }

    /** Puts a block together from what the parser finds in it. */
    private static final class Found implements ContentHandler {
        private final int line;
        private final Deque<Block> open = new ArrayDeque<>();
        private final List<Block> closed = new ArrayList<>();
        private String value = "";
        private Map<String, String> parameters = Map.of();

        Found(int line) {
            this.line = line;
        }

        Block whole() {
            if (closed.size() != 1 || !open.isEmpty()) {
                throw new IllegalArgumentException("Not one block: " + closed.size());
            }
            return closed.get(0);
        }

        @Override
        public void startCalendar() {}

        @Override
        public void endCalendar() {}

        @Override
        public void startComponent(String name) {
            open.push(new Block(name.toUpperCase(Locale.ROOT), line, new HashMap<>(), new ArrayList<>()));
        }

        @Override
        public void endComponent(String name) {
            Block done = open.pop();
            (open.isEmpty() ? closed : open.peek().inner()).add(done);
        }

        @Override
        public void startProperty(String name) {
            value = "";
            parameters = new HashMap<>();
        }

        @Override
        public void propertyValue(String written) {
            value = written;
        }

        @Override
        public void parameter(String name, String written) {
            parameters.put(name.toUpperCase(Locale.ROOT), Strings.unquote(written));
        }

        @Override
        public void endProperty(String name) {
            if (!NAME.matcher(name).matches()) {
                throw new IllegalArgumentException("Not a property: " + name);
            }
            open.element()
                    .properties()
                    .computeIfAbsent(name.toUpperCase(Locale.ROOT), any -> new ArrayList<>())
                    .add(new Block.Property(value, parameters));
        }
    }
}
