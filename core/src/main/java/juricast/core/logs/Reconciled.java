package juricast.core.logs;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.entry.NameMatch;
import juricast.core.entry.NameMatch.Certainty;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;

/**
 * A log held against a class list. Names are matched as at the door; only an exact match counts by itself, all others a person
 * decides.
 *
 * @param names each name of the log once, in the order in which they first appear
 */
public record Reconciled(List<Name> names) {
    /**
     * A name of the log.
     *
     * @param match who may be meant
     * @param who it is, if that is decided: nobody of the class if empty inside
     * @param rows in how many rows it stands
     * @param time its rows, united
     */
    public record Name(String name, NameMatch match, Optional<Optional<PersonId>> who, int rows, List<Span> time) {}

    public Reconciled {
        names = List.copyOf(names);
    }

    /** @param decided by name: who it is, or nobody of the class */
    public static Reconciled of(LogReading log, List<Member> list, Map<String, Optional<PersonId>> decided) {
        Map<String, List<LogReading.Row>> byName = new LinkedHashMap<>();
        log.rows().forEach(row -> byName.computeIfAbsent(row.name(), name -> new ArrayList<>())
                .add(row));
        var names = new ArrayList<Name>();
        var classList = new NameMatch.ClassList(list);
        byName.forEach((name, rows) -> {
            NameMatch match = classList.find(name);
            Optional<Optional<PersonId>> who = Optional.ofNullable(decided.get(name));
            if (who.isEmpty() && match.certainty() == Certainty.EXACT) {
                who = Optional.of(Optional.of(match.candidates().get(0).person()));
            }
            names.add(new Name(
                    name,
                    match,
                    who,
                    rows.size(),
                    Span.united(rows.stream().map(LogReading.Row::time).toList(), Duration.ZERO)));
        });
        return new Reconciled(names);
    }

    /** Names that a person has to decide. */
    public List<Name> open() {
        return names.stream().filter(one -> one.who.isEmpty()).toList();
    }

    /** Everybody's time, once nothing is open; names of nobody of the class are left out. */
    public Map<PersonId, List<Span>> stays() {
        Map<PersonId, List<Span>> stays = new LinkedHashMap<>();
        names.forEach(one -> one.who.flatMap(who -> who).ifPresent(person -> stays.computeIfAbsent(
                        person, id -> new ArrayList<>())
                .addAll(one.time)));
        stays.replaceAll((person, spans) -> Span.united(spans, Duration.ZERO));
        return stays;
    }
}
