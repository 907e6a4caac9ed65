package juricast.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import juricast.core.consent.Consent;
import juricast.core.identity.PersonId;
import juricast.core.rules.Setting;
import juricast.server.access.Position;
import juricast.server.cast.Cast;
import juricast.server.cast.Script;
import juricast.server.consent.KeptConsents;
import juricast.server.people.People;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Who of the demo's pupils may be recorded: most of them. */
@Component
class DemoConsents {
    private static final Duration ADMITTED = Duration.ofDays(60);

    private final KeptConsents consents;
    private final People people;
    private final Clock clock;

    DemoConsents(KeptConsents consents, People people, Clock clock) {
        this.consents = consents;
        this.people = people;
        this.clock = clock;
    }

    /** Writes them into a new file. */
    void keep() {
        Map<String, CSVRecord> otherwise = new HashMap<>();
        Script.read("consents.csv").forEach(row -> otherwise.put(row.get("name"), row));
        Instant now = clock.instant();
        consents.note(
                people.inPosition(Position.PUPIL).stream()
                        .flatMap(pupil -> said(pupil, otherwise.get(pupil.name()), now))
                        .toList(),
                Cast.idOf("Maren Oddlund"));
    }

    private static Stream<Consent> said(People.Person pupil, @Nullable CSVRecord otherwise, Instant now) {
        Consent agreed = word(pupil.id(), Consent.Said.GIVEN, "admission form, page 3", now.minus(ADMITTED));
        if (otherwise == null) {
            return Stream.of(agreed);
        }
        if (otherwise.get("said").isEmpty()) {
            return Stream.empty();
        }
        var said = Consent.Said.valueOf(otherwise.get("said"));
        Consent word = word(
                pupil.id(),
                said,
                "letter of the family",
                now.minus(Duration.ofDays(Long.parseLong(otherwise.get("days_ago")))));
        return said == Consent.Said.WITHDRAWN ? Stream.of(agreed, word) : Stream.of(word);
    }

    private static Consent word(PersonId pupil, Consent.Said said, String paper, Instant from) {
        return new Consent(pupil, said, Consent.Giver.PARENT, paper, from, Setting.FOR_EVER, from);
    }
}
