package juricast.server.ical;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import juricast.core.timetable.Recurrence;

/**
 * Which zone a calendar means. What the file itself says of a zone counts (section 3.6.5), then its name, the names that other
 * programs and systems have for it, and the name of a place at its end. A zone that is none of these is not guessed.
 */
public final class FileZones {
    private static final Properties OTHER_NAMES = named(net.fortuna.ical4j.model.Calendar.class, "tz.alias");
    private static final Properties OTHER_SYSTEMS = named(FileZones.class, "/zones/other-systems.properties");
    /** Changes of the clock that one rule can name: two thousand years of one each. */
    private static final int MOST_CHANGES = 2_000;

    private static final Pattern TIME_OF_DAY = Pattern.compile(";?BY(HOUR|MINUTE|SECOND)=(\\d{1,2})(?=;|$)");

    private final Map<String, ZoneRules> described = new HashMap<>();
    private final LocalDate until;

    /** @param school its zone, which a file is taken to mean where it gives no more of one than the same offsets */
    public FileZones(List<Block> zones, ZoneId school, LocalDate until) {
        this.until = until;
        for (Block zone : zones) {
            String id = zone.text("TZID");
            changes(zone)
                    .flatMap(FileZones::rules)
                    .or(() -> hinted(zone, school))
                    .ifPresent(rules -> described.put(id, rules));
        }
    }

    public Optional<ZoneRules> of(String id) {
        return Optional.ofNullable(described.get(id)).or(() -> known(id));
    }

    /** Whether a file says something else of a zone than is known of its name, in the year before {@code until}. */
    public boolean isOtherwise(String id) {
        ZoneRules own = described.get(id);
        Optional<ZoneRules> known = known(id);
        if (own == null || known.isEmpty()) {
            return false;
        }
        for (int days = 0; days <= 366; days += 3) {
            LocalDateTime at = until.minusDays(days).atTime(12, 0);
            if (!own.getOffset(at).equals(known.get().getOffset(at))) {
                return true;
            }
        }
        return false;
    }

    /** The instant of a local time; one that a clock change leaves out is as much later as the clock is put forward. */
    public static Instant instant(LocalDateTime local, ZoneRules rules) {
        return local.toInstant(before(local, rules));
    }

    private static ZoneOffset before(LocalDateTime local, ZoneRules rules) {
        ZoneOffsetTransition gapOrOverlap = rules.getTransition(local);
        return gapOrOverlap == null ? rules.getOffset(local) : gapOrOverlap.getOffsetBefore();
    }

    public static LocalDateTime local(Instant at, ZoneRules rules) {
        return LocalDateTime.ofInstant(at, rules.getOffset(at));
    }

    private static Optional<ZoneRules> known(String id) {
        return byName(id)
                .or(() -> byName(OTHER_NAMES.getProperty(id, "").strip()))
                .or(() -> byName(OTHER_SYSTEMS.getProperty(id, "")))
                .or(() -> byEnd(id));
    }

    /** As in "/a program's own/20070129_1/Europe/Oslo". */
    private static Optional<ZoneRules> byEnd(String id) {
        String[] parts = id.split("/");
        return parts.length < 3 ? Optional.empty() : byName(parts[parts.length - 2] + "/" + parts[parts.length - 1]);
    }

    private static Optional<ZoneRules> byName(String name) {
        try {
            return name.isEmpty()
                    ? Optional.empty()
                    : Optional.of(ZoneId.of(name).getRules());
        } catch (DateTimeException unknown) {
            return Optional.empty();
        }
    }

    private record Change(LocalDateTime at, ZoneOffset from, ZoneOffset to) {
        Instant instant() {
            return at.toInstant(from);
        }
    }

    /** When the clocks of a described zone are changed; nothing if some of it is missing or cannot be read. */
    private Optional<List<Change>> changes(Block zone) {
        var changes = new ArrayList<Change>();
        try {
            for (Block one : zone.inner()) {
                ZoneOffset from = ZoneOffset.of(one.text("TZOFFSETFROM"));
                ZoneOffset to = ZoneOffset.of(one.text("TZOFFSETTO"));
                LocalDateTime first = CalendarTimes.local(one.text("DTSTART"));
                changes.add(new Change(first, from, to));
                for (Block.Property rule : one.all("RRULE")) {
                    changes.addAll(repeated(rule.value(), first, from, to));
                }
                for (Block.Property added : one.all("RDATE")) {
                    for (String date : added.value().split(",")) {
                        changes.add(new Change(CalendarTimes.local(date.strip()), from, to));
                    }
                }
            }
        } catch (DateTimeException unreadable) {
            return Optional.empty();
        }
        changes.sort(Comparator.comparing(Change::instant));
        return changes.isEmpty() ? Optional.empty() : Optional.of(changes);
    }

    /** Some programs write the hour of the change into the rule, and midnight as the first. */
    private List<Change> repeated(String written, LocalDateTime first, ZoneOffset from, ZoneOffset to) {
        LocalDateTime begins = first;
        Matcher time = TIME_OF_DAY.matcher(written);
        while (time.find()) {
            int number = Integer.parseInt(time.group(2));
            begins = switch (time.group(1)) {
                case "HOUR" -> begins.withHour(number);
                case "MINUTE" -> begins.withMinute(number);
                default -> begins.withSecond(number);
            };
        }
        String rule = TIME_OF_DAY.matcher(written).replaceAll("");
        return Recurrence.parse(rule, from.getRules())
                .orElseThrow(() -> new DateTimeException("Not a rule: " + written))
                .from(begins, until.plusYears(2).atStartOfDay(), MOST_CHANGES)
                .stream()
                .map(at -> new Change(at, from, to))
                .toList();
    }

    private static Optional<ZoneRules> rules(List<Change> changes) {
        ZoneOffset first = changes.get(0).from;
        ZoneOffset now = first;
        var transitions = new ArrayList<ZoneOffsetTransition>();
        for (Change one : changes) {
            if (!one.to.equals(now)) {
                transitions.add(ZoneOffsetTransition.of(LocalDateTime.ofInstant(one.instant(), now), now, one.to));
                now = one.to;
            }
        }
        try {
            return Optional.of(ZoneRules.of(first, first, List.of(), transitions, List.of()));
        } catch (IllegalArgumentException unordered) {
            return Optional.empty();
        }
    }

    /** A zone that is described by halves: by a place, one offset, or those that the school's own clocks have in the year. */
    private Optional<ZoneRules> hinted(Block zone, ZoneId school) {
        Optional<ZoneRules> place = byName(zone.text("X-LIC-LOCATION"));
        if (place.isPresent()) {
            return place;
        }
        Set<ZoneOffset> offsets = new HashSet<>();
        try {
            zone.inner().forEach(one -> offsets.add(ZoneOffset.of(one.text("TZOFFSETTO"))));
        } catch (DateTimeException unreadable) {
            return Optional.empty();
        }
        if (offsets.size() == 1) {
            return Optional.of(offsets.iterator().next().getRules());
        }
        ZoneRules rules = school.getRules();
        Set<ZoneOffset> ofSchool = new HashSet<>();
        ofSchool.add(rules.getOffset(until.withDayOfYear(15).atStartOfDay()));
        ofSchool.add(rules.getOffset(until.withDayOfYear(196).atStartOfDay()));
        return offsets.equals(ofSchool) ? Optional.of(rules) : Optional.empty();
    }

    private static Properties named(Class<?> beside, String file) {
        var names = new Properties();
        try (InputStream in = beside.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalStateException("Not in the program: " + file);
            }
            names.load(in);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return names;
    }
}
