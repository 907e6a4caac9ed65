package juricast.core.consent;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;

/** All that was said about recording some people. */
public final class Consents {
    public static final Consents NONE = new Consents(Map.of());

    /** The last word counts: of two that begin at one instant, the one noted later. */
    private static final Comparator<Consent> LAST_WORD =
            Comparator.comparing(Consent::from).thenComparing(Consent::at);

    private final Map<PersonId, List<Consent>> said;

    private Consents(Map<PersonId, List<Consent>> said) {
        this.said = said;
    }

    public static Consents of(List<Consent> all) {
        return new Consents(all.stream()
                .collect(Collectors.groupingBy(
                        Consent::person,
                        () -> new TreeMap<>(Comparator.comparing(PersonId::value)),
                        Collectors.collectingAndThen(
                                Collectors.toList(),
                                one -> one.stream().sorted(LAST_WORD).toList()))));
    }

    /**
     * How it stands with a person. The word that began last decides; when it has run out nothing is known, and no earlier word
     * comes back to life.
     */
    public Standing of(PersonId person, Instant at) {
        return word(person, at)
                .map(last -> at.isBefore(last.until()) ? standing(last.said()) : Standing.UNKNOWN)
                .orElse(Standing.UNKNOWN);
    }

    /** The word that decides for a person, also if it has run out; nothing where none has begun. */
    public Optional<Consent> word(PersonId person, Instant at) {
        List<Consent> all = said.getOrDefault(person, List.of());
        for (int i = all.size() - 1; i >= 0; i--) {
            if (!at.isBefore(all.get(i).from())) {
                return Optional.of(all.get(i));
            }
        }
        return Optional.empty();
    }

    /** Everything that was said about a person, in the order in which it counts. */
    public List<Consent> about(PersonId person) {
        return said.getOrDefault(person, List.of());
    }

    /** When the clock alone next changes how it stands with anybody. */
    public Optional<Instant> nextEdge(Instant now) {
        return said.values().stream()
                .flatMap(List::stream)
                .flatMap(one -> Stream.of(one.from(), one.until()))
                .filter(now::isBefore)
                .min(Comparator.naturalOrder());
    }

    private static Standing standing(Consent.Said said) {
        return switch (said) {
            case GIVEN -> Standing.GIVEN;
            case REFUSED -> Standing.REFUSED;
            case WITHDRAWN -> Standing.WITHDRAWN;
        };
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Consents that && said.equals(that.said);
    }

    @Override
    public int hashCode() {
        return said.hashCode();
    }
}
