package juricast.server.exchange;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
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
import juricast.server.people.People;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Takes the files of a school, compared first and carried out as a whole. {@link SchoolSheets} writes them. */
@Component
class SchoolExchange {
    private final People people;
    private final Classes classes;
    private final Database database;
    private final Clock clock;

    SchoolExchange(People people, Classes classes, Database database, Clock clock) {
        this.people = people;
        this.classes = classes;
        this.database = database;
        this.clock = clock;
    }

    SchoolChange compare(byte[] zip) {
        Instant now = clock.instant();
        List<SchoolChange.Known> known = new ArrayList<>();
        people.inPosition(Position.PUPIL).forEach(one -> known.add(known(one, true)));
        people.inPosition(Position.TEACHER).forEach(one -> known.add(known(one, false)));
        List<SchoolChange.KnownClass> all = classes.all().stream()
                .map(one -> {
                    List<Member> members = classes.members(one.id(), now);
                    return new SchoolChange.KnownClass(one.id(), one.title(), ids(members, false), ids(members, true));
                })
                .toList();
        return SchoolChange.between(SchoolFiles.of(SchoolZip.read(zip)), known, all);
    }

    private static SchoolChange.Known known(People.Person one, boolean isPupil) {
        return new SchoolChange.Known(
                one.id(),
                one.name(),
                one.number(),
                one.year() == 0 ? java.util.OptionalInt.empty() : java.util.OptionalInt.of(one.year()),
                isPupil);
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
            made.put(one.id(), id);
        }
        return made;
    }
}
