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
import juricast.core.rules.Catalogue;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;

/**
 * What each may, for the adults of a lesson.
 *
 * @param columns what holds for all pupils, one ruling for each of {@link Catalogue#RIGHTS}
 * @param pupils of each pupil, what they may and what they help with now
 * @param helpers of each second adult who does not lead, what they may do for who leads, one for each of {@link Catalogue#HELP}
 */
public record RightsDesk(List<Ruling<?>> columns, Map<PersonId, Cells> pupils, Map<PersonId, List<Cell>> helpers) {
    /** One right of one person, and the pass or curb on it that has not ended. */
    public record Cell(Ruling<?> ruling, Optional<Setting> loan) {}

    /** All of one pupil. @param help what they help with, if anything */
    public record Cells(List<Cell> rights, List<Cell> help) {}

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
                Catalogue.RIGHTS.stream()
                        .<Ruling<?>>map(right -> rights.all().ruling(right, Role.PUPIL, now))
                        .toList(),
                pupils,
                helpers);
    }
}
