package juricast.core.casebook;

/**
 * A share with how sure it is: the score interval of E. B. Wilson, "Probable Inference, the Law of Succession, and Statistical
 * Inference", Journal of the American Statistical Association 22 (1927), at 95 %. Unlike the usual one it is right for few and for
 * shares near none and all.
 *
 * @param count of how many it is so, 0 to {@code of}
 * @param of out of how many
 * @param low where the share may well lie, 0 to 1
 * @param high where it may well lie, {@code low} to 1
 */
public record Share(int count, int of, double low, double high) {
    /** The 97.5th percentile of the normal distribution. */
    private static final double Z = 1.959964;

    /** @throws IllegalArgumentException if {@code count} is below 0 or above {@code of} */
    public static Share of(int count, int of) {
        if (count < 0 || count > of) {
            throw new IllegalArgumentException("%d out of %d is no share".formatted(count, of));
        }
        if (of == 0) {
            return new Share(0, 0, 0, 1);
        }
        double p = (double) count / of;
        double z2 = Z * Z / of;
        double middle = (p + z2 / 2) / (1 + z2);
        double half = Z * Math.sqrt(p * (1 - p) / of + z2 / (4 * of)) / (1 + z2);
        return new Share(
                count, of, count == 0 ? 0 : Math.max(0, middle - half), count == of ? 1 : Math.min(1, middle + half));
    }

    public double share() {
        return of == 0 ? 0 : (double) count / of;
    }

    /** Whether another share lies where this one hardly can. */
    public boolean isApartFrom(double other) {
        return other < low || other > high;
    }
}
