package juricast.server.timetable;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import net.fortuna.ical4j.model.Calendar;

/**
 * Finds out which zone a calendar means: by its name, by the name of a place at its end, by the other names that calendar
 * programs use, or by what the file itself says of it. A zone that is none of these is not guessed.
 */
final class Zones {
    private static final Properties OTHER_NAMES = otherNames();

    private final Map<String, ZoneId> described;

    private Zones(Map<String, ZoneId> described) {
        this.described = described;
    }

    /**
     * Those that the VTIMEZONE parts of a file describe: by a place, by a single offset that never changes, or by the offsets
     * that the school's own clocks have in summer and winter.
     */
    static Zones in(String file, ZoneId school, LocalDate year) {
        var described = new HashMap<String, ZoneId>();
        var now = new Described();
        for (String line : (Iterable<String>) file.lines()::iterator) {
            String said = line.strip();
            String value = said.substring(said.indexOf(':') + 1);
            String upper = said.toUpperCase(Locale.ROOT);
            if (upper.equals("BEGIN:VTIMEZONE")) {
                now = new Described();
            } else if (upper.startsWith("TZID:")) {
                now.id = value;
            } else if (upper.startsWith("X-LIC-LOCATION:")) {
                now.place = value;
            } else if (upper.startsWith("TZOFFSETTO:")) {
                byOffset(value).ifPresent(now.offsets::add);
            } else if (upper.equals("END:VTIMEZONE")) {
                String id = now.id;
                now.zone(school, year).ifPresent(zone -> described.put(id, zone));
            }
        }
        return new Zones(described);
    }

    /** What a file says of one zone. */
    private static final class Described {
        private String id = "";
        private String place = "";
        private final Set<ZoneOffset> offsets = new HashSet<>();

        Optional<ZoneId> zone(ZoneId school, LocalDate year) {
            Optional<ZoneId> named = byName(place);
            if (named.isPresent() || offsets.size() == 1) {
                return named.or(() -> offsets.stream().map(ZoneId.class::cast).findFirst());
            }
            var rules = school.getRules();
            // One and the same where the clocks are never changed.
            var ofSchool = new HashSet<>(List.of(
                    rules.getOffset(year.withDayOfYear(15).atStartOfDay()),
                    rules.getOffset(year.withDayOfYear(196).atStartOfDay())));
            return offsets.equals(ofSchool) ? Optional.of(school) : Optional.empty();
        }
    }

    Optional<ZoneId> of(String id) {
        return byName(id)
                .or(() -> Optional.ofNullable(OTHER_NAMES.getProperty(id)).flatMap(Zones::byName))
                .or(() -> Optional.ofNullable(described.get(id)))
                .or(() -> byEnd(id));
    }

    /** As in "/a program's own/20070129_1/Europe/Oslo". */
    private static Optional<ZoneId> byEnd(String id) {
        String[] parts = id.split("/");
        return parts.length < 3 ? Optional.empty() : byName(parts[parts.length - 2] + "/" + parts[parts.length - 1]);
    }

    private static Optional<ZoneId> byName(String name) {
        try {
            return name.isEmpty() ? Optional.empty() : Optional.of(ZoneId.of(name));
        } catch (DateTimeException unknown) {
            return Optional.empty();
        }
    }

    private static Optional<ZoneOffset> byOffset(String offset) {
        try {
            return offset.isEmpty() ? Optional.empty() : Optional.of(ZoneOffset.of(offset));
        } catch (DateTimeException unreadable) {
            return Optional.empty();
        }
    }

    /** The list of other names that comes with the calendar library. */
    private static Properties otherNames() {
        var names = new Properties();
        try (InputStream in = Calendar.class.getResourceAsStream("tz.alias")) {
            if (in != null) {
                names.load(in);
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return names;
    }
}
