package juricast.core.joining;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;
import juricast.core.time.Span;

/**
 * From when until when somebody sees the way to a lesson on their own page (needs B3, C2).
 *
 * @param shown empty if the rules never show it to them
 */
public record WayIn(Optional<Span> shown) {
    /**
     * By the rules as they are when the lesson begins, or now if it has begun; it is shown until the lesson was planned to end.
     */
    public static WayIn of(PlannedRules rules, Role role, Span lesson, Instant now) {
        Instant at = now.isAfter(lesson.from()) ? now : lesson.from();
        if (rules.value(Catalogue.LINK_VISIBLE, role, at) != Permission.OPEN) {
            return new WayIn(Optional.empty());
        }
        var before = rules.value(Catalogue.LINK_SHOWN, role, at).length();
        return new WayIn(Optional.of(new Span(lesson.from().minus(before), lesson.until())));
    }

    /** Whether an entry of their own calendar may say it, too: only where they see it at all (need B9). */
    public static boolean isInCalendars(PlannedRules rules, Role role, Span lesson) {
        return rules.value(Catalogue.LINK_VISIBLE, role, lesson.from()) == Permission.OPEN
                && rules.value(Catalogue.LINK_IN_CALENDARS, role, lesson.from()) == Permission.OPEN;
    }

    /** @param goesOn whether the lesson is open, which counts longer than its planned end */
    public boolean isShown(Instant now, boolean goesOn) {
        return shown.filter(span -> !now.isBefore(span.from()) && (goesOn || now.isBefore(span.until())))
                .isPresent();
    }
}
