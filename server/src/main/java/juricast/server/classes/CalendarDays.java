package juricast.server.classes;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import juricast.core.timetable.Recurrence;
import juricast.core.timetable.SchoolCalendar.Days;
import juricast.server.ical.Block;
import juricast.server.ical.Blocks;
import juricast.server.ical.CalendarText;
import juricast.server.ical.CalendarTimes;
import net.fortuna.ical4j.util.Strings;

/** Whole days of a calendar file: what may be terms and holidays. Everything else in the file is told. */
record CalendarDays(List<Days> days, List<Told> told) {
    /** Days that come back every year are read for so long. */
    private static final int YEARS = 2;

    private static final int MOST = 400;

    /** @param line in the file, from 1; 0 for the file as a whole */
    record Told(int line, String message) {}

    /** @param today what ended more than a year before is not read */
    static CalendarDays read(byte[] file, LocalDate today) {
        var days = new ArrayList<Days>();
        var told = new ArrayList<Told>();
        if (!CalendarText.isOne(file)) {
            return new CalendarDays(List.of(), List.of(new Told(1, "This is no calendar.")));
        }
        Blocks blocks = Blocks.of(CalendarText.of(file));
        blocks.broken().forEach(one -> told.add(new Told(one.line(), "This cannot be read: “" + one.quote() + "”.")));
        int withHours = 0;
        int past = 0;
        for (Blocks.Calendar calendar : blocks.calendars()) {
            for (Block one : calendar.blocks()) {
                boolean isDay = one.one("DTSTART").map(Block.Property::isDay).orElse(false);
                if (!one.name().equals("VEVENT") || !isDay) {
                    withHours += one.name().equals("VTIMEZONE") ? 0 : 1;
                    continue;
                }
                try {
                    for (Days found : of(one, today)) {
                        if (found.last().isBefore(today.minusYears(1))) {
                            past++;
                        } else {
                            days.add(found);
                        }
                    }
                } catch (DateTimeException unreadable) {
                    told.add(new Told(one.line(), "“%s” cannot be read as days.".formatted(title(one))));
                }
            }
        }
        if (withHours > 0) {
            told.add(new Told(0, withHours + " entries are not for whole days, and are left out."));
        }
        if (past > 0) {
            told.add(new Told(0, past + " ended more than a year ago, and are left out."));
        }
        if (days.size() > MOST) {
            told.add(new Told(0, "Only the first %d of %d are shown.".formatted(MOST, days.size())));
        }
        return new CalendarDays(
                days.stream()
                        .sorted(Comparator.comparing(Days::first).thenComparing(Days::name))
                        .limit(MOST)
                        .toList(),
                told);
    }

    private static String title(Block one) {
        return Strings.unescape(one.text("SUMMARY")).strip();
    }

    /** The end of an entry of whole days is the day after its last (RFC 5545, 3.6.1). */
    private static List<Days> of(Block one, LocalDate today) {
        if ("CANCELLED".equalsIgnoreCase(one.text("STATUS"))) {
            throw new DateTimeException("It is called off");
        }
        LocalDate first = CalendarTimes.day(one.text("DTSTART"));
        LocalDate end = first.plusDays(1);
        if (!one.text("DTEND").isEmpty()) {
            end = CalendarTimes.day(one.text("DTEND"));
        } else if (!one.text("DURATION").isEmpty()) {
            end = first.plus(Period.parse(one.text("DURATION")));
        }
        long length = Math.max(1, ChronoUnit.DAYS.between(first, end));
        String name = title(one).isEmpty() ? "Without a name" : title(one);
        String rule = one.text("RRULE");
        List<LocalDate> starts = rule.isEmpty()
                ? List.of(first)
                : Recurrence.parse(rule, ZoneOffset.UTC.getRules())
                        .orElseThrow(() -> new DateTimeException(rule))
                        .from(first.atStartOfDay(), today.plusYears(YEARS).atStartOfDay(), MOST)
                        .stream()
                        .map(at -> at.toLocalDate())
                        .toList();
        return starts.stream()
                .map(from ->
                        new Days(name.length() > 80 ? name.substring(0, 80) : name, from, from.plusDays(length - 1)))
                .toList();
    }
}
