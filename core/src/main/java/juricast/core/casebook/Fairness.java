package juricast.core.casebook;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;

/**
 * Whether like acts are met alike (need G6): for one kind of act the steps that were taken, by class, year or adult, and pairs of
 * incidents that were alike and met differently. A number never accuses: it says where to look.
 *
 * @param act the kind of act
 * @param outside how often it ended outside the lesson, over all
 * @param levels how often each step was taken, over all
 */
public record Fairness(
        String act, Share outside, Map<Integer, Integer> levels, List<Group> groups, List<Unlike> unlike) {
    /** By what steps are told apart. */
    public enum By {
        CLASS,
        YEAR,
        ADULT
    }

    /**
     * One class, year or adult.
     *
     * @param name the title of the class, the number of the year, or the id of the adult
     * @param levels how often each step was taken
     * @param isApart whether the share over all lies where this one hardly can
     */
    public record Group(String name, Share outside, Map<Integer, Integer> levels, boolean isApart) {
        public boolean isFew() {
            return outside.of() < Pattern.FEW;
        }
    }

    /**
     * One step against one pupil.
     *
     * @param incident to which it belongs; nothing where it opened none
     * @param ofClass the title of the class
     * @param year of the class, 0 for none
     * @param act the kind of act
     * @param level which step was taken, from 1
     * @param proposed which was proposed
     * @param outside whether it put the pupil out of the lesson
     */
    public record Step(
            Optional<IncidentId> incident,
            LessonId lesson,
            String ofClass,
            int year,
            String act,
            PersonId person,
            int level,
            int proposed,
            boolean outside,
            PersonId by,
            Instant at) {
        private String name(By told) {
            return switch (told) {
                case CLASS -> ofClass;
                case YEAR -> year == 0 ? "" : String.valueOf(year);
                case ADULT -> by.value();
            };
        }
    }

    /** Two that were alike: the same kind of act, the same step proposed, not long apart. @param mild the one met by the lower step */
    public record Unlike(Step mild, Step hard, int proposed) {}

    private static final Duration NOT_LONG = Duration.ofDays(90);
    /** So many steps apart is met differently. */
    private static final int DIFFERENTLY = 2;

    private static final int MOST_PAIRS = 20;

    public Fairness {
        levels = Map.copyOf(levels);
        groups = List.copyOf(groups);
        unlike = List.copyOf(unlike);
    }

    /** For each kind of act that was met at all, the most frequent first. @param all steps that count, of a time */
    public static List<Fairness> of(List<Step> all, By by) {
        var byAct = new LinkedHashMap<String, List<Step>>();
        all.forEach(
                one -> byAct.computeIfAbsent(one.act, any -> new ArrayList<>()).add(one));
        return byAct.entrySet().stream()
                .map(one -> of(one.getKey(), one.getValue(), by))
                .sorted(Comparator.comparing((Fairness one) -> -one.outside.of()))
                .toList();
    }

    private static Fairness of(String act, List<Step> steps, By by) {
        Share all = outside(steps);
        var groups = new TreeMap<String, List<Step>>();
        steps.forEach(one ->
                groups.computeIfAbsent(one.name(by), any -> new ArrayList<>()).add(one));
        return new Fairness(
                act,
                all,
                levels(steps),
                groups.entrySet().stream()
                        .map(one -> group(one.getKey(), one.getValue(), steps))
                        .sorted(Comparator.comparing((Group one) -> -one.outside.of()))
                        .toList(),
                unlike(steps));
    }

    /** A group is compared with all others, not with a sum it is part of. */
    private static Group group(String name, List<Step> own, List<Step> all) {
        Share share = outside(own);
        int others = all.size() - own.size();
        int outside = (int) all.stream().filter(one -> one.outside).count() - share.count();
        boolean isApart = others > 0 && own.size() >= 3 && share.isApartFrom((double) outside / others);
        return new Group(name, share, levels(own), isApart);
    }

    private static Share outside(List<Step> steps) {
        return Share.of((int) steps.stream().filter(one -> one.outside).count(), steps.size());
    }

    private static Map<Integer, Integer> levels(List<Step> steps) {
        var levels = new TreeMap<Integer, Integer>();
        steps.forEach(one -> levels.merge(one.level, 1, Integer::sum));
        return levels;
    }

    /** Within each step that was proposed: sorted by time, and each looked at with those not long after it. */
    private static List<Unlike> unlike(List<Step> steps) {
        Function<Step, Integer> proposed = one -> one.proposed;
        var byProposed = new TreeMap<Integer, List<Step>>();
        steps.forEach(one -> byProposed
                .computeIfAbsent(proposed.apply(one), any -> new ArrayList<>())
                .add(one));
        var pairs = new ArrayList<Unlike>();
        byProposed.forEach((level, alike) -> {
            alike.sort(Comparator.comparing(one -> one.at));
            for (int i = 0; i < alike.size(); i++) {
                Step one = alike.get(i);
                for (int j = i + 1;
                        j < alike.size()
                                && !alike.get(j).at.isAfter(one.at.plus(NOT_LONG))
                                && pairs.size() < MOST_PAIRS * 50;
                        j++) {
                    pair(one, alike.get(j), level).ifPresent(pairs::add);
                }
            }
        });
        return pairs.stream()
                .sorted(Comparator.comparing((Unlike one) -> one.mild.level - one.hard.level)
                        .thenComparing(one -> one.hard.at, Comparator.reverseOrder()))
                .limit(MOST_PAIRS)
                .toList();
    }

    private static Optional<Unlike> pair(Step a, Step b, int proposed) {
        Step mild = a.level <= b.level ? a : b;
        Step hard = mild == a ? b : a;
        return hard.level - mild.level >= DIFFERENTLY && !mild.person.equals(hard.person)
                ? Optional.of(new Unlike(mild, hard, proposed))
                : Optional.empty();
    }
}
