package juricast.core.identity;

/** Nothing has such an id: it is empty. */
public final class NoSuchId extends IllegalArgumentException {
    private static final long serialVersionUID = 1;

    NoSuchId() {
        super("An id must not be empty");
    }
}
