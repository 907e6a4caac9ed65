package juricast.server.groups;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.much;
import static juricast.server.words.PartWords.Told.some;

import java.time.Duration;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.groups.Group;
import juricast.core.groups.GroupsEvent;
import juricast.core.groups.GroupsPart;
import juricast.core.groups.GroupsRefusal;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.server.problems.Problem;
import juricast.server.words.GroupNames;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class GroupsWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return GroupsPart.GROUPS;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((GroupsEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof GroupsRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(GroupsRefusal code, Refused refused) {
        String value =
                refused.refusal().ruling().map(ruling -> ruling.value().text()).orElse("");
        return switch (code) {
            case NO_GROUPS -> refused.say("There is nobody to send", "Make groups of those who are here first.");
            case NO_SUCH_GROUP -> refused.say("There is no such group any more", "Look at the groups again.");
            case NAME_TAKEN -> refused.say("Another group is called that", "Choose a name of its own for each.");
            case TOO_MANY_GROUPS -> refused.say(
                    "There are too many groups", "A lesson has up to %d at a time.".formatted(Limits.GROUPS));
            case NOT_ON_LIST -> refused.say("Somebody is not on the class list", "Choose pupils of this lesson.");
            case TWICE -> refused.say(refused.who() + " is in two groups", "Put each pupil into one.");
            case TOO_SMALL -> refused.say(
                    "A group is too small: " + refused.who(),
                    "Nobody was sent.",
                    "Put them with others. The rule “The smallest group” says %s.".formatted(value));
            case BINDING_WISH -> refused.say(
                    "The safeguarding lead has ruled otherwise for " + refused.who(),
                    "Move one of them, then do it again. Who set it and why stands on the class's page for groups.");
            case WRONG_LENGTH -> refused.say("That is no length", "Choose a minute or more; to come back up to five.");
            case TOO_LONG -> refused.say(
                    "That is longer than groups may last here",
                    "Choose up to %s minutes, as the rule “The longest time in groups” says.".formatted(value));
            case ALREADY_OUT -> refused.say("The groups are out", "Call everybody back first.");
            case NOT_OUT -> refused.say("Everybody is together", "Send the groups out first.");
            case CALLED_BACK -> refused.say(
                    "Everybody is on the way back", "Wait until all are together, or bring them together at once.");
            case NOT_INVITED -> refused.say("There is no group for you now", "An adult will send you.");
            case NOT_IN_A_GROUP -> refused.say("You are in no group", "Raise your hand, or write to your teachers.");
        };
    }

    private record Sentences(Story story) implements GroupsEvent.Cases<PartWords.Told> {
        private String of(PlaceId place) {
            return GroupNames.of(place, story.before());
        }

        private String who(PersonId person, PersonId by) {
            return by.equals(person) ? story.name(person) : story.name(person) + story.by(by);
        }

        @Override
        public PartWords.Told drawnUp(GroupsEvent.DrawnUp event) {
            return some("Groups were drawn up, %s%s: %s"
                    .formatted(
                            event.how(),
                            story.by(event.by()),
                            event.groups().stream().map(this::line).collect(Collectors.joining("; "))));
        }

        private String line(Group group) {
            return group.name() + ": "
                    + group.people().stream().map(story::name).collect(Collectors.joining(", "));
        }

        @Override
        public PartWords.Told taskWritten(GroupsEvent.TaskWritten event) {
            return little("The task for groups was written%s: %s".formatted(story.by(event.by()), event.text()));
        }

        @Override
        public PartWords.Told moved(GroupsEvent.Moved event) {
            return little(event.to()
                    .map(to ->
                            "%s is to be in %s%s".formatted(story.name(event.person()), of(to), story.by(event.by())))
                    .orElseGet(() ->
                            "%s is to be in no group%s".formatted(story.name(event.person()), story.by(event.by()))));
        }

        @Override
        public PartWords.Told renamed(GroupsEvent.Renamed event) {
            return little("%s is called “%s” now%s".formatted(of(event.group()), event.name(), story.by(event.by())));
        }

        @Override
        public PartWords.Told locked(GroupsEvent.Locked event) {
            return little("%s is %s when groups are made anew%s"
                    .formatted(of(event.group()), event.on() ? "kept" : "not kept", story.by(event.by())));
        }

        @Override
        public PartWords.Told added(GroupsEvent.Added event) {
            return little("The group “%s” was added%s".formatted(event.name(), story.by(event.by())));
        }

        @Override
        public PartWords.Told emptied(GroupsEvent.Emptied event) {
            return little("%s was emptied%s".formatted(of(event.group()), story.by(event.by())));
        }

        @Override
        public PartWords.Told sentOut(GroupsEvent.SentOut event) {
            long minutes = Duration.between(event.at(), event.until()).toMinutes();
            return much("The class was %s into groups for %d min%s"
                    .formatted(event.invited().isEmpty() ? "sent" : "asked", minutes, story.by(event.by())));
        }

        @Override
        public PartWords.Told wentIn(GroupsEvent.WentIn event) {
            return some("%s went to %s".formatted(who(event.person(), event.by()), of(event.group())));
        }

        @Override
        public PartWords.Told cameOut(GroupsEvent.CameOut event) {
            return some("%s came back from %s"
                    .formatted(
                            who(event.person(), event.by()),
                            of(story.before().where().placeOf(event.person()))));
        }

        @Override
        public PartWords.Told prolonged(GroupsEvent.Prolonged event) {
            return some("The time in groups was made longer" + story.by(event.by()));
        }

        @Override
        public PartWords.Told calledBack(GroupsEvent.CalledBack event) {
            long seconds = Duration.between(event.at(), event.backAt()).toSeconds();
            return much("Everybody was called back within %d s%s".formatted(seconds, story.by(event.by())));
        }

        @Override
        public PartWords.Told together(GroupsEvent.Together event) {
            return much("The class was together again" + story.by(event.by()));
        }

        @Override
        public PartWords.Told lookedIn(GroupsEvent.LookedIn event) {
            return some("%s looked into %s".formatted(story.name(event.by()), of(event.group())));
        }

        @Override
        public PartWords.Told lookedAway(GroupsEvent.LookedAway event) {
            return little(story.name(event.by()) + " looked away");
        }

        @Override
        public PartWords.Told helpCalled(GroupsEvent.HelpCalled event) {
            return much("%s called for an adult in %s".formatted(story.name(event.person()), of(event.group())));
        }

        @Override
        public PartWords.Told helpSettled(GroupsEvent.HelpSettled event) {
            return some("The call of %s was seen to%s".formatted(of(event.group()), story.by(event.by())));
        }

        @Override
        public PartWords.Told wentQuiet(GroupsEvent.WentQuiet event) {
            return much("%s went quiet by itself: no adult had looked in".formatted(of(event.group())));
        }

        @Override
        public PartWords.Told seenAgain(GroupsEvent.SeenAgain event) {
            return some("%s is not quiet any more".formatted(of(event.group())));
        }
    }
}
