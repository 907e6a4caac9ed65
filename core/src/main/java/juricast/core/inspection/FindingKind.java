package juricast.core.inspection;

import static juricast.core.inspection.Severity.DANGER;
import static juricast.core.inspection.Severity.NOTE;
import static juricast.core.inspection.Severity.WEAK_SPOT;

import java.util.Optional;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;

/** Everything the inspection looks for. The words for each stand in one place on the server. */
public enum FindingKind {
    NO_ADULT(DANGER, Catalogue.ADULTS_FIRST),
    ADULT_TWICE(DANGER, Catalogue.ADULTS_FIRST),
    COVER_ENDS_EARLY(DANGER, Catalogue.ALONE_MINUTES),
    VISITOR_FORBIDDEN(DANGER, Catalogue.VISITORS),
    STRANGERS_AT_AN_OPEN_DOOR(DANGER, Catalogue.DOOR),
    ALONE_WITH_ONE_PUPIL(DANGER, Catalogue.NEVER_ALONE_WITH_ONE),
    PUPILS_BEFORE_AN_ADULT(DANGER, Catalogue.ADULTS_FIRST),
    LINK_TWICE(DANGER),
    TOO_FEW_ADULTS(DANGER, Catalogue.ADULTS_PRESENT),
    NOBODY_CAN_COME(WEAK_SPOT, Catalogue.NEVER_ALONE_WITH_ONE),
    PUPIL_TWICE(WEAK_SPOT),
    GAP_FOR_ADULT(WEAK_SPOT, Catalogue.GAP),
    GAP_FOR_PUPILS(WEAK_SPOT, Catalogue.GAP),
    NO_ROSTER(WEAK_SPOT),
    IN_A_HOLIDAY(WEAK_SPOT),
    OUT_OF_TERM(WEAK_SPOT),
    ON_A_DAY_OFF(WEAK_SPOT),
    OUTSIDE_SCHOOL_HOURS(WEAK_SPOT),
    MORE_THAN_THE_ROOM_HOLDS(WEAK_SPOT, Catalogue.CAPACITY),
    RECORDING_FORBIDDEN(WEAK_SPOT, Catalogue.RECORDING_MODE),
    /** It has to be recorded, and as long as some of its pupils are there nothing may be. */
    RECORDING_PREVENTED(WEAK_SPOT, Catalogue.CONSENT),
    GROUPS_FORBIDDEN(WEAK_SPOT, Catalogue.MAKE_GROUPS),
    GROUPS_WITH_ONE_ADULT(WEAK_SPOT, Catalogue.GROUP_ALONE),
    /** Those who are to stay apart were in one group. */
    KEPT_APART_MET(WEAK_SPOT),
    /** Prepared groups put those together who are to stay apart. */
    KEPT_APART_PLANNED(WEAK_SPOT),
    WORD_TOO_WEAK(WEAK_SPOT, Catalogue.WORD_STRENGTH),
    WORD_TOO_NEAR(WEAK_SPOT, Catalogue.WORD_DISTANCE),
    LINK_HIDDEN_TOO_LONG(WEAK_SPOT, Catalogue.LINK_SHOWN),
    PUPILS_WRITE_UNSEEN(NOTE, Catalogue.PRIVATE_CHAT),
    WHOLE_SCREENS_OPEN(NOTE, Catalogue.WHOLE_SCREEN),
    /** It has to be recorded, and some of its pupils will be neither heard nor seen. */
    RECORDED_WITHOUT_SOME(NOTE, Catalogue.CONSENT),
    NOBODY_TO_HELP(NOTE, Catalogue.ADULTS_PRESENT),
    NO_MORE_LESSONS(NOTE);

    private final Severity severity;
    private final Optional<Rule<?>> rule;

    FindingKind(Severity severity, Rule<?> rule) {
        this.severity = severity;
        this.rule = Optional.of(rule);
    }

    FindingKind(Severity severity) {
        this.severity = severity;
        this.rule = Optional.empty();
    }

    public Severity severity() {
        return severity;
    }

    /** The rule of the charter behind it; empty where it is a matter of the timetable alone. */
    public Optional<Rule<?>> rule() {
        return rule;
    }
}
