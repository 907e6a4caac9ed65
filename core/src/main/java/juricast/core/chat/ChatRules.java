package juricast.core.chat;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.NOT_AN_ADULT_HERE;
import static juricast.core.live.Refusal.Common.NOT_PRESENT;
import static juricast.core.live.Refusal.Common.RULE_CLOSED;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import juricast.core.door.Acting;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.limits.Limits;
import juricast.core.live.Authority;
import juricast.core.live.Decision;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;

/** Decides what may be written and sent, and what waits for an adult first. */
record ChatRules(ChatState is, Room room) implements ChatOrder.Cases<Decision> {
    /** What somebody wants others to read. */
    private record Writing(PersonId from, Readers to, String text, Optional<SentFile> file) {}

    @Override
    public Decision say(ChatOrder.Say order) {
        String text = order.text().strip();
        return Refusal.ofText(text, Limits.MESSAGE)
                .orElseGet(() -> Acting.present(room, order.visit(), person -> {
                    Readers to = readers(person, order.to());
                    return mayWrite(person, to)
                            .or(() -> tooFast(person))
                            .orElseGet(() -> written(new Writing(person, to, text, Optional.empty())));
                }));
    }

    @Override
    public Decision sendFile(ChatOrder.SendFile order) {
        if (is.files() >= Limits.FILES) {
            return Refusal.of(ChatRefusal.TOO_MANY_FILES);
        }
        SentFile file = order.file();
        return Acting.present(room, order.visit(), person -> {
            Readers to = readers(person, order.to());
            return mayWrite(person, to)
                    .or(() -> tooFast(person))
                    .or(() -> kindNotAllowed(person, file))
                    .orElseGet(() -> written(new Writing(person, to, file.name(), Optional.of(file))));
        });
    }

    /** While the class is apart, pupils write to those in their own place; an adult's word goes to all, or to the group that is named. */
    private Readers readers(PersonId from, Readers wanted) {
        boolean isForMany = wanted.kind() == Readers.Kind.CLASS || wanted.kind() == Readers.Kind.PLACE;
        if (!isForMany || who().isAdult(from)) {
            return wanted;
        }
        return room.where().isApart() ? Readers.in(room.where().placeOf(from)) : Readers.CLASS;
    }

    @Override
    public Decision release(ChatOrder.Release order) {
        return who().adult(order.by(), Catalogue.HELP_CHAT)
                .orElseGet(() -> is.held().stream().anyMatch(one -> one.number() == order.number())
                        ? done(new ChatEvent.Released(order.number(), order.letThrough(), order.by(), room.now()))
                        : Refusal.of(ChatRefusal.NO_SUCH_WORDS));
    }

    private Optional<Decision> mayWrite(PersonId from, Readers to) {
        if (to.place().filter(place -> !room.where().places().contains(place)).isPresent()) {
            return Optional.of(Refusal.of(ChatRefusal.NO_SUCH_PLACE));
        }
        if (who().isAdult(from)) {
            return Optional.empty();
        }
        if (who().roleOf(from) == Role.OBSERVER) {
            return Optional.of(Refusal.of(NOT_AN_ADULT_HERE));
        }
        return switch (to.kind()) {
            case ADULTS -> who().right(from, Catalogue.ADULT_CHAT);
            case CLASS, PLACE -> who().right(from, Catalogue.CLASS_CHAT);
            case ONE -> mayWriteTo(to.one().orElseThrow(), from);
        };
    }

    private Optional<Decision> mayWriteTo(PersonId reader, PersonId from) {
        if (who().isAdult(reader)) {
            return Optional.empty();
        }
        if (!room.there().isPresent(reader)) {
            return Optional.of(Refusal.of(NOT_PRESENT, reader));
        }
        boolean isWithOutside = who().roleOf(from) == Role.VISITOR || who().roleOf(reader) == Role.VISITOR;
        return who().right(from, Catalogue.PRIVATE_CHAT)
                .or(() -> isWithOutside && !room.there().anAdultIsIn()
                        ? Optional.of(Refusal.of(ChatRefusal.NO_ADULT_READS, reader))
                        : Optional.empty());
    }

    private Optional<Decision> tooFast(PersonId from) {
        if (who().isAdult(from)) {
            return Optional.empty();
        }
        var rate = who().ruling(from, Catalogue.CHAT_RATE);
        Instant minuteAgo = room.now().minus(Duration.ofMinutes(1));
        long lately = is.words().stream()
                        .filter(one -> one.from().equals(from) && one.at().isAfter(minuteAgo))
                        .count()
                + is.held().stream()
                        .filter(one -> one.from().equals(from) && one.at().isAfter(minuteAgo))
                        .count();
        return lately < rate.value().number() ? Optional.empty() : Optional.of(Refusal.by(ChatRefusal.TOO_FAST, rate));
    }

    private Optional<Decision> kindNotAllowed(PersonId from, SentFile file) {
        var kinds = who().ruling(from, Catalogue.FILE_KINDS);
        return kinds.value().names().contains(file.kind())
                ? Optional.empty()
                : Optional.of(Refusal.by(RULE_CLOSED, kinds));
    }

    /**
     * Whether a file may go at all is ruled for everybody. All else is ruled only among pupils: adults answer for what they
     * write, and who asks an adult for help is heard at once.
     */
    private Decision written(Writing writing) {
        boolean amongPupils = !who().isAdult(writing.from)
                && (writing.to.kind() == Readers.Kind.CLASS
                        || writing.to.kind() == Readers.Kind.PLACE
                        || writing.to.one().filter(one -> !who().isAdult(one)).isPresent());
        Optional<Decision> file =
                writing.file.flatMap(sent -> restrained(writing, Catalogue.CHAT_FILES, Hold.FILE, amongPupils));
        return file.or(() -> amongPupils ? restrainedAmongPupils(writing) : Optional.empty())
                .orElseGet(() ->
                        done(new ChatEvent.Said(writing.from, writing.to, writing.text, writing.file, room.now())));
    }

    private Optional<Decision> restrainedAmongPupils(Writing writing) {
        Optional<Decision> words = room.plan().watched().isIn(writing.text)
                ? restrained(writing, Catalogue.CHAT_WORDS, Hold.WORD, true)
                : Optional.empty();
        return words.or(() -> Links.isIn(writing.text)
                        ? restrained(writing, Catalogue.CHAT_LINKS, Hold.LINK, true)
                        : Optional.empty())
                .or(() -> who().ruling(writing.from, Catalogue.CHAT_APPROVAL).value() == YesNo.YES
                        ? Optional.of(held(writing, Hold.EVERY_MESSAGE))
                        : Optional.empty());
    }

    private Optional<Decision> restrained(Writing writing, Rule<Permission> by, Hold why, boolean holds) {
        var ruling = who().ruling(writing.from, by);
        return switch (ruling.value()) {
            case CLOSED -> Optional.of(Refusal.by(RULE_CLOSED, ruling));
            case ON_REQUEST -> holds ? Optional.of(held(writing, why)) : Optional.empty();
            case OPEN -> Optional.empty();
        };
    }

    private Decision held(Writing writing, Hold why) {
        return done(new ChatEvent.Held(writing.from, writing.to, writing.text, writing.file, why, room.now()));
    }

    private Authority who() {
        return room.who();
    }
}
