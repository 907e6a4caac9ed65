package juricast.server.casebook;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.casebook.CaseEvent;
import juricast.core.casebook.Incident;
import juricast.core.identity.PersonId;
import juricast.core.ladder.ActKind;
import juricast.core.ladder.Earlier;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Past;
import juricast.core.ladder.Proposal;
import juricast.core.ladder.Step;
import juricast.server.conduct.ProposalWords;
import juricast.server.ladder.Ladders;
import org.springframework.stereotype.Component;

/** Why a step was proposed, worked out again from what counted at its moment. */
@Component
class WhySteps {
    private final Ladders ladders;

    WhySteps(Ladders ladders) {
        this.ladders = ladders;
    }

    /** Of the last step of an incident; nothing where none was taken, or the ladder knows its kind no more. */
    Optional<CaseJson.WhyProposed> of(Incident incident, Ladder ladder) {
        if (incident.steps().isEmpty()) {
            return Optional.empty();
        }
        CaseEvent.StepAdded last = incident.steps().get(incident.steps().size() - 1);
        CaseEvent.Met met = last.met().get(0);
        return ladder.act(last.act().id()).map(act -> of(last, met, act, ladder));
    }

    private CaseJson.WhyProposed of(CaseEvent.StepAdded last, CaseEvent.Met met, ActKind act, Ladder ladder) {
        List<Earlier> before = before(met.person(), last.at());
        Proposal again = Proposal.of(ladder, act, new Past(before, 0), List.of(), Set.of(), last.at());
        int proposed = Math.min(met.proposed(), ladder.steps().size());
        return new CaseJson.WhyProposed(
                proposed,
                ladder.steps().get(proposed - 1).name(),
                last.at(),
                ProposalWords.why(again, last.at()),
                again.rests().stream()
                        .limit(3)
                        .map(one -> new CaseJson.Fading(
                                one.step().name(),
                                one.step().at(),
                                (int) one.step().counts().toDays(),
                                one.step().left(last.at())))
                        .toList());
    }

    private List<Earlier> before(PersonId person, Instant at) {
        return ladders.steps(person, at.minus(Step.LONGEST), at.minusMillis(1));
    }
}
