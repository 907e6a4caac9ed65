package juricast.server.rules;

import java.util.List;
import juricast.core.identity.Role;
import juricast.core.rules.Area;
import juricast.core.rules.ValueType;

/** The rules of a place as a document, as they go over the wire. */
final class RulesDocument {
    private RulesDocument() {}

    /**
     * @param place where these rules are written, as "school" or "class:harbour-law-9"
     * @param editable whether the caller may change them
     * @param on the day it shows, as 2026-09-14; empty for now
     * @param draft what the caller means to change; the document shows it as if it counted
     */
    record Rules(
            String place,
            String title,
            boolean editable,
            String on,
            List<Chapter> chapters,
            List<DraftLine> draft,
            List<SetLine> sets) {}

    record Chapter(Area area, String title, String about, List<RuleLine> rules) {}

    /**
     * @param choices strict to loose where there is an order; empty for a number
     * @param right whether it is open, on request or closed
     * @param enforced which part of the program keeps it; empty if nothing does yet
     * @param overruledIn the classes that set something else which does not count
     */
    record RuleLine(
            String key,
            String title,
            String meaning,
            String reason,
            String pupilWords,
            String alsoCalled,
            ValueType.Form form,
            String unit,
            boolean ordered,
            boolean right,
            boolean wholeLesson,
            String enforced,
            List<Choice> choices,
            int min,
            int max,
            List<CellLine> cells,
            List<ConditionLine> conditions,
            List<String> circumstances,
            List<String> overruledIn) {}

    record Choice(String value, String words) {}

    /**
     * What holds for a role.
     *
     * @param own whether this place says it, rather than the usual value or a layer above
     * @param ownValue what this place says, where it says something; it may not count
     * @param binding whether what this place says is binding
     * @param bound whether a layer above binds it, so that only stricter values count here
     * @param overruled whether what this place says does not count
     * @param differs whether it is not the usual value
     * @param source who decides it where this place does not: "Charter", "Year group"; empty for the usual value
     * @param refined whether this place decides it, by itself or by a set that it uses
     * @param drafted whether the caller's draft changes it
     */
    record CellLine(
            Role role,
            String value,
            String words,
            boolean own,
            String ownValue,
            boolean binding,
            boolean bound,
            boolean overruled,
            boolean differs,
            boolean drafted,
            String note,
            String source,
            boolean refined) {}

    /** What is different under a condition, or will be. @param from the day on which it begins to count; empty for now */
    record ConditionLine(String when, String words, String from, List<CellLine> cells) {}

    /**
     * One change that does not count yet.
     *
     * @param value empty to take back what the place says
     * @param until the last day on which it counts; empty for ever
     * @param overtaken what somebody else has said about the same since; empty if nobody has
     */
    record DraftLine(
            String rule,
            String title,
            Role role,
            String roleWords,
            String when,
            String whenWords,
            String before,
            String value,
            String after,
            boolean binding,
            String note,
            String until,
            String overtaken) {}

    /** A ready-made set that a class uses. */
    record SetLine(String id, String name, String purpose) {}
}
