package juricast.core.groups;

import static juricast.core.live.Decision.done;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import juricast.core.grouping.Wish;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.Room;

/** Draws up groups and changes them. */
record DrawingUp(GroupsState is, Room room) implements GroupsOrder.Drawn<Decision> {
    @Override
    public Decision drawUp(GroupsOrder.DrawUp order) {
        if (is.isApart()) {
            return Refusal.of(GroupsRefusal.ALREADY_OUT);
        }
        List<Group> locked = is.groups().stream().filter(Group::locked).toList();
        if (locked.size() + order.groups().size() > Limits.GROUPS) {
            return Refusal.of(GroupsRefusal.TOO_MANY_GROUPS);
        }
        var all = new ArrayList<>(locked);
        for (GroupsOrder.Wanted wanted : order.groups()) {
            all.add(new Group(
                    is.drawn().next(all.size() - locked.size()), wanted.name().strip(), wanted.people(), false));
        }
        return wrong(all)
                .orElseGet(() -> done(new GroupsEvent.DrawnUp(all, order.how(), order.seed(), order.by(), room.now())));
    }

    /** The same with what is to be done; nothing where they stand there already. */
    Decision prepared(GroupsOrder.DrawUp order, String task) {
        boolean stand = is.groups().stream()
                .map(group -> new GroupsOrder.Wanted(group.name(), group.people()))
                .toList()
                .equals(order.groups());
        Decision drawn = stand ? done() : drawUp(order);
        return task.isBlank() || task.equals(is.drawn().task())
                ? drawn
                : drawn.after(new GroupsEvent.TaskWritten(task, order.by(), room.now()));
    }

    private Optional<Decision> wrong(List<Group> groups) {
        Set<String> names = new HashSet<>();
        Set<PersonId> people = new HashSet<>();
        for (Group group : groups) {
            Optional<Decision> no = Refusal.ofText(group.name(), Limits.NAME)
                    .or(() -> names.add(group.name().toLowerCase(Locale.ROOT))
                            ? Optional.empty()
                            : Optional.of(Refusal.of(GroupsRefusal.NAME_TAKEN)));
            if (no.isPresent()) {
                return no;
            }
            for (PersonId person : group.people()) {
                if (!isListed(person)) {
                    return Optional.of(Refusal.of(GroupsRefusal.NOT_ON_LIST));
                }
                if (!people.add(person)) {
                    return Optional.of(Refusal.of(GroupsRefusal.TWICE, person));
                }
            }
        }
        return Optional.empty();
    }

    private boolean isListed(PersonId person) {
        return room.plan().classList().stream().anyMatch(one -> one.person().equals(person));
    }

    @Override
    public Decision writeTask(GroupsOrder.WriteTask order) {
        String text = order.text().strip();
        return text.length() > Limits.MESSAGE
                ? Refusal.of(Refusal.Common.TEXT_TOO_LONG)
                : text.equals(is.drawn().task())
                        ? done()
                        : done(new GroupsEvent.TaskWritten(text, order.by(), room.now()));
    }

    @Override
    public Decision move(GroupsOrder.Move order) {
        if (!isListed(order.person())) {
            return Refusal.of(GroupsRefusal.NOT_ON_LIST);
        }
        if (order.to().isPresent() && is.group(order.to().get()).isEmpty()) {
            return Refusal.of(GroupsRefusal.NO_SUCH_GROUP);
        }
        List<Wish> before = room.plan().wishes().bindingBroken(is.drawn().people());
        Optional<Wish> broken =
                room
                        .plan()
                        .wishes()
                        .bindingBroken(
                                is.drawn().moved(order.person(), order.to()).people())
                        .stream()
                        .filter(wish -> !before.contains(wish))
                        .findFirst();
        if (broken.isPresent()) {
            return GroupsRules.isBinding(broken.get());
        }
        return new Decision.Done(
                Stream.<LessonEvent>concat(drawn(order), went(order)).toList());
    }

    private Stream<GroupsEvent> drawn(GroupsOrder.Move order) {
        return is.drawn().groupOf(order.person()).map(Group::id).equals(order.to())
                ? Stream.empty()
                : Stream.of(new GroupsEvent.Moved(order.person(), order.to(), order.by(), room.now()));
    }

    /** While the class is apart they go at once; who has lost the line finds the new place when they are back. */
    private Stream<GroupsEvent> went(GroupsOrder.Move order) {
        PlaceId now = is.placeOf(order.person());
        boolean isSomewhere = room.there().isPresent(order.person()) || !now.equals(PlaceId.TOGETHER);
        if (!is.isApart() || !isSomewhere || now.equals(order.to().orElse(PlaceId.TOGETHER))) {
            return Stream.empty();
        }
        return Stream.of(order.to()
                .<GroupsEvent>map(to -> new GroupsEvent.WentIn(order.person(), to, order.by(), room.now()))
                .orElseGet(() -> new GroupsEvent.CameOut(order.person(), order.by(), room.now())));
    }

    @Override
    public Decision rename(GroupsOrder.Rename order) {
        String name = order.name().strip();
        return Refusal.ofText(name, Limits.NAME)
                .or(() -> nameTaken(name, order.group()))
                .orElseGet(() -> changed(
                        order.group(),
                        group -> group.name().equals(name)
                                ? done()
                                : done(new GroupsEvent.Renamed(group.id(), name, order.by(), room.now()))));
    }

    private Optional<Decision> nameTaken(String name, PlaceId but) {
        boolean isTaken = is.groups().stream()
                .anyMatch(one -> !one.id().equals(but) && one.name().equalsIgnoreCase(name));
        return isTaken ? Optional.of(Refusal.of(GroupsRefusal.NAME_TAKEN)) : Optional.empty();
    }

    private Decision changed(PlaceId id, Function<Group, Decision> how) {
        return is.group(id).map(how).orElseGet(() -> Refusal.of(GroupsRefusal.NO_SUCH_GROUP));
    }

    @Override
    public Decision lock(GroupsOrder.Lock order) {
        return changed(
                order.group(),
                group -> group.locked() == order.on()
                        ? done()
                        : done(new GroupsEvent.Locked(group.id(), order.on(), order.by(), room.now())));
    }

    @Override
    public Decision add(GroupsOrder.Add order) {
        String name = order.name().strip();
        if (is.groups().size() >= Limits.GROUPS) {
            return Refusal.of(GroupsRefusal.TOO_MANY_GROUPS);
        }
        return Refusal.ofText(name, Limits.NAME)
                .or(() -> nameTaken(name, PlaceId.TOGETHER))
                .orElseGet(() -> done(new GroupsEvent.Added(is.drawn().next(0), name, order.by(), room.now())));
    }

    @Override
    public Decision empty(GroupsOrder.Empty order) {
        if (is.isApart()) {
            return Refusal.of(GroupsRefusal.ALREADY_OUT);
        }
        return changed(
                order.group(),
                group -> group.people().isEmpty()
                        ? done()
                        : done(new GroupsEvent.Emptied(group.id(), order.by(), room.now())));
    }
}
