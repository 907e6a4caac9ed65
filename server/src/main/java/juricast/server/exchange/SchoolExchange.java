package juricast.server.exchange;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.exchange.SchoolChange;
import juricast.core.exchange.SchoolFiles;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.joining.JoinWord;
import juricast.core.joining.LinkKey;
import juricast.server.access.Position;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.people.People;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Takes the files of a school, compared first and carried out as a whole. {@link SchoolSheets} writes them. */
@Component
class SchoolExchange {
    private final People people;
    private final Classes classes;
    private final Database database;
    private final School school;
    private final Clock clock;

    SchoolExchange(People people, Classes classes, Database database, School school, Clock clock) {
        this.school = school;
        this.people = people;
        this.classes = classes;
        this.database = database;
        this.clock = clock;
    }

    /** @param schools those of the files, if somebody has to say first which one is meant */
    record Compared(SchoolChange change, List<SchoolFiles.Org> schools) {}

    Compared compare(byte[] zip, Optional<String> school) {
        Instant now = clock.instant();
        Map<String, Set<String>> ofPeople = outside("PERSON");
        Map<String, Set<String>> ofClasses = outside("CLASS");
        List<SchoolChange.Known> known = new ArrayList<>();
        people.inPosition(Position.PUPIL).forEach(one -> known.add(known(one, true, ofPeople)));
        people.inPosition(Position.TEACHER).forEach(one -> known.add(known(one, false, ofPeople)));
        List<SchoolChange.KnownClass> all = classes.all().stream()
                .map(one -> {
                    List<Member> members = classes.members(one.id(), now);
                    return new SchoolChange.KnownClass(
                            one.id(),
                            one.title(),
                            ids(members, false),
                            ids(members, true),
                            ofClasses.getOrDefault(one.id().value(), Set.of()));
                })
                .toList();
        SchoolFiles files = SchoolFiles.of(SchoolZip.read(zip), this.school.date(now), school);
        return new Compared(SchoolChange.between(files, known, all), files.schools());
    }

    private Map<String, Set<String>> outside(String kind) {
        var all = new HashMap<String, Set<String>>();
        database.read()
                .sql("SELECT id, outside FROM outside_id WHERE kind = :kind")
                .param("kind", kind)
                .query(row -> {
                    all.computeIfAbsent(row.getString(1), id -> new HashSet<>()).add(row.getString(2));
                });
        return all;
    }

    private static void keep(JdbcClient sql, String kind, String outside, String id) {
        sql.sql(
                        """
                INSERT INTO outside_id (kind, outside, id) VALUES (:kind, :outside, :id)
                ON CONFLICT (kind, outside) DO UPDATE SET id = excluded.id""")
                .param("kind", kind)
                .param("outside", outside)
                .param("id", id)
                .update();
    }

    private static SchoolChange.Known known(People.Person one, boolean isPupil, Map<String, Set<String>> outside) {
        return new SchoolChange.Known(
                one.id(),
                one.name(),
                one.number(),
                one.year() == 0 ? java.util.OptionalInt.empty() : java.util.OptionalInt.of(one.year()),
                isPupil,
                outside.getOrDefault(one.id().value(), Set.of()));
    }

    private static Set<PersonId> ids(List<Member> members, boolean adults) {
        return members.stream()
                .filter(one -> one.role().isAdultInCharge() == adults)
                .map(Member::person)
                .collect(Collectors.toSet());
    }

    /** Carries it out, all of it or nothing. */
    void take(SchoolChange change) {
        Instant now = clock.instant();
        int firstLink = database.read()
                .sql("SELECT coalesce(max(link_number), 0) + 1 FROM class")
                .query(Integer.class)
                .single();
        Set<JoinWord> taken = classes.joinWords();
        database.write(sql -> {
            Map<String, PersonId> people = people(sql, change);
            change.renamed().forEach(one -> People.rename(sql, one.person(), one.to()));
            change.moved().forEach(one -> People.move(sql, one.person(), one.year()));
            change.met().forEach(one -> {
                one.person().ifPresent(id -> keep(sql, "PERSON", one.inFile(), id.value()));
                one.ofClass().ifPresent(id -> keep(sql, "CLASS", one.inFile(), id.value()));
            });
            Map<String, ClassId> groups = groups(sql, change, firstLink, taken, now);
            change.leaves().forEach(one -> Classes.part(sql, one.ofClass(), one.pupil(), now));
            for (SchoolChange.Join one : change.joins()) {
                ClassId of = one.ofClass()
                        .known()
                        .orElseGet(() -> groups.get(one.ofClass().inFile()));
                PersonId who =
                        one.who().known().orElseGet(() -> people.get(one.who().inFile()));
                Classes.join(sql, of, who, one.asPupil() ? Role.PUPIL : Role.SECOND_ADULT, now);
            }
            return null;
        });
    }

    /** Makes the classes that are new, each with its lead adult. @return their ids by those of the file */
    private static Map<String, ClassId> groups(
            JdbcClient sql, SchoolChange change, int firstLink, Set<JoinWord> taken, Instant now) {
        var words = new HashSet<>(taken);
        var made = new HashMap<String, ClassId>();
        for (SchoolChange.NewClass one : change.classes()) {
            JoinWord word = JoinWord.choose(new SecureRandom(), words);
            words.add(word);
            var id = new ClassId(Ids.next());
            Classes.insert(
                    sql,
                    new Classes.SchoolClass(
                            id,
                            one.group().title(),
                            one.group().year().orElse(0),
                            one.group().subject(),
                            new LinkKey.Link(firstLink + made.size(), 0),
                            word));
            Classes.join(sql, id, one.lead(), Role.LEAD_ADULT, now);
            keep(sql, "CLASS", one.group().id(), id.value());
            made.put(one.group().id(), id);
        }
        return made;
    }

    private static Map<String, PersonId> people(JdbcClient sql, SchoolChange change) {
        var made = new HashMap<String, PersonId>();
        for (SchoolFiles.User one : change.pupils()) {
            var id = new PersonId(Ids.next());
            People.add(
                    sql,
                    new People.Person(
                            id,
                            one.name(),
                            Position.PUPIL,
                            one.number(),
                            one.year().orElse(0),
                            ""),
                    "");
            keep(sql, "PERSON", one.id(), id.value());
            made.put(one.id(), id);
        }
        return made;
    }
}
