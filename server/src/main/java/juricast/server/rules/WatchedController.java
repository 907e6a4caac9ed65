package juricast.server.rules;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.util.List;
import juricast.core.limits.Limits;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** The list of watched words: adults read it, the safeguarding lead changes it. */
@RestController
@RequestMapping("/api/rules/watched-words")
class WatchedController {
    private static final int LONGEST = 60;

    private final Watched watched;

    WatchedController(Watched watched) {
        this.watched = watched;
    }

    record WatchedList(List<String> words) {}

    /** @param was the list that was changed into this one */
    record WatchedChange(@Nullable List<String> words, @Nullable List<String> was) {}

    /** Words for which messages wait. */
    @GetMapping
    @For({TEACHER, LEAD})
    WatchedList all() {
        return new WatchedList(watched.now().words());
    }

    /** Changes the words for which messages wait. */
    @PutMapping
    @For(LEAD)
    WatchedList change(@RequestBody WatchedChange wanted, @AuthenticationPrincipal SignedIn caller) {
        List<String> words = wanted.words == null
                ? List.of()
                : wanted.words.stream()
                        .map(String::strip)
                        .filter(word -> !word.isEmpty())
                        .distinct()
                        .toList();
        boolean good = words.size() <= Limits.WATCHED_WORDS
                && words.stream()
                        .allMatch(
                                word -> word.length() <= LONGEST && word.chars().anyMatch(Character::isLetterOrDigit));
        if (!good) {
            throw Problem.notReadable(
                    "This list cannot be kept",
                    "Nothing was changed.",
                    "One word or phrase in a line, up to %d characters each, at most %d lines."
                            .formatted(LONGEST, Limits.WATCHED_WORDS),
                    List.of());
        }
        if (!watched.become(words, wanted.was == null ? List.of() : wanted.was, caller.person())) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "Somebody else has changed this list meanwhile",
                    "Nothing was changed; what you typed is still here.",
                    "Close this, open it again, and add to the list as it is now.");
        }
        return all();
    }
}
