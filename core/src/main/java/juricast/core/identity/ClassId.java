package juricast.core.identity;

/** A class of the school. */
public record ClassId(String value) {

    /** @throws NoSuchId if the id is empty */
    public ClassId {
        if (value.isBlank()) {
            throw new NoSuchId();
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
