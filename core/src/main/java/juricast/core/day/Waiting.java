package juricast.core.day;

/** So many things of one kind wait. */
public record Waiting(Duty duty, int count) {
    /** @throws IllegalArgumentException if fewer than none wait */
    public Waiting {
        if (count < 0) {
            throw new IllegalArgumentException("%d things cannot wait".formatted(count));
        }
    }
}
