package juricast.core.live;

import java.util.List;
import juricast.core.identity.PersonId;

/** In which place of a lesson people are: what every part may ask. */
public interface WhoIsWhere {
    /** Nobody is anywhere else. */
    WhoIsWhere ALL_TOGETHER = new WhoIsWhere() {
        @Override
        public List<PlaceId> places() {
            return List.of();
        }

        @Override
        public PlaceId placeOf(PersonId person) {
            return PlaceId.TOGETHER;
        }
    };

    /** The places there are now, the class together among them; none while it is the only one. */
    List<PlaceId> places();

    PlaceId placeOf(PersonId person);

    /** Whether the class is in several places. */
    default boolean isApart() {
        return !places().isEmpty();
    }
}
