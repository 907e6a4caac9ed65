package juricast.server.demo;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.grouping.Prepared;
import juricast.core.grouping.Wish;
import juricast.core.grouping.Wishes;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.server.cast.Cast;
import juricast.server.cast.Script;
import juricast.server.classes.Classes;
import juricast.server.grouping.ClassWishes;
import juricast.server.grouping.PreparedGroups;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;

/** What classes of the demo keep for making groups. */
@Component
class DemoGroups {
    private final Classes classes;
    private final ClassWishes wishes;
    private final PreparedGroups prepared;
    private final Clock clock;

    DemoGroups(Classes classes, ClassWishes wishes, PreparedGroups prepared, Clock clock) {
        this.classes = classes;
        this.wishes = wishes;
        this.prepared = prepared;
        this.clock = clock;
    }

    Wishes wishes(ClassId id) {
        return wishes.of(id);
    }

    /** Wishes, prepared groups, and levels in the class that is in groups when the demo begins. */
    void keep() {
        for (CSVRecord row : Script.read("wishes.csv")) {
            var ofClass = new ClassId(row.get("class"));
            List<PersonId> pupils = pupils(ofClass);
            Set<PersonId> people = Arrays.stream(row.get("people").split("; "))
                    .map(one -> one.matches("\\d+") ? pupils.get(Integer.parseInt(one) - 1) : Cast.idOf(one))
                    .collect(Collectors.toSet());
            wishes.add(
                    ofClass,
                    new Wish(
                            Wish.Kind.valueOf(row.get("kind")),
                            people,
                            row.get("binding").equals("yes"),
                            row.get("reason"),
                            Cast.idOf(row.get("by"))));
        }
        Script.read("prepared-groups.csv").stream()
                .collect(Collectors.groupingBy(row -> row.get("set"), LinkedHashMap::new, Collectors.toList()))
                .forEach(this::prepare);
        for (String ofClass : List.of("weather-lab-9", "tidal-navigation-8")) {
            mark(new ClassId(ofClass));
        }
    }

    private List<PersonId> pupils(ClassId id) {
        return classes.members(id, clock.instant()).stream()
                .filter(one -> one.role() == Role.PUPIL || one.role() == Role.CLASS_MONITOR)
                .map(one -> one.person())
                .toList();
    }

    private void prepare(String id, List<CSVRecord> rows) {
        CSVRecord first = rows.get(0);
        var ofClass = new ClassId(first.get("class"));
        List<PersonId> pupils = pupils(ofClass);
        var groups = new ArrayList<Prepared.Named>();
        for (CSVRecord row : rows) {
            String[] range = row.get("people").split("-");
            groups.add(new Prepared.Named(
                    row.get("group"),
                    IntStream.rangeClosed(Integer.parseInt(range[0]), Integer.parseInt(range[1]))
                            .filter(place -> place <= pupils.size())
                            .mapToObj(place -> pupils.get(place - 1))
                            .toList()));
        }
        prepared.write(
                ofClass,
                new Prepared(id, first.get("name"), first.get("task"), groups),
                classes.members(ofClass, clock.instant()).stream()
                        .filter(one -> one.role() == Role.LEAD_ADULT)
                        .findFirst()
                        .orElseThrow()
                        .person());
    }

    /** A third of the class on each level, and every sixth pupil trusted. */
    private void mark(ClassId id) {
        List<PersonId> pupils = pupils(id);
        wishes.mark(
                id,
                IntStream.range(0, pupils.size())
                        .mapToObj(place -> new ClassWishes.Mark(pupils.get(place), 1 + place % 3, place % 6 == 0))
                        .toList());
    }
}
