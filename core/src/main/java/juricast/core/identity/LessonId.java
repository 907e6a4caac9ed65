package juricast.core.identity;

/** One lesson of a class. */
public record LessonId(String value) {

    /** @throws NoSuchId if the id is empty */
    public LessonId {
        if (value.isBlank()) {
            throw new NoSuchId();
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
