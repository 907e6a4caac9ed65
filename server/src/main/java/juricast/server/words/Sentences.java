package juricast.server.words;

import org.springframework.context.MessageSource;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;

/** All sentences of a language stand in one file, {@code languages/sentences}; here one is said in the reader's. */
@Component
public class Sentences {
    private final MessageSource messages;

    Sentences(MessageSource messages) {
        this.messages = messages;
    }

    /** In the language of the request. @throws org.springframework.context.NoSuchMessageException if no file has it */
    public String say(String key, Object... with) {
        return messages.getMessage(key, with, LocaleContextHolder.getLocale());
    }

    /** In a language that was asked for, as for a note to be printed. */
    public String in(Language language, String key, Object... with) {
        return messages.getMessage(key, with, language.locale());
    }
}
