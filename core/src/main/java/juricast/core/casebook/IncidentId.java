package juricast.core.casebook;

/** The number of an incident, counted from 1 without gaps. */
public record IncidentId(int number) implements Comparable<IncidentId> {
    /** @throws IllegalArgumentException if it is below 1 */
    public IncidentId {
        if (number < 1) {
            throw new IllegalArgumentException("Incidents are counted from 1, not from " + number);
        }
    }

    @Override
    public int compareTo(IncidentId other) {
        return Integer.compare(number, other.number);
    }

    @Override
    public String toString() {
        return "No. " + number;
    }
}
