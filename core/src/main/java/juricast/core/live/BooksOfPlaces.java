package juricast.core.live;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/**
 * The rules of a lesson in each of its places. A book is taken on from the state before as long as it says the same, and places in
 * which all is alike, as groups of one size, have one book, so that it is weighed once.
 */
final class BooksOfPlaces implements LiveRules.Books {
    private final Map<PlaceId, Said> all;
    private final Said lesson;

    /** The last answer of {@link #nextEdge}: every piece of a view asks, and between two edges it is the same. */
    private volatile Edge edge = new Edge(Instant.MAX, Instant.MAX);

    private record Edge(Instant asOf, Instant next) {}

    /** A book, and by what it was made. */
    private record Said(PlannedRules planned, List<Setting> ordered, Situation situation, Rulebook book) {
        private boolean is(PlannedRules otherPlan, List<Setting> otherOrdered, Situation other) {
            return (ordered == otherOrdered || ordered.equals(otherOrdered))
                    && situation.equals(other)
                    && planned.equals(otherPlan);
        }
    }

    /** @param before those of an earlier state; nothing where there was none */
    BooksOfPlaces(LessonState state, PlannedRules planned, BooksOfPlaces before) {
        var known = new ArrayList<Said>(before == null ? List.of() : before.all.values());
        if (before != null) {
            known.add(before.lesson);
        }
        lesson = said(state, planned, PlaceId.LESSON, known);
        var places = new LinkedHashMap<PlaceId, Said>();
        for (PlaceId place : state.where().places()) {
            places.put(place, said(state, planned, place, known));
        }
        all = places;
    }

    private static Said said(LessonState state, PlannedRules planned, PlaceId in, List<Said> known) {
        List<Setting> ordered = state.ordered(in);
        Situation now = state.situation(in, planned.situation());
        Optional<Said> same =
                known.stream().filter(one -> one.is(planned, ordered, now)).findFirst();
        Said said = same.orElseGet(() -> new Said(planned, ordered, now, planned.with(ordered, now)));
        if (same.isEmpty()) {
            known.add(said);
        }
        return said;
    }

    Rulebook of(PlaceId place) {
        return all.getOrDefault(place, lesson).book;
    }

    @Override
    public Rulebook lesson() {
        return lesson.book;
    }

    @Override
    public List<Rulebook> ofPlaces() {
        return all.values().stream().map(Said::book).distinct().toList();
    }

    @Override
    public Instant nextEdge(Instant now) {
        Edge last = edge;
        if (now.isBefore(last.asOf) || !now.isBefore(last.next)) {
            last = new Edge(now, LiveRules.Books.super.nextEdge(now));
            edge = last;
        }
        return last.next;
    }

    /** The first of the places that have the same book as one. */
    PlaceId firstAlike(PlaceId place) {
        Rulebook book = of(place);
        for (Map.Entry<PlaceId, Said> one : all.entrySet()) {
            if (one.getValue().book == book) {
                return one.getKey();
            }
        }
        return place;
    }

    /** Whether each place has the very book it had. */
    boolean isSame(BooksOfPlaces other) {
        return lesson.book == other.lesson.book
                && all.keySet().equals(other.all.keySet())
                && all.entrySet().stream()
                        .allMatch(
                                one -> one.getValue().book == Objects.requireNonNull(other.all.get(one.getKey())).book);
    }
}
