package juricast.core.identity;

/** One arrival of one device at one lesson, from its knock until it is out. */
public record VisitId(String value) {

    /** @throws NoSuchId if the id is empty */
    public VisitId {
        if (value.isBlank()) {
            throw new NoSuchId();
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
