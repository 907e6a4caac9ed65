package juricast.core.recording;

import java.util.List;
import java.util.function.BiPredicate;
import java.util.stream.Stream;
import juricast.core.consent.Standing;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsPart;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Choice;

/** Who of those in a room may be recorded, and what the rule makes of it for each who may not (need I3). */
public record WhoMay(Room room) {
    /** What becomes of a person without consent, strictest first: the values of the rule, by its own names. */
    public enum Without {
        /** Nothing is recorded while they are here. */
        NO_RECORDING("no-recording"),
        /** Their voice and camera are closed while something is recorded. */
        CLOSED("closed-while-recording"),
        /** The recording waits while they speak or are seen. */
        WAITS("paused-while-they-speak"),
        /** Nobody is asked. */
        NOT_ASKED("not-asked");

        private final String text;

        Without(String text) {
            this.text = text;
        }

        public static Without of(Choice value) {
            return Stream.of(values())
                    .filter(one -> one.text.equals(value.text()))
                    .findFirst()
                    .orElse(CLOSED);
        }
    }

    /** How it stands with a person's consent now. */
    public Standing standing(PersonId person) {
        return room.plan().consents().of(person, room.now());
    }

    /** Those here of whom the rule wants something because they may not be recorded, in the order in which they came. */
    public List<PersonId> here(Without what) {
        return here((person, role) -> without(person, role) == what);
    }

    /** Those of {@link Without#WAITS} who are heard or seen at this moment. */
    public List<PersonId> speaking() {
        return here(Without.WAITS).stream()
                .filter(person -> room.of(RightsPart.RIGHTS).on(person).stream().anyMatch(WhoMay::isOfThem))
                .toList();
    }

    private static boolean isOfThem(Appliance what) {
        return what == Appliance.MICROPHONE || what == Appliance.CAMERA;
    }

    private List<PersonId> here(BiPredicate<PersonId, Role> which) {
        return room.there().visits().stream()
                .filter(Visit::isPresent)
                .flatMap(visit -> visit.person().stream())
                .distinct()
                .filter(person -> which.test(person, roleOf(person)))
                .toList();
    }

    private Role roleOf(PersonId person) {
        LessonPlan plan = room.plan();
        return plan.member(person).isPresent() || plan.isFormer(person)
                ? room.who().roleOf(person)
                : Role.VISITOR;
    }

    private Without without(PersonId person, Role role) {
        return !Catalogue.CONSENT.speaksOf(role) || standing(person) == Standing.GIVEN
                ? Without.NOT_ASKED
                : Without.of(room.rules().where(person).value(Catalogue.CONSENT, role, room.now()));
    }

    /** Whether a pupil or a visitor is in. */
    boolean somebodyToRecord() {
        return !here((person, role) -> Catalogue.CONSENT.speaksOf(role)).isEmpty();
    }
}
