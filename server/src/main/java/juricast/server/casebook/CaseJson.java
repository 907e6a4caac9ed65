package juricast.server.casebook;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import juricast.core.casebook.CasePart;
import juricast.core.casebook.Deed;
import juricast.core.ladder.Severity;
import juricast.server.ladder.LadderJson;
import org.jspecify.annotations.Nullable;

/** The casebook on the wire. */
final class CaseJson {
    private CaseJson() {}

    /**
     * The casebook as a working list.
     *
     * @param lines the latest first
     * @param more whether there are older ones
     * @param todos what is to be done: everybody's for leads, else one's own
     * @param open how many of those one may read are open
     * @param acts kinds of acts, to write one down
     */
    record CasebookPage(
            List<IncidentLine> lines, boolean more, List<TodoLine> todos, int open, List<LadderJson.ActBody> acts) {}

    /** @param highest the highest step that counts, 0 for none */
    record IncidentLine(
            int number,
            String title,
            String act,
            Severity severity,
            String origin,
            boolean leadOnly,
            @Nullable String classTitle,
            Instant moment,
            boolean open,
            int highest,
            List<String> did,
            List<String> suffered) {}

    /** @param late whether it should have been done before today */
    record TodoLine(
            int incident,
            String title,
            int number,
            String who,
            String whoName,
            String what,
            LocalDate until,
            boolean late) {}

    /**
     * One incident, to be read from top to bottom.
     *
     * @param may what the caller may do with it
     * @param why nothing where no step was taken
     * @param looks who looked at it, the latest first; for leads
     * @param heldUntil until when what it rests on is held; nothing as long as it is open
     */
    record IncidentPage(
            int number,
            String title,
            String act,
            String actName,
            Severity severity,
            String origin,
            boolean leadOnly,
            @Nullable String lesson,
            @Nullable String ofClass,
            @Nullable String classTitle,
            Instant moment,
            boolean open,
            @Nullable Integer mergedInto,
            List<IncidentPart> people,
            List<CaseStory.StoryLine> lines,
            List<TodoLine> followUps,
            List<IncidentLink> links,
            List<CasePerson> out,
            @Nullable WhyProposed why,
            IncidentProof proof,
            @Nullable List<CaseLook> looks,
            @Nullable Instant heldUntil,
            List<Deed> may,
            List<LadderJson.ActBody> acts,
            List<CasePerson> staff,
            List<CasePerson> pupils) {}

    /**
     * Why the last step was proposed, worked out again as of its moment.
     *
     * @param step which was proposed, from 1
     * @param fades what it rested on, the heaviest first
     */
    record WhyProposed(int step, String name, Instant at, List<String> says, List<Fading> fades) {}

    /** An earlier step. @param halfDays after how many days it counts half @param left what was left of it, 0 to 1 */
    record Fading(String name, Instant at, int halfDays, double left) {}

    record IncidentPart(String id, String name, CasePart part) {}

    record CasePerson(String id, String name) {}

    record IncidentLink(int number, String title) {}

    record CaseLook(String name, Instant at, boolean tookAway) {}

    /** @param events how many of lessons are proven @param own how many of the incident @param first of the first lesson @param last of it */
    record IncidentProof(int events, int own, int first, int last) {}
}
