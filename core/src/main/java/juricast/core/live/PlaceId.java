package juricast.core.live;

/**
 * A place of a lesson in which people are together: supervision, facts and what is imposed are asked in one. The class together is
 * the only one until a part makes others.
 */
public record PlaceId(String value) {
    /** The class together. */
    public static final PlaceId TOGETHER = new PlaceId("together");

    /** All places of a lesson at once: there is one door, and it is the lesson's. Nobody is in it. */
    public static final PlaceId LESSON = new PlaceId("lesson");

    /** @throws IllegalArgumentException if it is blank */
    public PlaceId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("A place has a name");
        }
    }
}
