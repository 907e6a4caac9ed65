package juricast.server.languages;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.regex.Pattern;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.i18n.LocaleContext;
import org.springframework.context.i18n.SimpleLocaleContext;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.i18n.CookieLocaleResolver;

/**
 * Each reader chooses a language, and the browser keeps it; without a choice it is English, whatever the browser prefers. The staff
 * are spoken to in English, but where they come through a door as everybody does.
 */
@Configuration
class ReadersLanguage {
    /** What the browser keeps; the pages set it themselves. */
    private static final String COOKIE = "language";

    /** As the pages have it. */
    private static final Pattern DOORS = Pattern.compile("/api/(doorsteps|seats|guide)\\b.*");

    @Bean
    LocaleResolver localeResolver() {
        var resolver = new OfPupils();
        resolver.setRejectInvalidCookies(false);
        resolver.setDefaultLocale(Language.ENGLISH.locale());
        return resolver;
    }

    private static final class OfPupils extends CookieLocaleResolver {
        OfPupils() {
            super(COOKIE);
        }

        @Override
        public LocaleContext resolveLocaleContext(HttpServletRequest request) {
            return isStaffAtWork(request)
                    ? new SimpleLocaleContext(Language.ENGLISH.locale())
                    : super.resolveLocaleContext(request);
        }

        @Override
        public Locale resolveLocale(HttpServletRequest request) {
            return isStaffAtWork(request) ? Language.ENGLISH.locale() : super.resolveLocale(request);
        }

        private static boolean isStaffAtWork(HttpServletRequest request) {
            return !DOORS.matcher(request.getRequestURI()).matches()
                    && SignedIn.calling()
                            .filter(one -> one.position() != Position.PUPIL)
                            .isPresent();
        }
    }
}
