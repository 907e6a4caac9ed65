package juricast.core.exchange;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
 * @param moved pupils whom the files have in another year
 * @param classes that are new, with the adult who leads each
 * @param joins who is new in a class
 * @param leaves pupils of a class in the files who do not stand in it there
 * @param met ids of the files that are new to the school
 * @param faults what is not taken, those of the reading too
 */
public record SchoolChange(
        List<SchoolFiles.User> pupils,
        List<Rename> renamed,
        List<Move> moved,
        List<NewClass> classes,
        List<Join> joins,
        List<Leave> leaves,
        List<Ids> met,
        List<Fault> faults) {
    /**
     * Somebody the school knows.
     *
     * @param year empty for adults
     * @param outside the ids that files taken before had for them
     */
    public record Known(
            PersonId id, String name, String number, OptionalInt year, boolean isPupil, Set<String> outside) {
        public Known(PersonId id, String name, String number, OptionalInt year, boolean isPupil) {
            this(id, name, number, year, isPupil, Set.of());
        }
    }

    /** A class the school knows, with its members. @param outside the ids that files taken before had for it */
    public record KnownClass(
            ClassId id, String title, Set<PersonId> pupils, Set<PersonId> adults, Set<String> outside) {
        public KnownClass(ClassId id, String title, Set<PersonId> pupils, Set<PersonId> adults) {
            this(id, title, pupils, adults, Set.of());
        }
    }

    /** A pupil in another year. */
    public record Move(PersonId person, String name, int year) {}

    /** What the files call somebody or a class that the school has, so that a later file knows them again. */
    public record Ids(String inFile, Optional<PersonId> person, Optional<ClassId> ofClass) {}

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
        moved = List.copyOf(moved);
        met = List.copyOf(met);
        classes = List.copyOf(classes);
        joins = List.copyOf(joins);
        leaves = List.copyOf(leaves);
        faults = List.copyOf(faults);
    }

    /** Whether nothing would be different. */
    public boolean isEmpty() {
        return pupils.isEmpty()
                && renamed.isEmpty()
                && moved.isEmpty()
                && classes.isEmpty()
                && joins.isEmpty()
                && leaves.isEmpty();
    }

    /** Compares: people by their id, here or in an earlier file, then by the school's number, then by name and year; classes by id, then by title. */
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
        private final List<Move> moved = new ArrayList<>();
        private final List<Ids> ids = new ArrayList<>();
        private final Set<String> unclearUsers = new HashSet<>();
        private final Map<String, Known> byOutside = new HashMap<>();
        private final Map<String, KnownClass> classByOutside = new HashMap<>();

        Comparing(SchoolFiles files, Collection<Known> people, Collection<KnownClass> classes) {
            this.files = files;
            faults = new ArrayList<>(files.faults());
            for (Known one : people) {
                byId.put(one.id.value(), one);
                one.outside.forEach(id -> byOutside.put(id, one));
                if (!one.number.isEmpty()) {
                    byNumber.computeIfAbsent(one.number, number -> new ArrayList<>())
                            .add(one);
                }
                byName.computeIfAbsent(key(one.name), name -> new ArrayList<>()).add(one);
            }
            for (KnownClass one : classes) {
                classById.put(one.id.value(), one);
                one.outside.forEach(id -> classByOutside.put(id, one));
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
            Map<String, List<SchoolFiles.Enrollment>> ended = new HashMap<>();
            files.ended().forEach(one -> ended.computeIfAbsent(one.ofClass(), id -> new ArrayList<>())
                    .add(one));
            for (SchoolFiles.Group group : groups(enrolled, ended)) {
                List<SchoolFiles.Enrollment> of = enrolled.getOrDefault(group.id(), List.of());
                Optional<KnownClass> known = known(group);
                known.filter(one -> !one.id.value().equals(group.id()) && !one.outside.contains(group.id()))
                        .ifPresent(one -> ids.add(new Ids(group.id(), Optional.empty(), Optional.of(one.id))));
                Optional<PersonId> lead = known.isPresent() ? Optional.empty() : lead(of);
                if (known.isEmpty() && lead.isEmpty()) {
                    faults.add(new Fault("classes.csv", 0, Problem.CLASS_WITHOUT_LEAD, group.title()));
                    continue;
                }
                lead.ifPresent(adult -> newClasses.add(new NewClass(group, adult)));
                boolean unclear = join(group, known, lead, of, joins);
                known.ifPresent(one -> leaves.addAll(
                        files.onlyChanges()
                                ? takenBack(one, ended.getOrDefault(group.id(), List.of()), of)
                                : notInFiles(one, of, unclear)));
            }
            return new SchoolChange(made, renamed, moved, newClasses, joins, leaves, ids, faults);
        }

        /** The classes of the files; in files of changes also those that only enrolments speak of. */
        private List<SchoolFiles.Group> groups(
                Map<String, List<SchoolFiles.Enrollment>> enrolled, Map<String, List<SchoolFiles.Enrollment>> ended) {
            var all = new LinkedHashMap<String, SchoolFiles.Group>();
            files.classes().forEach(one -> all.put(one.id(), one));
            if (files.onlyChanges()) {
                Stream.of(enrolled, ended)
                        .flatMap(one -> one.keySet().stream())
                        .sorted()
                        .filter(id -> !all.containsKey(id))
                        .forEach(id -> {
                            var group = new SchoolFiles.Group(id, "", OptionalInt.empty(), "");
                            Optional<KnownClass> known = known(group);
                            known.ifPresent(
                                    one -> all.put(id, new SchoolFiles.Group(id, one.title, OptionalInt.empty(), "")));
                            if (known.isEmpty()) {
                                Stream.of(enrolled, ended)
                                        .flatMap(one -> one.getOrDefault(id, List.of()).stream())
                                        .forEach(one -> faults.add(
                                                new Fault("enrollments.csv", one.line(), Problem.NO_SUCH_CLASS, id)));
                            }
                        });
            }
            return List.copyOf(all.values());
        }

        private Optional<KnownClass> known(SchoolFiles.Group group) {
            return Optional.ofNullable(classById.get(group.id()))
                    .or(() -> Optional.ofNullable(classByOutside.get(group.id())))
                    .or(() -> Optional.ofNullable(classByTitle.get(key(group.title()))));
        }

        /** Who is enrolled by another row of the same files stays: one enrolment was put in the place of another. */
        private List<Leave> takenBack(
                KnownClass known, List<SchoolFiles.Enrollment> ended, List<SchoolFiles.Enrollment> enrolled) {
            Set<PersonId> stay = known(enrolled);
            ended.stream()
                    .filter(one -> who(one.user()).isEmpty() && !unclearUsers.contains(one.user()))
                    .forEach(one ->
                            faults.add(new Fault("enrollments.csv", one.line(), Problem.NO_SUCH_USER, one.user())));
            return known(ended).stream()
                    .filter(pupil -> known.pupils.contains(pupil) && !stay.contains(pupil))
                    .map(pupil -> leave(known, pupil))
                    .sorted(Comparator.comparing(Leave::name))
                    .toList();
        }

        private Set<PersonId> known(List<SchoolFiles.Enrollment> enrolled) {
            return enrolled.stream()
                    .flatMap(one -> who(one.user()).stream())
                    .flatMap(who -> who.known.stream())
                    .collect(Collectors.toSet());
        }

        private Leave leave(KnownClass known, PersonId pupil) {
            return new Leave(
                    known.id,
                    known.title,
                    pupil,
                    Optional.ofNullable(byId.get(pupil.value()))
                            .map(Known::name)
                            .orElse(""));
        }

        /** Somebody by the id of the files: who stands in them, or, in files of changes, in one that was taken before. */
        private Optional<Who> who(String inFile) {
            return Optional.ofNullable(users.get(inFile))
                    .or(() -> files.onlyChanges()
                            ? Optional.ofNullable(byId.get(inFile))
                                    .or(() -> Optional.ofNullable(byOutside.get(inFile)))
                                    .map(one -> new Who(inFile, Optional.of(one.id), one.name))
                            : Optional.empty());
        }

        /** @return whether it is not clear of somebody in the file who they are */
        private boolean join(
                SchoolFiles.Group group,
                Optional<KnownClass> known,
                Optional<PersonId> lead,
                List<SchoolFiles.Enrollment> enrolled,
                List<Join> joins) {
            var which = new Which(group.id(), known.map(KnownClass::id), group.title());
            var seen = new HashSet<String>();
            boolean unclear = false;
            for (SchoolFiles.Enrollment one : enrolled) {
                Optional<Who> who = who(one.user());
                if (who.isEmpty()) {
                    unclear |= one.asPupil();
                    if (files.onlyChanges() && !unclearUsers.contains(one.user())) {
                        faults.add(new Fault("enrollments.csv", one.line(), Problem.NO_SUCH_USER, one.user()));
                    }
                    continue;
                }
                boolean isIn = who.get()
                        .known
                        .filter(person -> lead.equals(Optional.of(person))
                                || known.filter(of -> of.pupils.contains(person) || of.adults.contains(person))
                                        .isPresent())
                        .isPresent();
                if (!isIn && seen.add(one.user())) {
                    joins.add(new Join(which, who.get(), one.asPupil()));
                }
            }
            return unclear;
        }

        /** Nobody loses a place because the file named somebody unclearly, or because it names no pupil at all. */
        private List<Leave> notInFiles(KnownClass known, List<SchoolFiles.Enrollment> enrolled, boolean unclear) {
            if (unclear || enrolled.stream().noneMatch(SchoolFiles.Enrollment::asPupil)) {
                return List.of();
            }
            Set<PersonId> stay = known(enrolled);
            return known.pupils.stream()
                    .filter(pupil -> !stay.contains(pupil))
                    .map(pupil -> leave(known, pupil))
                    .sorted(Comparator.comparing(Leave::name))
                    .toList();
        }

        private Optional<PersonId> lead(List<SchoolFiles.Enrollment> enrolled) {
            return enrolled.stream()
                    .filter(one -> !one.asPupil())
                    .sorted(Comparator.comparing(one -> !one.primary()))
                    .flatMap(one -> who(one.user()).stream())
                    .flatMap(who -> who.known.stream())
                    .findFirst();
        }

        private void meet(SchoolFiles.User user) {
            List<Known> meant = meant(user);
            if (meant.size() > 1 || meant.size() == 1 && met.containsKey(meant.get(0).id)) {
                unclear(user, Problem.SEVERAL_OF_THAT_NAME);
            } else if (meant.size() == 1) {
                meet(user, meant.get(0));
            } else if (!user.isPupil()) {
                unclear(user, Problem.ADULT_NOT_KNOWN);
            } else if (hasNamesakeOfOtherYear(user)) {
                unclear(user, Problem.OTHER_YEAR_OF_THAT_NAME);
            } else {
                made.add(user);
                users.put(user.id(), new Who(user.id(), Optional.empty(), user.name()));
            }
        }

        private void unclear(SchoolFiles.User user, Problem problem) {
            unclearUsers.add(user.id());
            faults.add(new Fault("users.csv", 0, problem, user.name()));
        }

        private void meet(SchoolFiles.User user, Known known) {
            met.put(known.id, known);
            users.put(user.id(), new Who(user.id(), Optional.of(known.id), known.name));
            if (!known.id.value().equals(user.id()) && !known.outside.contains(user.id())) {
                ids.add(new Ids(user.id(), Optional.of(known.id), Optional.empty()));
            }
            if (known.isPupil && !known.name.equals(user.name())) {
                renamed.add(new Rename(known.id, known.name, user.name()));
            }
            if (known.isPupil && user.year().isPresent() && !user.year().equals(known.year)) {
                moved.add(new Move(known.id, user.name(), user.year().getAsInt()));
            }
        }

        /** Whether it may be somebody who moved up: without an id or a number that is not known, and is not guessed. */
        private boolean hasNamesakeOfOtherYear(SchoolFiles.User user) {
            return byName.getOrDefault(key(user.name()), List.of()).stream()
                    .filter(Known::isPupil)
                    .anyMatch(one -> (user.number().isEmpty() || one.number.isEmpty())
                            && !met.containsKey(one.id)
                            && one.outside.isEmpty());
        }

        private List<Known> meant(SchoolFiles.User user) {
            Known same = Optional.ofNullable(byId.get(user.id())).orElse(byOutside.get(user.id()));
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
