package juricast.core.identity;

/** A class of the school. */
public record ClassId(String value) {

    /** @throws IllegalArgumentException if the id is empty */
    public ClassId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("An id must not be empty");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
