package juricast.server.tell;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.ClassId;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.core.telling.Template;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.Reading;
import juricast.server.editing.Edited;
import juricast.server.editing.Editions;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** What went out to whom, and the words of it. */
@RestController
@RequestMapping("/api/outbox")
class OutboxController {
    private final Editions editions;
    private static final int PAGE = 60;
    private static final int LONGEST_BODY = 2000;

    private final Outbox outbox;
    private final Reading reading;

    OutboxController(Editions editions, Outbox outbox, Reading reading) {
        this.editions = editions;
        this.outbox = outbox;
        this.reading = reading;
    }

    /** @param more whether there are older ones */
    record OutboxPage(List<SentLine> messages, boolean more) {}

    record SentLine(long id, MessageKind kind, String name, Post.Way way, String subject, String body, Instant at) {}

    /** @param own whether the school has words of its own @param places what may stand in braces */
    record TemplateLine(
            MessageKind kind, String title, String subject, String body, boolean own, List<String> places) {}

    /** Nothing for both brings the usual words back. */
    record TemplateRequest(@Nullable String subject, @Nullable String body) {}

    /** A teacher sees what went out about the own classes; notices of changes, which may be about several, are the lead's. */
    @GetMapping
    @Noted("the outbox")
    @For({LEAD, TEACHER})
    OutboxPage page(
            @RequestParam(required = false) @Nullable MessageKind kind,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "9007199254740991") long before,
            @AuthenticationPrincipal SignedIn caller) {
        Optional<Set<String>> of = reading.only(caller, Matter.MESSAGES)
                .map(all -> all.stream().map(ClassId::value).collect(Collectors.toSet()));
        boolean invitations = reading.mayReadAll(caller, Matter.INVITATIONS);
        List<Outbox.Sent> sent = outbox.sent(of, Optional.ofNullable(kind), name.strip(), before, PAGE + 1);
        return new OutboxPage(
                sent.stream()
                        .limit(PAGE)
                        .map(one -> new SentLine(
                                one.id(),
                                one.kind(),
                                one.name(),
                                one.way(),
                                one.subject(),
                                invitations ? one.body() : one.kind().shownToAdults(one.body()),
                                one.at()))
                        .toList(),
                sent.size() > PAGE);
    }

    /** The school's words for each kind of message. */
    @GetMapping("/templates")
    @For({LEAD, TEACHER})
    @Edited
    List<TemplateLine> templates() {
        var templates = outbox.templates();
        return Arrays.stream(MessageKind.values())
                .map(kind -> {
                    Template words = templates.get(kind);
                    return new TemplateLine(
                            kind,
                            kind.title(),
                            words.subject(),
                            words.body(),
                            !words.equals(kind.usual()),
                            kind.places());
                })
                .toList();
    }

    /** Writes the school's words for a kind of message, or goes back to the usual ones. */
    @PutMapping("/templates/{kind}")
    @For(LEAD)
    @Edited
    List<TemplateLine> word(
            @PathVariable MessageKind kind,
            @RequestBody TemplateRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        editions.mustBe(templates());
        boolean usual = wanted.subject == null && wanted.body == null;
        var words = new Template(text(wanted.subject), text(wanted.body));
        if (!usual) {
            refuse(kind, words);
        }
        outbox.word(kind, usual ? Optional.empty() : Optional.of(words), caller.person());
        return templates();
    }

    private static String text(@Nullable String said) {
        return said == null ? "" : said.strip();
    }

    private static void refuse(MessageKind kind, Template words) {
        var wrong = new ArrayList<Problem.Wrong>();
        if (words.subject().isEmpty() || words.subject().length() > Limits.TITLE) {
            wrong.add(new Problem.Wrong("subject", "1 to %d characters".formatted(Limits.TITLE)));
        }
        if (words.body().isEmpty() || words.body().length() > LONGEST_BODY) {
            wrong.add(new Problem.Wrong("body", "1 to %d characters".formatted(LONGEST_BODY)));
        }
        List<String> unknown = words.unknown(kind.known());
        if (!unknown.isEmpty()) {
            wrong.add(new Problem.Wrong(
                    "body",
                    "Nothing is known for {%s}; there are {%s}"
                            .formatted(String.join("}, {", unknown), String.join("}, {", kind.places()))));
        }
        if (!wrong.isEmpty()) {
            throw Problem.notReadable(
                    "These words cannot be taken", "The words are as they were.", "Mend it, then try again.", wrong);
        }
    }
}
