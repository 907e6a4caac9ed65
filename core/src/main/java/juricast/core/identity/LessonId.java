package juricast.core.identity;

/** One lesson of a class. */
public record LessonId(String value) {

    /** @throws IllegalArgumentException if the id is empty */
    public LessonId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("An id must not be empty");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
