package juricast.server.languages;

import java.util.Arrays;
import java.util.Locale;

/** The languages in which the program speaks to those who are not of the staff. */
public enum Language {
    ENGLISH(Locale.UK),
    GERMAN(Locale.GERMANY);

    private final Locale locale;

    Language(Locale locale) {
        this.locale = locale;
    }

    public Locale locale() {
        return locale;
    }

    /** The one that a tag such as "de" or "de-AT" asks for; English where it asks for none that there is. */
    public static Language of(String tag) {
        String language = Locale.forLanguageTag(tag).getLanguage();
        return Arrays.stream(values())
                .filter(one -> one.locale.getLanguage().equals(language))
                .findFirst()
                .orElse(ENGLISH);
    }
}
