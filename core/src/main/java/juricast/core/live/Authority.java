package juricast.core.live;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.LiveRules;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;
import juricast.core.rules.Value;

/**
 * Who may give which order now. Whoever leads may give all of them; others help with what the rules give them or what was
 * lent to them (needs A2, F7). Each answer is nothing, or the refusal.
 */
public record Authority(LessonPlan plan, WhoIsThere lesson, LiveRules rules, Instant now) {
    public boolean isAdult(PersonId person) {
        return tookCharge(person)
                || plan.member(person)
                        .filter(one -> one.role().isAdultInCharge())
                        .isPresent();
    }

    /** As planned, or second adult for who took charge of a room without one. */
    public Role roleOf(PersonId person) {
        return tookCharge(person) ? Role.SECOND_ADULT : plan.roleOf(person);
    }

    /** Whoever took charge keeps it as long as they are somebody who may. */
    private boolean tookCharge(PersonId person) {
        return lesson.tookCharge(person) && plan.member(person).isPresent();
    }

    /** For what every adult in the room may do at any time, such as stopping everything; a safeguarding lead from anywhere. */
    public Optional<Decision> adult(PersonId by) {
        if (!isAdult(by) && !plan.isLead(by)) {
            return Optional.of(Refusal.of(Refusal.Common.NOT_AN_ADULT_HERE));
        }
        if (!lesson.isOpen()) {
            return Optional.of(Refusal.of(lesson.isOver() ? Refusal.Common.LESSON_OVER : Refusal.Common.NOT_OPEN));
        }
        return plan.isLead(by) || lesson.isPresent(by)
                ? Optional.empty()
                : Optional.of(Refusal.of(Refusal.Common.ADULT_NOT_IN));
    }

    /** For what only who leads may do: lending rights to helpers. */
    public Optional<Decision> leading(PersonId by) {
        return adult(by)
                .or(() -> plan.isLead(by) || lesson.leads(by, plan)
                        ? Optional.empty()
                        : Optional.of(Refusal.of(Refusal.Common.NOT_LEADING)));
    }

    /** For what adults do who have the right to help with it. */
    public Optional<Decision> adult(PersonId by, Rule<Permission> with) {
        return adult(by)
                .or(() -> plan.isLead(by)
                                || lesson.leads(by, plan) && !(isPlannedLead(by) && with.speaksOf(Role.LEAD_ADULT))
                        ? Optional.empty()
                        : right(by, with));
    }

    private boolean isPlannedLead(PersonId person) {
        return plan.member(person).filter(one -> one.role() == Role.LEAD_ADULT).isPresent();
    }

    /** For what a trusted pupil may help with too, if the right was given or lent. */
    public Optional<Decision> helper(PersonId by, Rule<Permission> with) {
        boolean isPupil = plan.member(by)
                .filter(one -> !isAdult(by) && with.speaksOf(one.role()))
                .isPresent();
        if (!isPupil) {
            return adult(by, with);
        }
        if (!lesson.isPresent(by)) {
            return Optional.of(
                    Refusal.of(lesson.isOver() ? Refusal.Common.LESSON_OVER : Refusal.Common.NOT_PRESENT, by));
        }
        boolean lent =
                rules.lent(by).stream().anyMatch(loan -> loan.set().rule().equals(with));
        return !lent && ruling(by, with).value() == Permission.CLOSED
                ? Optional.of(Refusal.of(Refusal.Common.NOT_AN_ADULT_HERE))
                : right(by, with);
    }

    /** For what the rules say of each person. */
    public Optional<Decision> right(PersonId person, Rule<Permission> right) {
        Ruling<Permission> ruling = ruling(person, right);
        return switch (ruling.value()) {
            case OPEN -> Optional.empty();
            case ON_REQUEST -> Optional.of(Refusal.by(Refusal.Common.RULE_ON_REQUEST, ruling));
            case CLOSED -> Optional.of(Refusal.by(Refusal.Common.RULE_CLOSED, ruling));
        };
    }

    public <V extends Value> Ruling<V> ruling(PersonId person, Rule<V> rule) {
        return rules.of(person).ruling(rule, roleOf(person), now);
    }
}
