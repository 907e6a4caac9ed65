package juricast.core.door;

import java.util.Optional;
import juricast.core.identity.Role;
import juricast.core.live.Decision;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;

/** A last word with one pupil, after everybody else was dismissed (need K3). */
public final class LastWord {
    private LastWord() {}

    /** Refuses a room in which one adult is alone with one pupil and nothing records, where the rule forbids it. */
    public static Optional<Decision> aloneWithOne(Room room) {
        var ruling = room.rules().ruling(Catalogue.NEVER_ALONE_WITH_ONE, Rule.ANSWERS, room.now());
        long adults = room.there().visits().stream()
                .filter(visit -> visit.isPresent() && (visit.role().isAdultInCharge() || visit.role() == Role.OBSERVER))
                .map(Visit::person)
                .distinct()
                .count();
        boolean isSeen = adults >= 2 || room.rules().situation().is(Fact.RECORDING);
        return isSeen || ruling.value() == YesNo.NO
                ? Optional.empty()
                : Optional.of(Refusal.by(DoorRefusal.ALONE_WITH_ONE, ruling));
    }
}
