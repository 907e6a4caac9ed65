package juricast.core.exchange;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import juricast.core.exchange.SchoolFiles.Fault;
import juricast.core.exchange.SchoolFiles.Problem;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;

/**
 * What taking the files of a school would change: shown first, then carried out exactly so. Pupils are made and leave classes;
 * adults are never made from a file, because an account with an adult's rights is the safeguarding lead's to give.
 *
 * @param pupils who are new to the school, by the id they have in the file
 * @param classes that are new, with the adult who leads each
 * @param joins who is new in a class
 * @param leaves pupils of a class in the files who do not stand in it there
 * @param faults what is not taken, those of the reading too
 */
public record SchoolChange(
        List<SchoolFiles.User> pupils,
        List<Rename> renamed,
        List<NewClass> classes,
        List<Join> joins,
        List<Leave> leaves,
        List<Fault> faults) {
    /** Somebody the school knows. @param year empty for adults */
    public record Known(PersonId id, String name, String number, OptionalInt year, boolean isPupil) {}

    /** A class the school knows, with its members. */
    public record KnownClass(ClassId id, String title, Set<PersonId> pupils, Set<PersonId> adults) {}

    /** Somebody by the name in the file, for someone who is not known yet, or by who they are. */
    public record Who(String inFile, Optional<PersonId> known, String name) {}

    /** A class by its id in the file, or by which one it is. */
    public record Which(String inFile, Optional<ClassId> known, String title) {}

    public record Rename(PersonId person, String from, String to) {}

    public record NewClass(SchoolFiles.Group group, PersonId lead) {}

    public record Join(Which ofClass, Who who, boolean asPupil) {}

    public record Leave(ClassId ofClass, String title, PersonId pupil, String name) {}

    public SchoolChange {
        pupils = List.copyOf(pupils);
        renamed = List.copyOf(renamed);
        classes = List.copyOf(classes);
        joins = List.copyOf(joins);
        leaves = List.copyOf(leaves);
        faults = List.copyOf(faults);
    }

    /** Whether nothing would be different. */
    public boolean isEmpty() {
        return pupils.isEmpty() && renamed.isEmpty() && classes.isEmpty() && joins.isEmpty() && leaves.isEmpty();
    }

    /** Compares: people by their id, then by the school's number, then by name and year; classes by id, then by title. */
    public static SchoolChange between(SchoolFiles files, Collection<Known> people, Collection<KnownClass> classes) {
        return new Comparing(files, people, classes).change();
    }

    private static final class Comparing {
        private final SchoolFiles files;
        private final Map<String, Known> byId = new HashMap<>();
        private final Map<String, List<Known>> byNumber = new HashMap<>();
        private final Map<String, List<Known>> byName = new HashMap<>();
        private final Map<String, KnownClass> classById = new HashMap<>();
        private final Map<String, KnownClass> classByTitle = new HashMap<>();
        private final List<Fault> faults;
        private final Map<String, Who> users = new LinkedHashMap<>();
        private final Map<PersonId, Known> met = new HashMap<>();
        private final List<SchoolFiles.User> made = new ArrayList<>();
        private final List<Rename> renamed = new ArrayList<>();

        Comparing(SchoolFiles files, Collection<Known> people, Collection<KnownClass> classes) {
            this.files = files;
            faults = new ArrayList<>(files.faults());
            for (Known one : people) {
                byId.put(one.id.value(), one);
                if (!one.number.isEmpty()) {
                    byNumber.computeIfAbsent(one.number, number -> new ArrayList<>())
                            .add(one);
                }
                byName.computeIfAbsent(key(one.name), name -> new ArrayList<>()).add(one);
            }
            for (KnownClass one : classes) {
                classById.put(one.id.value(), one);
                classByTitle.put(key(one.title), one);
            }
        }

        SchoolChange change() {
            files.users().forEach(this::meet);
            var newClasses = new ArrayList<NewClass>();
            var joins = new ArrayList<Join>();
            var leaves = new ArrayList<Leave>();
            Map<String, List<SchoolFiles.Enrollment>> enrolled = new HashMap<>();
            files.enrollments().forEach(one -> enrolled.computeIfAbsent(one.ofClass(), id -> new ArrayList<>())
                    .add(one));
            for (SchoolFiles.Group group : files.classes()) {
                List<SchoolFiles.Enrollment> of = enrolled.getOrDefault(group.id(), List.of());
                Optional<KnownClass> known = Optional.ofNullable(classById.get(group.id()))
                        .or(() -> Optional.ofNullable(classByTitle.get(key(group.title()))));
                Optional<PersonId> lead = known.isPresent() ? Optional.empty() : lead(of);
                if (known.isEmpty() && lead.isEmpty()) {
                    faults.add(new Fault("classes.csv", 0, Problem.CLASS_WITHOUT_LEAD, group.title()));
                    continue;
                }
                lead.ifPresent(adult -> newClasses.add(new NewClass(group, adult)));
                compare(group, known, lead, of, joins, leaves);
            }
            return new SchoolChange(made, renamed, newClasses, joins, leaves, faults);
        }

        private void compare(
                SchoolFiles.Group group,
                Optional<KnownClass> known,
                Optional<PersonId> lead,
                List<SchoolFiles.Enrollment> enrolled,
                List<Join> joins,
                List<Leave> leaves) {
            var which = new Which(group.id(), known.map(KnownClass::id), group.title());
            var stay = new HashSet<PersonId>();
            var seen = new HashSet<String>();
            boolean unclear = false;
            for (SchoolFiles.Enrollment one : enrolled) {
                Who who = users.get(one.user());
                if (who == null) {
                    unclear |= one.asPupil();
                    continue;
                }
                who.known.ifPresent(stay::add);
                boolean isIn = who.known
                        .filter(person -> lead.equals(Optional.of(person))
                                || known.filter(of -> of.pupils.contains(person) || of.adults.contains(person))
                                        .isPresent())
                        .isPresent();
                if (!isIn && seen.add(one.user())) {
                    joins.add(new Join(which, who, one.asPupil()));
                }
            }
            // Nobody loses a place because the file named somebody unclearly, or because it names no pupil at all.
            boolean names = enrolled.stream().anyMatch(SchoolFiles.Enrollment::asPupil);
            if (known.isPresent() && names && !unclear) {
                known.get().pupils.stream()
                        .filter(pupil -> !stay.contains(pupil))
                        .map(pupil -> new Leave(
                                known.get().id,
                                known.get().title,
                                pupil,
                                Optional.ofNullable(byId.get(pupil.value()))
                                        .map(Known::name)
                                        .orElse("")))
                        .sorted(java.util.Comparator.comparing(Leave::name))
                        .forEach(leaves::add);
            }
        }

        private Optional<PersonId> lead(List<SchoolFiles.Enrollment> enrolled) {
            return enrolled.stream()
                    .filter(one -> !one.asPupil())
                    .sorted(java.util.Comparator.comparing(one -> !one.primary()))
                    .map(one -> users.get(one.user()))
                    .filter(who -> who != null)
                    .flatMap(who -> who.known.stream())
                    .findFirst();
        }

        private void meet(SchoolFiles.User user) {
            List<Known> meant = meant(user);
            if (meant.size() > 1 || meant.size() == 1 && met.containsKey(meant.get(0).id)) {
                faults.add(new Fault("users.csv", 0, Problem.SEVERAL_OF_THAT_NAME, user.name()));
            } else if (meant.size() == 1) {
                Known known = meant.get(0);
                met.put(known.id, known);
                users.put(user.id(), new Who(user.id(), Optional.of(known.id), known.name));
                if (known.isPupil && !known.name.equals(user.name())) {
                    renamed.add(new Rename(known.id, known.name, user.name()));
                }
            } else if (user.isPupil()) {
                made.add(user);
                users.put(user.id(), new Who(user.id(), Optional.empty(), user.name()));
            } else {
                faults.add(new Fault("users.csv", 0, Problem.ADULT_NOT_KNOWN, user.name()));
            }
        }

        private List<Known> meant(SchoolFiles.User user) {
            Known same = byId.get(user.id());
            if (same != null && same.isPupil == user.isPupil()) {
                return List.of(same);
            }
            List<Known> numbered = user.number().isEmpty()
                    ? List.of()
                    : byNumber.getOrDefault(user.number(), List.of()).stream()
                            .filter(one -> one.isPupil == user.isPupil())
                            .toList();
            if (!numbered.isEmpty()) {
                return numbered;
            }
            return byName.getOrDefault(key(user.name()), List.of()).stream()
                    .filter(one -> one.isPupil == user.isPupil())
                    .filter(one -> user.number().isEmpty() || one.number.isEmpty())
                    .filter(one -> user.year().isEmpty() || one.year.isEmpty() || one.year.equals(user.year()))
                    .toList();
        }

        private static String key(String name) {
            return PlainName.of(name).toLowerCase(Locale.ROOT);
        }
    }
}
