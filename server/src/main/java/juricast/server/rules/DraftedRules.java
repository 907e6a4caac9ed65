package juricast.server.rules;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.charter.SchoolRules;
import juricast.server.access.SignedIn;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.rules.Settings.Marked;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The rules as they would be with somebody's draft in force. */
@Component
public class DraftedRules {
    private final Settings settings;
    private final Drafts drafts;
    private final RulesAccess access;
    private final School school;
    private final Clock clock;

    DraftedRules(Settings settings, Drafts drafts, RulesAccess access, School school, Clock clock) {
        this.settings = settings;
        this.drafts = drafts;
        this.access = access;
        this.school = school;
        this.clock = clock;
    }

    /** With the caller's draft at a place. @param from the first day on which it counts; empty for now */
    public SchoolRules of(SignedIn caller, String place, String from) {
        Place changed = access.changed(caller, place);
        Instant now = clock.instant();
        return of(changed, caller, now, from(from, now));
    }

    SchoolRules of(Place place, SignedIn caller, Instant now, Instant from) {
        List<Edit> edits = drafts.of(caller.person(), place).stream()
                .map(Marked::edit)
                .filter(one -> from.isBefore(one.until()))
                .toList();
        return settings.all().after(edits, caller.person(), now, from);
    }

    /** The beginning of a day to come, or now. */
    Instant from(@Nullable String text, Instant now) {
        if (text == null || text.isEmpty()) {
            return now;
        }
        LocalDate day = day(text);
        if (day.isBefore(school.date(now))) {
            throw RulesController.unreadable(
                    "This day is over",
                    "The past is judged by the rules of its day. Choose today or a day to come.",
                    "from");
        }
        Instant start = day.atStartOfDay(school.zone()).toInstant();
        return start.isAfter(now) ? start : now;
    }

    static LocalDate day(String text) {
        try {
            return WrittenDay.parse(text);
        } catch (DateTimeParseException wrong) {
            throw RulesController.unreadable("“%s” is no day".formatted(text), "Write it as 2026-09-14.", "from");
        }
    }
}
