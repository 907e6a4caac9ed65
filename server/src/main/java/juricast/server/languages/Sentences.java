package juricast.server.languages;

import java.util.function.Supplier;
import org.springframework.context.MessageSource;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;

/**
 * Says a sentence in the language of who reads it. What is said at the door and in notes stands in {@code languages/sentences}, a file
 * for each language; what stands in English beside what it is about, as the words of a rule, has its other languages in
 * {@code languages/beside}.
 */
@Component
public class Sentences {
    private final MessageSource messages;

    Sentences(MessageSource messages) {
        this.messages = messages;
    }

    /** In the language of the request. @throws org.springframework.context.NoSuchMessageException if no file has it */
    public String say(String key, Object... with) {
        return messages.getMessage(key, with, spoken().locale());
    }

    /** In a language that was asked for, as for a note to be printed. */
    public String in(Language language, String key, Object... with) {
        return messages.getMessage(key, with, language.locale());
    }

    /** In the language of the request; in English what stands beside what it is about, and also where a language has no word for it. */
    public String or(String english, String key, Object... with) {
        String other = messages.getMessage(key, with, null, spoken().locale());
        return other == null ? english : other;
    }

    /** Whether the language of the request has words of its own under this key. */
    public boolean has(String key) {
        return messages.getMessage(key, null, null, spoken().locale()) != null;
    }

    /** In which language is spoken in this thread: that of the request, or the one of {@link #speaking}. */
    public static Language spoken() {
        return Language.of(LocaleContextHolder.getLocale().toLanguageTag());
    }

    /** Says something in a language outside a request, as to a browser that listens for long. */
    public static <T> T speaking(Language language, Supplier<T> said) {
        var before = LocaleContextHolder.getLocaleContext();
        LocaleContextHolder.setLocale(language.locale());
        try {
            return said.get();
        } finally {
            LocaleContextHolder.setLocaleContext(before);
        }
    }
}
