package juricast.core.groups;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.live.Imposed;
import juricast.core.live.PlaceId;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;

/** One step of the fold. @param was the state before it @param number the number of the event */
record GroupsFold(GroupsState was, int number) implements GroupsEvent.Cases<GroupsState> {
    /** No adult's eye for longer than the rule allows. Coming back and calling for help stay as they are. */
    private static final Imposed QUIET = Imposed.of(
            "no adult has looked in",
            new RuleValue(Catalogue.SPEAK, Permission.CLOSED),
            new RuleValue(Catalogue.CLASS_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.PRIVATE_CHAT, Permission.CLOSED),
            new RuleValue(Catalogue.SHARE_SCREEN, Permission.CLOSED),
            new RuleValue(Catalogue.DRAW, Permission.CLOSED));

    @Override
    public GroupsState drawnUp(GroupsEvent.DrawnUp event) {
        return was.with(was.drawn().of(event.groups(), event.how()));
    }

    @Override
    public GroupsState taskWritten(GroupsEvent.TaskWritten event) {
        return was.with(was.drawn().toDo(event.text()));
    }

    @Override
    public GroupsState moved(GroupsEvent.Moved event) {
        return was.with(was.drawn().moved(event.person(), event.to()));
    }

    @Override
    public GroupsState renamed(GroupsEvent.Renamed event) {
        return was.with(was.drawn().changed(event.group(), one -> one.named(event.name())));
    }

    @Override
    public GroupsState locked(GroupsEvent.Locked event) {
        return was.with(was.drawn().changed(event.group(), one -> one.locked(event.on())));
    }

    @Override
    public GroupsState added(GroupsEvent.Added event) {
        return was.with(was.drawn().with(new Group(event.group(), event.name(), List.of(), false)));
    }

    @Override
    public GroupsState emptied(GroupsEvent.Emptied event) {
        return was.with(was.drawn().changed(event.group(), one -> one.of(List.of())));
    }

    @Override
    public GroupsState sentOut(GroupsEvent.SentOut event) {
        GroupsState next = was.with(was.drawn().sent(event.at()))
                .with(new TimeOut(event.at(), event.until(), Optional.empty(), Set.copyOf(event.invited()), Set.of()));
        var went = new LinkedHashMap<PersonId, PlaceId>();
        for (PersonId person : event.went()) {
            was.drawn().groupOf(person).ifPresent(group -> went.put(person, group.id()));
        }
        return next.with(next.whereabouts().inGroups(went, number));
    }

    @Override
    public GroupsState wentIn(GroupsEvent.WentIn event) {
        GroupsState next = was.with(was.whereabouts().inGroup(event.person(), event.group(), number));
        return was.out().map(out -> next.with(out.gone(event.person()))).orElse(next);
    }

    @Override
    public GroupsState cameOut(GroupsEvent.CameOut event) {
        GroupsState next = was.with(was.whereabouts().out(event.person(), number));
        return was.out().map(out -> next.with(out.back(event.person()))).orElse(next);
    }

    @Override
    public GroupsState prolonged(GroupsEvent.Prolonged event) {
        return was.out().map(out -> was.with(out.prolonged(event.until()))).orElse(was);
    }

    @Override
    public GroupsState calledBack(GroupsEvent.CalledBack event) {
        return was.out().map(out -> was.with(out.calledBack(event.backAt()))).orElse(was);
    }

    @Override
    public GroupsState together(GroupsEvent.Together event) {
        return was.together(number);
    }

    @Override
    public GroupsState lookedIn(GroupsEvent.LookedIn event) {
        return was.with(was.whereabouts().looking(event.by(), event.group()));
    }

    @Override
    public GroupsState lookedAway(GroupsEvent.LookedAway event) {
        return was.with(was.whereabouts().lookingAway(Set.of(event.by())));
    }

    @Override
    public GroupsState helpCalled(GroupsEvent.HelpCalled event) {
        return was.calls().containsKey(event.group())
                ? was
                : was.calling(
                        Copies.with(was.calls(), event.group(), new GroupsState.Call(event.person(), event.at())));
    }

    @Override
    public GroupsState helpSettled(GroupsEvent.HelpSettled event) {
        return was.calling(Copies.without(was.calls(), event.group()));
    }

    @Override
    public GroupsState wentQuiet(GroupsEvent.WentQuiet event) {
        return was.quiet(Copies.with(was.quiet(), event.group(), QUIET.settings(PersonId.RULES, event.at())));
    }

    @Override
    public GroupsState seenAgain(GroupsEvent.SeenAgain event) {
        return was.quiet(Copies.without(was.quiet(), event.group()));
    }
}
