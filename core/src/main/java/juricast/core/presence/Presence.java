package juricast.core.presence;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.door.DoorEvent;
import juricast.core.entry.Outcome;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonEvent;
import juricast.core.time.Span;

/** Reads a lesson's events once, in order, and gathers everybody's stays and waits. */
public final class Presence {
    private Presence() {}

    /** The attendance of everyone who ever was in, as known at {@code now}: open stays and waits end there. */
    public static Map<PersonId, Attendance> of(List<LessonEvent> events, Instant now) {
        var reader = new Reader();
        LessonEvent.of(events, DoorEvent.Visiting.class).forEach(event -> event.visiting(reader));
        reader.everythingEnds(now);
        return reader.attendances();
    }

    private static final class Reader implements DoorEvent.Visits<Void> {
        private final Map<VisitId, Instant> knocks = new HashMap<>();
        private final Map<VisitId, Instant> waitingSince = new LinkedHashMap<>();
        private final Map<VisitId, Instant> inSince = new LinkedHashMap<>();
        private final Map<VisitId, PersonId> people = new HashMap<>();
        private final Map<PersonId, List<Span>> stays = new LinkedHashMap<>();
        private final Map<PersonId, List<Span>> waits = new HashMap<>();
        private final Map<PersonId, Instant> came = new HashMap<>();
        private final Set<VisitId> entered = new HashSet<>();
        /** Whose line is lost: let in meanwhile, they are there from when they are heard again. */
        private final Set<VisitId> silent = new HashSet<>();

        @Override
        public Void knocked(DoorEvent.Knocked event) {
            VisitId visit = event.arrival().visit();
            knocks.put(visit, event.at());
            if (event.verdict().outcome() != Outcome.TURN_AWAY) {
                waitingSince.put(visit, event.at());
            }
            event.person().ifPresent(person -> people.put(visit, person));
            return null;
        }

        @Override
        public Void adultJoined(DoorEvent.AdultJoined event) {
            knocks.put(event.visit(), event.at());
            isIn(event.visit(), event.person(), event.at());
            return null;
        }

        @Override
        public Void admitted(DoorEvent.Admitted event) {
            people.put(event.visit(), event.person());
            waitEnds(event.visit(), event.at(), true);
            isIn(event.visit(), event.person(), event.at());
            return null;
        }

        @Override
        public Void turnedAway(DoorEvent.TurnedAway event) {
            waitEnds(event.visit(), event.at(), false);
            return null;
        }

        @Override
        public Void left(DoorEvent.Left event) {
            return ended(event.visit(), event.at());
        }

        @Override
        public Void takenOff(DoorEvent.TakenOff event) {
            return ended(event.visit(), event.at());
        }

        private Void ended(VisitId visit, Instant at) {
            stayEnds(visit, at);
            waitEnds(visit, at, false);
            entered.remove(visit);
            return null;
        }

        @Override
        public Void connectionLost(DoorEvent.ConnectionLost event) {
            silent.add(event.visit());
            stayEnds(event.visit(), event.at());
            return null;
        }

        @Override
        public Void cameBack(DoorEvent.CameBack event) {
            silent.remove(event.visit());
            if (entered.contains(event.visit())) {
                inSince.put(event.visit(), event.at());
            }
            return null;
        }

        @Override
        public Void removed(DoorEvent.Removed event) {
            return putOut(event.person(), event.at());
        }

        private Void putOut(PersonId person, Instant at) {
            for (VisitId visit : List.copyOf(entered)) {
                if (person.equals(people.get(visit))) {
                    stayEnds(visit, at);
                    entered.remove(visit);
                }
            }
            return null;
        }

        @Override
        public Void sentToDoor(DoorEvent.SentToDoor event) {
            return putOut(event.person(), event.at());
        }

        @Override
        public Void keptBack(DoorEvent.KeptBack event) {
            for (VisitId visit : event.gone()) {
                stayEnds(visit, event.at());
                waitEnds(visit, event.at(), people.containsKey(visit));
                entered.remove(visit);
            }
            return null;
        }

        @Override
        public Void dismissed(DoorEvent.Dismissed event) {
            everythingEnds(event.at());
            entered.clear();
            return null;
        }

        @Override
        public Void judged(DoorEvent.Judged event) {
            if (event.verdict().outcome() == Outcome.TURN_AWAY) {
                waitEnds(event.visit(), event.at(), false);
            }
            return null;
        }

        private void isIn(VisitId visit, PersonId person, Instant at) {
            people.put(visit, person);
            entered.add(visit);
            if (!silent.contains(visit)) {
                inSince.put(visit, at);
            }
            came.merge(person, knocks.getOrDefault(visit, at), (a, b) -> a.isBefore(b) ? a : b);
        }

        private void stayEnds(VisitId visit, Instant at) {
            Instant from = inSince.remove(visit);
            if (from != null) {
                keep(stays, people.get(visit), from, at);
            }
        }

        private void waitEnds(VisitId visit, Instant at, boolean inside) {
            Instant from = waitingSince.remove(visit);
            if (from != null && inside) {
                keep(waits, people.get(visit), from, at);
            }
        }

        private void everythingEnds(Instant at) {
            for (VisitId visit : List.copyOf(inSince.keySet())) {
                stayEnds(visit, at);
            }
            for (VisitId visit : List.copyOf(waitingSince.keySet())) {
                waitEnds(visit, at, people.containsKey(visit));
            }
        }

        private Map<PersonId, Attendance> attendances() {
            var all = new LinkedHashMap<PersonId, Attendance>();
            var everyone = new LinkedHashSet<>(stays.keySet());
            everyone.addAll(came.keySet());
            everyone.addAll(waits.keySet());
            for (PersonId person : everyone) {
                all.put(
                        person,
                        new Attendance(
                                person,
                                stays.getOrDefault(person, List.of()),
                                waits.getOrDefault(person, List.of()),
                                Optional.ofNullable(came.get(person))));
            }
            return all;
        }

        private static void keep(Map<PersonId, List<Span>> where, PersonId person, Instant from, Instant until) {
            Span.between(from, until).ifPresent(span -> where.computeIfAbsent(person, one -> new ArrayList<>())
                    .add(span));
        }
    }
}
