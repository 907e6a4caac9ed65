package juricast.core.identity;

/** One arrival of one device at one lesson, from its knock until it is out. */
public record VisitId(String value) {

    /** @throws IllegalArgumentException if the id is empty */
    public VisitId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("An id must not be empty");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
