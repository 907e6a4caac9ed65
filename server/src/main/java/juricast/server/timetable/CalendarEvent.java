package juricast.server.timetable;

import juricast.server.ical.Block;
import net.fortuna.ical4j.util.Strings;

/** One event of a calendar as it is written. */
record CalendarEvent(Block block) {
    int line() {
        return block.line();
    }

    boolean has(String name) {
        return block.one(name).isPresent();
    }

    String text(String name) {
        return block.text(name);
    }

    String title() {
        return Strings.unescape(text("SUMMARY")).strip();
    }

    boolean isCancelled() {
        return "CANCELLED".equalsIgnoreCase(text("STATUS"));
    }

    boolean isForAllAfter() {
        return block.one("RECURRENCE-ID")
                .map(one -> "THISANDFUTURE".equalsIgnoreCase(one.parameters().get("RANGE")))
                .orElse(false);
    }

    int sequence() {
        String written = text("SEQUENCE");
        return written.matches("\\d{1,9}") ? Integer.parseInt(written) : 0;
    }

    boolean saysHowLong() {
        return has("DTEND") || has("DURATION");
    }
}
