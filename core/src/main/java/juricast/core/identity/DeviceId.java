package juricast.core.identity;

/** A browser or tablet, by the secret it keeps; never shown to anybody. */
public record DeviceId(String value) {

    /** @throws NoSuchId if the id is empty */
    public DeviceId {
        if (value.isBlank()) {
            throw new NoSuchId();
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
