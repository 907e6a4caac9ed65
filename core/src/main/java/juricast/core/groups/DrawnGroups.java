package juricast.core.groups;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;

/**
 * Who is meant to be in which group, and what for.
 *
 * @param task what is to be done, in the adult's words
 * @param how in which way they were made
 * @param sentAt when the class was last sent out
 * @param made how many groups there have been in this lesson, so that no place is used twice
 */
public record DrawnGroups(List<Group> groups, String task, String how, int made, Optional<Instant> sentAt) {
    static final DrawnGroups NONE = new DrawnGroups(List.of(), "", "", 0, Optional.empty());

    public DrawnGroups {
        groups = List.copyOf(groups);
    }

    public Optional<Group> group(PlaceId id) {
        return groups.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    /** The group somebody is meant to be in. */
    public Optional<Group> groupOf(PersonId person) {
        return groups.stream().filter(one -> one.people().contains(person)).findFirst();
    }

    /** Who is meant to be in each. */
    public List<List<PersonId>> people() {
        return groups.stream().map(Group::people).toList();
    }

    /** The place of the next group. */
    PlaceId next(int ahead) {
        return new PlaceId("g" + (made + 1 + ahead));
    }

    DrawnGroups of(List<Group> others, String way) {
        int fresh =
                (int) others.stream().filter(one -> group(one.id()).isEmpty()).count();
        return new DrawnGroups(others, task, way, made + fresh, sentAt);
    }

    DrawnGroups sent(Instant at) {
        return new DrawnGroups(groups, task, how, made, Optional.of(at));
    }

    DrawnGroups toDo(String text) {
        return new DrawnGroups(groups, text, how, made, sentAt);
    }

    DrawnGroups with(Group one) {
        var all = new ArrayList<>(groups);
        all.add(one);
        return new DrawnGroups(all, task, how, made + 1, sentAt);
    }

    DrawnGroups changed(PlaceId id, UnaryOperator<Group> change) {
        return new DrawnGroups(
                groups.stream()
                        .map(one -> one.id().equals(id) ? change.apply(one) : one)
                        .toList(),
                task,
                how,
                made,
                sentAt);
    }

    DrawnGroups moved(PersonId person, Optional<PlaceId> to) {
        return new DrawnGroups(
                groups.stream()
                        .map(one -> to.filter(one.id()::equals).isPresent()
                                ? one.people().contains(person) ? one : one.with(person)
                                : one.without(person))
                        .toList(),
                task,
                how,
                made,
                sentAt);
    }
}
