package juricast.core.ladder;

/**
 * One kind of act, from the school's list.
 *
 * @param from the step at which it stands when nothing happened before, from 1
 */
public record ActKind(String id, String name, Severity severity, int from) {
    /** @throws IllegalArgumentException if {@code from} is below 1 */
    public ActKind {
        if (from < 1) {
            throw new IllegalArgumentException("Steps are counted from 1, not from " + from);
        }
    }
}
