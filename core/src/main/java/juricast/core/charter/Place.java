package juricast.core.charter;

import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.rules.Layer;

/**
 * Where a setting is written: the charter, a year group, a class, a lesson, or a ready-made set.
 *
 * @param id the year, class, lesson or set; empty for the charter
 */
public record Place(Kind kind, String id) {
    public static final Place SCHOOL = new Place(Kind.SCHOOL, "");

    /** The kinds of places, from the widest to the narrowest; a set counts where classes use it. */
    public enum Kind {
        SCHOOL("school", Layer.SCHOOL),
        YEAR("year", Layer.YEAR_GROUP),
        SET("set", Layer.CLASS),
        CLASS("class", Layer.CLASS),
        LESSON("lesson", Layer.LESSON);

        private final String text;
        private final Layer layer;

        Kind(String text, Layer layer) {
            this.text = text;
            this.layer = layer;
        }

        /** The layer at which its settings count. */
        public Layer layer() {
            return layer;
        }
    }

    public static Place ofYear(int year) {
        return new Place(Kind.YEAR, Integer.toString(year));
    }

    public static Place of(ClassId id) {
        return new Place(Kind.CLASS, id.value());
    }

    public static Place of(LessonId id) {
        return new Place(Kind.LESSON, id.value());
    }

    public static Place ofSet(String id) {
        return new Place(Kind.SET, id);
    }

    /** In files and on the wire, as {@code school} or {@code class:harbour-law-9}. */
    public String text() {
        return kind == Kind.SCHOOL ? kind.text : kind.text + ":" + id;
    }

    /** Reads what {@link #text} wrote. */
    public static Optional<Place> parse(String text) {
        if (text.equals(SCHOOL.text())) {
            return Optional.of(SCHOOL);
        }
        int colon = text.indexOf(':');
        for (Kind kind : Kind.values()) {
            if (kind != Kind.SCHOOL
                    && colon == kind.text.length()
                    && text.startsWith(kind.text)
                    && colon < text.length() - 1) {
                return Optional.of(new Place(kind, text.substring(colon + 1)));
            }
        }
        return Optional.empty();
    }
}
