package juricast.core.drawing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;

/**
 * Marks on one sheet, what changed when, so that only what is new need travel, and what each author can undo. Whoever wipes marks of
 * another takes them out of that author's hands: they cannot be brought back by undoing.
 *
 * @param marks what is on it, by number
 * @param changes everything that ever came or went, by the number of its event
 * @param acts what each author did and could undo, oldest first
 */
public record Sheet(List<Mark> marks, List<Change> changes, Map<PersonId, List<Act>> acts) {
    public static final Sheet EMPTY = new Sheet(List.of(), List.of(), Map.of());
    /** How many of one author's acts can be undone. */
    private static final int UNDONE = 100;

    /** @param number of the event @param came marks that are on the sheet since @param gone numbers of those that are not any more */
    public record Change(int number, List<Mark> came, List<Integer> gone) {}

    /** What one author did at once. */
    record Act(List<Mark> came, List<Mark> gone) {}

    /** The number of the last change; 0 for a sheet on which nothing ever was. */
    public int changed() {
        return changes.isEmpty() ? 0 : changes.get(changes.size() - 1).number();
    }

    /** What changed after a number. */
    public List<Change> after(int number) {
        int from = changes.size();
        while (from > 0 && changes.get(from - 1).number() > number) {
            from--;
        }
        return changes.subList(from, changes.size());
    }

    public Sheet drawn(int number, PersonId author, Drawing drawing) {
        var mark = new Mark(number, author, drawing);
        return change(number, List.of(mark), List.of(), remember(author, new Act(List.of(mark), List.of())));
    }

    /** Marks that were made elsewhere, as of an earlier board. */
    public Sheet brought(int number, List<Mark> these) {
        return change(number, these, List.of(), acts);
    }

    /** Marks are taken off by somebody. @return the same where none of them is there */
    public Sheet erased(int number, PersonId by, Predicate<Mark> which) {
        List<Mark> gone = marks.stream().filter(which).toList();
        if (gone.isEmpty()) {
            return this;
        }
        Set<PersonId> others = gone.stream()
                .map(Mark::author)
                .filter(author -> !author.equals(by))
                .collect(Collectors.toSet());
        return change(number, List.of(), gone, Copies.without(remember(by, new Act(List.of(), gone)), others));
    }

    /** What this author would undo next, if anything. */
    public Optional<Change> undoes(PersonId author, int number) {
        Set<Integer> there = numbers(marks);
        return latest(author, there).map(act -> undone(act, there, number));
    }

    public Sheet undone(int number, PersonId author) {
        Set<Integer> there = numbers(marks);
        Optional<Act> act = latest(author, there);
        if (act.isEmpty()) {
            return this;
        }
        List<Act> mine = acts.get(author);
        Map<PersonId, List<Act>> left =
                Copies.with(acts, author, List.copyOf(mine.subList(0, mine.lastIndexOf(act.get()))));
        Change change = undone(act.get(), there, number);
        return change(
                number,
                change.came,
                act.get().came.stream()
                        .filter(mark -> there.contains(mark.number()))
                        .toList(),
                left);
    }

    /** The last that would still change something. */
    private Optional<Act> latest(PersonId author, Set<Integer> there) {
        List<Act> mine = acts.getOrDefault(author, List.of());
        return Stream.iterate(mine.size() - 1, i -> i >= 0, i -> i - 1)
                .map(mine::get)
                .filter(act -> act.came.stream().anyMatch(mark -> there.contains(mark.number()))
                        || act.gone.stream().anyMatch(mark -> !there.contains(mark.number())))
                .findFirst();
    }

    private static Change undone(Act act, Set<Integer> there, int number) {
        return new Change(
                number,
                act.gone.stream().filter(mark -> !there.contains(mark.number())).toList(),
                act.came.stream().map(Mark::number).filter(there::contains).toList());
    }

    private static Set<Integer> numbers(Collection<Mark> of) {
        return of.stream().map(Mark::number).collect(Collectors.toCollection(HashSet::new));
    }

    private Map<PersonId, List<Act>> remember(PersonId author, Act act) {
        var mine = new ArrayList<>(acts.getOrDefault(author, List.of()));
        mine.add(act);
        if (mine.size() > UNDONE) {
            mine.remove(0);
        }
        var next = new LinkedHashMap<>(acts);
        next.put(author, List.copyOf(mine));
        return next;
    }

    private Sheet change(int number, List<Mark> came, List<Mark> gone, Map<PersonId, List<Act>> next) {
        Set<Integer> away = numbers(gone);
        var now = new ArrayList<>(marks);
        now.removeIf(mark -> away.contains(mark.number()));
        boolean isLast = marks.isEmpty()
                || came.stream()
                        .allMatch(mark ->
                                mark.number() > marks.get(marks.size() - 1).number());
        now.addAll(came);
        if (!isLast) {
            now.sort(Comparator.comparingInt(Mark::number));
        }
        return new Sheet(List.copyOf(now), Copies.plus(changes, new Change(number, came, List.copyOf(away))), next);
    }
}
