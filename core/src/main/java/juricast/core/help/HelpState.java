package juricast.core.help;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Copies;
import juricast.core.live.Visit;
import juricast.core.live.WhoIsThere;

/**
 * A help hour as it stands.
 *
 * @param begun nothing as long as it is none
 * @param in pupils and visitors who are in, and since when
 * @param been how long those who came and went were in, all their stays together
 * @param turns how many stays have ended
 * @param hadAdult whether an adult was in it at any time
 * @param noAdultSince since when no adult is heard of in it
 * @param oneSince since when one pupil alone is in
 */
public record HelpState(
        Optional<HelpEvent.Begun> begun,
        Map<PersonId, Instant> in,
        Map<PersonId, Duration> been,
        int turns,
        boolean hadAdult,
        Optional<Instant> noAdultSince,
        Optional<Instant> oneSince) {
    static final HelpState NEW =
            new HelpState(Optional.empty(), Map.of(), Map.of(), 0, false, Optional.empty(), Optional.empty());

    public boolean isOn() {
        return begun.isPresent();
    }

    /** How many have come to it, whether they are still in or not. */
    public int came() {
        return (int) java.util.stream.Stream.concat(in.keySet().stream(), been.keySet().stream())
                .distinct()
                .count();
    }

    HelpState begun(HelpEvent.Begun event) {
        return new HelpState(Optional.of(event), in, been, turns, hadAdult, noAdultSince, oneSince);
    }

    /** The same with who is there now. */
    HelpState counted(WhoIsThere there, Instant at) {
        if (!isOn() || there.isOver()) {
            return this;
        }
        var now = new LinkedHashMap<PersonId, Instant>();
        boolean adult = false;
        for (Visit visit : there.visits()) {
            if (visit.isPresent() && visit.role().isAdultInCharge()) {
                adult = true;
            } else if (visit.isPresent() && visit.role() != Role.OBSERVER) {
                PersonId person = visit.person().orElseThrow();
                now.put(person, in.getOrDefault(person, at));
            }
        }
        Map<PersonId, Duration> stayed = been;
        int ended = turns;
        for (Map.Entry<PersonId, Instant> one : in.entrySet()) {
            if (!now.containsKey(one.getKey())) {
                Duration stay = Duration.between(one.getValue(), at);
                stayed = Copies.with(
                        stayed,
                        one.getKey(),
                        stayed.getOrDefault(one.getKey(), Duration.ZERO).plus(stay));
                ended++;
            }
        }
        Optional<Instant> none = adult ? Optional.empty() : noAdultSince.or(() -> Optional.of(at));
        Optional<Instant> one = now.size() == 1 ? oneSince.or(() -> Optional.of(at)) : Optional.empty();
        boolean isSame =
                now.equals(in) && (hadAdult || adult) == hadAdult && none.equals(noAdultSince) && one.equals(oneSince);
        return isSame ? this : new HelpState(begun, Map.copyOf(now), stayed, ended, hadAdult || adult, none, one);
    }
}
