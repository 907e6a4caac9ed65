package juricast.server.tell;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Reading;
import juricast.server.data.Addresses;
import juricast.server.data.Ids;
import juricast.server.tell.Feeds.Feed;
import juricast.server.tell.Feeds.Kind;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** The secret addresses of calendars, and the calendars at them. */
@RestController
class FeedController {
    private final Feeds feeds;
    private final Reading reading;
    private final AccessToClasses access;
    private final Addresses addresses;
    private final Clock clock;

    FeedController(Feeds feeds, Reading reading, AccessToClasses access, Addresses addresses, Clock clock) {
        this.addresses = addresses;
        this.feeds = feeds;
        this.reading = reading;
        this.access = access;
        this.clock = clock;
    }

    /** An address to give to a calendar program. */
    record FeedAddress(String address) {}

    /** The address at which a calendar program finds your own lessons. */
    @GetMapping("/api/feed")
    @For({TEACHER, PUPIL})
    FeedAddress mine(@AuthenticationPrincipal SignedIn caller) {
        return address(new Feed(Kind.PERSON, caller.person().value()));
    }

    /** Gives your own calendar a new address; the old one leads nowhere. */
    @PostMapping("/api/feed/renew")
    @For({TEACHER, PUPIL})
    FeedAddress renewMine(@AuthenticationPrincipal SignedIn caller) {
        feeds.renew(new Feed(Kind.PERSON, caller.person().value()));
        return mine(caller);
    }

    /** The address at which a calendar program finds the lessons of a class. */
    @GetMapping("/api/classes/{id}/feed")
    @For({TEACHER, LEAD})
    FeedAddress ofClass(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        return address(new Feed(
                Kind.CLASS, reading.ofClass(caller, Matter.CLASS, id).id().value()));
    }

    /** Gives the calendar of a class a new address; the old one leads nowhere. */
    @PostMapping("/api/classes/{id}/feed/renew")
    @For({TEACHER, LEAD})
    FeedAddress renewOfClass(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        feeds.renew(new Feed(Kind.CLASS, access.runBy(caller, id).id().value()));
        return ofClass(id, caller);
    }

    /** A calendar program asks without signing in; the address is the key. */
    @GetMapping(path = "/feeds/{token}.ics", produces = "text/calendar")
    @For(anyone = true)
    ResponseEntity<String> feed(@PathVariable String token) {
        Instant now = clock.instant();
        return feeds.read(token, now)
                .map(feed -> calendar(feeds.calendar(feed, now)))
                .orElseGet(() -> ResponseEntity.status(HttpStatus.GONE)
                        .contentType(MediaType.parseMediaType("text/plain;charset=UTF-8"))
                        .body("This calendar has another address now. Its owner finds it in Juricast."));
    }

    /** A program that has it already, as its tag says, is not sent it again. */
    private static ResponseEntity<String> calendar(String text) {
        return ResponseEntity.ok()
                .eTag('"' + Ids.hash(text) + '"')
                .cacheControl(CacheControl.maxAge(Duration.ofMinutes(5)).cachePrivate())
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .body(text);
    }

    private FeedAddress address(Feed feed) {
        return new FeedAddress(addresses.of(feeds.path(feed)));
    }
}
