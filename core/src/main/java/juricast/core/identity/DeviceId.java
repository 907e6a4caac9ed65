package juricast.core.identity;

/** A browser or tablet, by the secret it keeps; never shown to anybody. */
public record DeviceId(String value) {

    /** @throws IllegalArgumentException if the id is empty */
    public DeviceId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("An id must not be empty");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
