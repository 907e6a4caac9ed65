package juricast.core.casebook;

import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import juricast.core.identity.PersonId;

/** Finds what comes again across classes (need G5, E7). One pass over the incidents for each kind of pattern. */
public final class Patterns {
    private static final int PAIR = 2;
    private static final int AGAIN = 3;
    /** The share of one pupil's incidents that must fall into one hour. */
    private static final double MOSTLY = 0.6;
    /** Incidents further apart are no row. */
    private static final Duration ROW = Duration.ofDays(60);
    /** The share of steps above the proposed ones from which on it is told. */
    private static final double NEARLY_ALWAYS = 0.8;
    /**
     * Where steps fall at the rate of all other adults, the chance of none at all in as many lessons (exp(−rate · lessons), Poisson)
     * must be below this.
     */
    private static final double BY_CHANCE = 0.05;

    private Patterns() {}

    /**
     * @param all incidents of a time, in any order
     * @param lessons how many lessons each adult led in it
     * @param zone of the school
     */
    public static List<Pattern> of(List<CaseFacts> all, Map<PersonId, Integer> lessons, ZoneId zone) {
        List<CaseFacts> sorted =
                all.stream().sorted(Comparator.comparing(CaseFacts::moment)).toList();
        var found = new ArrayList<Pattern>();
        pairs(sorted, found);
        Map<PersonId, List<CaseFacts>> byPupil = byPupil(sorted);
        byPupil.forEach((pupil, own) -> {
            sameHour(pupil, own, zone, found);
            sameKind(pupil, own, found);
            escalation(pupil, own, found);
        });
        adults(sorted, lessons, found);
        doors(sorted, found);
        found.sort(Comparator.comparing((Pattern one) -> -one.rests().size()).thenComparing(Pattern::kind));
        return List.copyOf(found);
    }

    private record Pair(PersonId did, PersonId suffered) {}

    private static void pairs(List<CaseFacts> all, List<Pattern> found) {
        var pairs = new LinkedHashMap<Pair, List<IncidentId>>();
        for (CaseFacts one : all) {
            one.did().forEach(did -> one.suffered()
                    .forEach(suffered -> pairs.computeIfAbsent(new Pair(did, suffered), any -> new ArrayList<>())
                            .add(one.id())));
        }
        pairs.forEach((pair, rests) -> {
            if (rests.size() >= PAIR) {
                int of = (int)
                        all.stream().filter(one -> one.did().contains(pair.did)).count();
                found.add(new Pattern(Pattern.Kind.SAME_PAIR, List.of(pair.did, pair.suffered), "", rests, of));
            }
        });
    }

    private static Map<PersonId, List<CaseFacts>> byPupil(List<CaseFacts> all) {
        var byPupil = new LinkedHashMap<PersonId, List<CaseFacts>>();
        all.forEach(one -> one.did().forEach(pupil -> byPupil.computeIfAbsent(pupil, any -> new ArrayList<>())
                .add(one)));
        return byPupil;
    }

    private static void sameHour(PersonId pupil, List<CaseFacts> own, ZoneId zone, List<Pattern> found) {
        if (own.size() < AGAIN) {
            return;
        }
        Map<Integer, List<IncidentId>> hours = own.stream()
                .collect(Collectors.groupingBy(
                        one -> one.moment().atZone(zone).getHour(),
                        Collectors.mapping(CaseFacts::id, Collectors.toList())));
        hours.forEach((hour, rests) -> {
            if (rests.size() >= AGAIN && rests.size() >= MOSTLY * own.size()) {
                found.add(
                        new Pattern(Pattern.Kind.SAME_HOUR, List.of(pupil), "%02d".formatted(hour), rests, own.size()));
            }
        });
    }

    private static void sameKind(PersonId pupil, List<CaseFacts> own, List<Pattern> found) {
        own.stream()
                .collect(Collectors.groupingBy(
                        CaseFacts::act, LinkedHashMap::new, Collectors.mapping(CaseFacts::id, Collectors.toList())))
                .forEach((act, rests) -> {
                    if (rests.size() >= AGAIN) {
                        found.add(new Pattern(Pattern.Kind.SAME_KIND, List.of(pupil), act, rests, own.size()));
                    }
                });
    }

    private static void escalation(PersonId pupil, List<CaseFacts> own, List<Pattern> found) {
        var row = new ArrayList<CaseFacts>();
        for (CaseFacts one : own) {
            CaseFacts last = row.isEmpty() ? one : row.get(row.size() - 1);
            boolean goesOn = row.isEmpty()
                    || highest(one, pupil) > highest(last, pupil)
                            && !one.moment().isAfter(last.moment().plus(ROW));
            if (!goesOn) {
                tellRow(pupil, row, own.size(), found);
                row.clear();
            }
            if (highest(one, pupil) > 0) {
                row.add(one);
            }
        }
        tellRow(pupil, row, own.size(), found);
    }

    private static void tellRow(PersonId pupil, List<CaseFacts> row, int of, List<Pattern> found) {
        if (row.size() >= AGAIN) {
            found.add(new Pattern(
                    Pattern.Kind.ESCALATION,
                    List.of(pupil),
                    "",
                    row.stream().map(CaseFacts::id).toList(),
                    of));
        }
    }

    private static int highest(CaseFacts one, PersonId pupil) {
        return one.steps().stream()
                .filter(step -> step.person().equals(pupil))
                .mapToInt(CaseFacts.Met::level)
                .max()
                .orElse(0);
    }

    private static void adults(List<CaseFacts> all, Map<PersonId, Integer> lessons, List<Pattern> found) {
        var steps = new LinkedHashMap<PersonId, Integer>();
        var above = new LinkedHashMap<PersonId, List<IncidentId>>();
        for (CaseFacts one : all) {
            for (CaseFacts.Met step : one.steps()) {
                steps.merge(step.by(), 1, Integer::sum);
                if (step.level() > step.proposed()) {
                    above.computeIfAbsent(step.by(), any -> new ArrayList<>()).add(one.id());
                }
            }
        }
        above.forEach((adult, rests) -> {
            int of = steps.get(adult);
            if (rests.size() >= AGAIN && rests.size() >= NEARLY_ALWAYS * of) {
                found.add(new Pattern(Pattern.Kind.ABOVE_PROPOSED, List.of(adult), "", rests, of));
            }
        });
        int held = lessons.values().stream().mapToInt(Integer::intValue).sum();
        int taken = steps.values().stream().mapToInt(Integer::intValue).sum();
        lessons.forEach((adult, own) -> {
            int others = held - own;
            double rate = others == 0 ? 0 : (double) taken / others;
            if (!steps.containsKey(adult) && Math.exp(-rate * own) < BY_CHANCE) {
                found.add(new Pattern(Pattern.Kind.NEVER_ACTS, List.of(adult), "", List.of(), own));
            }
        });
    }

    private static void doors(List<CaseFacts> all, List<Pattern> found) {
        all.stream()
                .filter(one -> one.origin() == CaseEvent.Origin.SWEEP)
                .collect(Collectors.groupingBy(
                        CaseFacts::title, LinkedHashMap::new, Collectors.mapping(CaseFacts::id, Collectors.toList())))
                .forEach((title, rests) -> {
                    if (rests.size() >= PAIR) {
                        found.add(new Pattern(Pattern.Kind.DOOR_TO_DOOR, List.of(), title, rests, rests.size()));
                    }
                });
    }
}
