package juricast.server.front;

import juricast.server.words.Language;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.i18n.CookieLocaleResolver;

/** Each reader chooses a language, and the browser keeps it; without a choice it is English, whatever the browser prefers. */
@Configuration
class ReadersLanguage {
    /** What the browser keeps; the pages set it themselves. */
    private static final String COOKIE = "language";

    @Bean
    LocaleResolver localeResolver() {
        var resolver = new CookieLocaleResolver(COOKIE);
        resolver.setRejectInvalidCookies(false);
        resolver.setDefaultLocale(Language.ENGLISH.locale());
        return resolver;
    }
}
