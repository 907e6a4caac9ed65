package juricast.server.board;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.server.data.Addresses;
import juricast.server.data.Ids;
import juricast.server.files.QrCode;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** Links by which an adult's phone brings one picture: good once, for some minutes, for one lesson. A restart forgets them. */
@Component
class PhoneLinks {
    private static final Duration GOOD_FOR = Duration.ofMinutes(10);

    private final Cache<String, Bound> links =
            Caffeine.newBuilder().maximumSize(5000).build();
    private final Addresses addresses;

    PhoneLinks(Addresses addresses) {
        this.addresses = addresses;
    }

    /** What a link is for. */
    record Bound(LessonId lesson, PersonId by, Instant until) {}

    PagesController.PhoneLink make(LessonId lesson, PersonId by, Instant now) {
        String word = Ids.next();
        Instant until = now.plus(GOOD_FOR);
        links.put(word, new Bound(lesson, by, until));
        String url = addresses.of("/bring/" + word);
        return new PagesController.PhoneLink(url, QrCode.svg(url), until);
    }

    /** @throws Problem if it is unknown, used, or its time is over */
    Bound find(String word, Instant now) {
        Bound found = links.getIfPresent(word);
        if (found == null || now.isAfter(found.until)) {
            throw gone();
        }
        return found;
    }

    /** The first who comes has it. */
    Bound use(String word, Instant now) {
        Bound found = links.asMap().remove(word);
        if (found == null || now.isAfter(found.until)) {
            throw gone();
        }
        return found;
    }

    private static Problem gone() {
        return Problem.notThere("This link (it is good once, for ten minutes)");
    }
}
