package juricast.core.timetable;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;

/**
 * How a lesson repeats, in the language of RFC 5545 section 3.3.10: daily, weekly, monthly or yearly, with INTERVAL, COUNT or
 * UNTIL, BYDAY with ordinals, BYMONTHDAY, BYMONTH, BYSETPOS, WKST and what else dates need. Lessons that repeat within a day
 * are not a timetable, so parts smaller than a day are refused. Dates are local, so a clock change moves nothing.
 *
 * @param text the rule as calendars write it, without "RRULE:"; times in it are local
 */
public record Recurrence(String text) {
    private static final Pattern UTC_UNTIL = Pattern.compile("UNTIL=(\\d{8}T\\d{6})Z");
    private static final Pattern DAY_UNTIL = Pattern.compile("UNTIL=(\\d{8})(?=;|$)");
    private static final Pattern LOCAL_UNTIL = Pattern.compile("UNTIL=(\\d{8}T\\d{6})(?=;|$)");
    private static final Pattern COUNT = Pattern.compile("COUNT=(\\d+)");
    private static final Pattern WITHIN_A_DAY =
            Pattern.compile("FREQ=(HOURLY|MINUTELY|SECONDLY)|BY(HOUR|MINUTE|SECOND)=");
    private static final DateTimeFormatter COMPACT =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss").withResolverStyle(ResolverStyle.STRICT);
    /** Longer than any rule a person writes; a bound on what is looked at. */
    private static final int LONGEST = 500;
    /**
     * The largest number of any part but COUNT and UNTIL. The library behind counts in whole numbers of 32 bits and comes out before
     * the first lesson, or looks for ever, where a step is larger than the calendar.
     */
    private static final int LARGEST = 400;

    private static final int LARGEST_COUNT = 100_000;
    private static final Pattern NUMBER = Pattern.compile("\\d+");

    /** @throws IllegalArgumentException if it is no such rule; {@link #parse} says so without an exception */
    public Recurrence {
        fault(text).ifPresent(fault -> {
            throw new IllegalArgumentException("Not a recurrence: %s (%s)".formatted(text, fault));
        });
    }

    /**
     * Reads a rule. An UNTIL in UTC, as files have it, becomes local; one that is a date counts that whole day.
     *
     * @param zone of the first lesson
     * @return empty if it is not understood
     */
    public static Optional<Recurrence> parse(String written, ZoneRules zone) {
        String text = written.strip().toUpperCase(Locale.ROOT).replaceFirst("^RRULE:", "");
        try {
            text = UTC_UNTIL.matcher(text).replaceAll(found -> "UNTIL=" + local(found.group(1), zone));
            Matcher day = DAY_UNTIL.matcher(text);
            text = day.find() ? day.replaceAll("UNTIL=$1T235959") : text;
            Matcher end = LOCAL_UNTIL.matcher(text);
            if (end.find()) {
                LocalDateTime.parse(end.group(1), COMPACT);
            }
        } catch (DateTimeException notADate) {
            return Optional.empty();
        }
        String local = text;
        return fault(local).isPresent() ? Optional.empty() : Optional.of(new Recurrence(local));
    }

    /** Weekly on some days, every so many weeks, until a day that counts. @throws IllegalArgumentException without a day */
    public static Recurrence weekly(Collection<DayOfWeek> days, int everyWeeks, LocalDate until) {
        String on = new TreeSet<>(days)
                .stream().map(day -> day.name().substring(0, 2)).collect(Collectors.joining(","));
        return new Recurrence("FREQ=WEEKLY%s;UNTIL=%sT235959;BYDAY=%s"
                .formatted(
                        everyWeeks == 1 ? "" : ";INTERVAL=" + everyWeeks,
                        until.format(DateTimeFormatter.BASIC_ISO_DATE),
                        on));
    }

    /**
     * The dates that the rule names, in order, from {@code first} on.
     *
     * @param first the first lesson, which counts as one of COUNT
     * @param before no date at or after it is looked for
     * @param most no more dates than this
     */
    public List<LocalDateTime> from(LocalDateTime first, LocalDateTime before, int most) {
        var found = new ArrayList<LocalDateTime>();
        try {
            var dates = rule(text).iterator(floating(first));
            while (found.size() < most && dates.hasNext()) {
                LocalDateTime next = local(dates.nextDateTime());
                boolean isForward = found.isEmpty() || next.isAfter(found.get(found.size() - 1));
                if (!next.isBefore(before) || !isForward) {
                    break;
                }
                found.add(next);
            }
        } catch (IllegalArgumentException | IllegalStateException neverAgain) {
            // A thirtieth of February: the library looked through a thousand years and gave up. There are no more
            // dates.
        }
        // RFC 5545 counts the first lesson, also where the rule does not name it; the library counts only what the rule
        // names.
        Matcher count = COUNT.matcher(text);
        boolean isBesides = !found.isEmpty() && !found.get(0).equals(first);
        return isBesides && count.find()
                ? found.stream().limit(Long.parseLong(count.group(1)) - 1).toList()
                : List.copyOf(found);
    }

    /** Whether the rule ends by itself. */
    public boolean ends() {
        return text.contains("COUNT=") || text.contains("UNTIL=");
    }

    private static Optional<String> fault(String text) {
        if (text.length() > LONGEST || WITHIN_A_DAY.matcher(text).find()) {
            return Optional.of("it repeats within a day, or is too long");
        }
        if (!hasBoundedNumbers(text)) {
            return Optional.of("a number in it is too large");
        }
        try {
            RecurrenceRule rule = new RecurrenceRule(text, RecurrenceRule.RfcMode.RFC5545_STRICT);
            boolean isUtc = rule.getUntil() != null && !rule.getUntil().isFloating();
            return isUtc ? Optional.of("its end is not local") : Optional.empty();
        } catch (InvalidRecurrenceRuleException
                | IllegalArgumentException
                | IllegalStateException
                | IndexOutOfBoundsException wrong) {
            return Optional.of(String.valueOf(wrong.getMessage()));
        }
    }

    private static boolean hasBoundedNumbers(String text) {
        return Arrays.stream(text.split(";"))
                .filter(part -> !part.startsWith("UNTIL="))
                .allMatch(part -> NUMBER.matcher(part)
                        .results()
                        .map(MatchResult::group)
                        .allMatch(number -> number.length() <= 6
                                && Integer.parseInt(number) <= (part.startsWith("COUNT=") ? LARGEST_COUNT : LARGEST)));
    }

    private static RecurrenceRule rule(String text) {
        try {
            return new RecurrenceRule(text, RecurrenceRule.RfcMode.RFC5545_STRICT);
        } catch (InvalidRecurrenceRuleException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static String local(String utc, ZoneRules zone) {
        Instant end = LocalDateTime.parse(utc, COMPACT).toInstant(ZoneOffset.UTC);
        return LocalDateTime.ofInstant(end, zone.getOffset(end)).format(COMPACT);
    }

    /** The library counts months from 0. */
    private static DateTime floating(LocalDateTime at) {
        return new DateTime(
                at.getYear(), at.getMonthValue() - 1, at.getDayOfMonth(), at.getHour(), at.getMinute(), at.getSecond());
    }

    private static LocalDateTime local(DateTime at) {
        return LocalDateTime.of(
                at.getYear(), at.getMonth() + 1, at.getDayOfMonth(), at.getHours(), at.getMinutes(), at.getSeconds());
    }
}
