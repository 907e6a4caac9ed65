package juricast.core.audience;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.rights.Appliance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;

/**
 * What each may, for the adults of a lesson.
 *
 * @param columns what holds for all pupils, one ruling for each of {@link Catalogue#RIGHTS}
 * @param pupils of each pupil, what they may and what they help with now
 * @param helpers of each second adult who does not lead, what they may do for who leads, one for each of {@link Catalogue#HELP}
 * @param seen what pupils see of each other, one ruling for each of {@link Catalogue#SEEN}
 * @param mayShowAll whether who leads may show the whole own screen, not a window alone
 * @param mayPassOn whether who leads may pass the lesson on to people outside
 */
public record RightsDesk(
        List<Ruling<?>> columns,
        Map<PersonId, Cells> pupils,
        Map<PersonId, List<Cell>> helpers,
        List<Ruling<?>> seen,
        boolean mayShowAll,
        boolean mayPassOn) {
    /** One right of one person, and the pass or curb on it that has not ended. */
    public record Cell(Ruling<?> ruling, Optional<Setting> loan) {}

    /** All of one pupil. @param help what they help with, if anything */
    public record Cells(List<Cell> rights, List<Cell> help) {}

    private static List<Ruling<?>> ofPupils(List<Rule<Permission>> rules, SharedRights rights, Instant now) {
        return rules.stream()
                .<Ruling<?>>map(rule -> rights.all().ruling(rule, Role.PUPIL, now))
                .toList();
    }

    public static RightsDesk of(LessonPlan plan, LessonState lesson, SharedRights rights, Instant now) {
        var pupils = new LinkedHashMap<PersonId, Cells>();
        for (Member one : plan.classList()) {
            pupils.put(
                    one.person(),
                    new Cells(
                            rights.cells(one.person(), one.role(), now),
                            rights.helpGiven(one.person(), one.role(), now)));
        }
        var helpers = new LinkedHashMap<PersonId, List<Cell>>();
        for (Member one : plan.adults()) {
            if (!lesson.there().leads(one.person(), plan)) {
                helpers.put(one.person(), rights.help(one.person(), one.role(), now));
            }
        }
        return new RightsDesk(
                ofPupils(Catalogue.RIGHTS, rights, now),
                pupils,
                helpers,
                ofPupils(Catalogue.SEEN, rights, now),
                mayHaveOn(Appliance.WHOLE_SCREEN, rights, now),
                mayHaveOn(Appliance.PASSING_ON, rights, now));
    }

    private static boolean mayHaveOn(Appliance what, SharedRights rights, Instant now) {
        return what.needs().stream()
                .allMatch(right -> rights.all().value(right, Role.LEAD_ADULT, now) == Permission.OPEN);
    }
}
