package juricast.server.conduct;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import juricast.core.ladder.Earlier;
import juricast.core.ladder.Proposal;
import juricast.core.rules.Fact;

/** Why a step is proposed, in sentences that a tired adult can read. */
public final class ProposalWords {
    /** More are summed up. */
    private static final int TOLD = 3;

    private ProposalWords() {}

    public static List<String> why(Proposal proposal, Instant now) {
        var why = new ArrayList<String>();
        why.add("“%s” stands at step %d.".formatted(proposal.act().name(), proposal.from()));
        proposal.rests().stream().limit(TOLD).forEach(one -> why.add(counted(one, proposal, now)));
        if (proposal.rests().size() > TOLD) {
            why.add("%d more that have nearly faded.".formatted(proposal.rests().size() - TOLD));
        }
        if (proposal.rests().isEmpty()) {
            why.add("Nothing before it counts any more.");
        } else {
            why.add("Together %.2f: %s more.".formatted(proposal.sum(), steps((int) Math.floor(proposal.sum() + 0.5))));
        }
        if (!proposal.situation().isEmpty()) {
            why.add("One step more, as it is "
                    + proposal.situation().stream()
                            .map(ProposalWords::situation)
                            .collect(Collectors.joining(" and ")) + ".");
        }
        if (proposal.today() >= proposal.level() && proposal.today() > 0) {
            why.add("Step %d was taken in this lesson already.".formatted(proposal.today()));
        }
        if (proposal.quiet() > 0 && !proposal.rests().isEmpty()) {
            why.add(
                    proposal.quiet() == 1
                            ? "The last lesson was quiet."
                            : "The last %d lessons were quiet.".formatted(proposal.quiet()));
        }
        return why;
    }

    private static String counted(Proposal.Counted one, Proposal proposal, Instant now) {
        Earlier step = one.step();
        return "%s %s%s counts by %.2f (half after %d days)."
                .formatted(
                        step.name(),
                        ago(step.at(), now),
                        step.act().equals(proposal.act().id()) ? "" : ", for another kind of act,",
                        one.weight(),
                        step.counts().toDays());
    }

    private static String ago(Instant then, Instant now) {
        long days = Duration.between(then, now).toDays();
        long minutes = Duration.between(then, now).toMinutes();
        return days > 1
                ? days + " days ago"
                : days == 1 ? "yesterday" : minutes > 1 ? minutes + " minutes ago" : "just now";
    }

    private static String steps(int count) {
        return count == 1 ? "one step" : count == 0 ? "no step" : count + " steps";
    }

    private static String situation(Fact fact) {
        return switch (fact) {
            case VISITOR_PRESENT -> "before a visitor";
            case RECORDING -> "while it is recorded";
            case IN_GROUPS -> "in groups";
            case HELP_HOUR -> "in a help hour";
            case ADULT_PRESENT, SCHOOL_ACCOUNT -> fact.text().replace('-', ' ').toLowerCase(Locale.ROOT);
        };
    }
}
