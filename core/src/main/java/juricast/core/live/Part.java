package juricast.core.live;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/**
 * One subject of a live lesson: its own state, orders and events, and what follows from them by itself. Pure, and without fields:
 * everything it knows comes in.
 *
 * @param <S> its state; where nothing of it changes, it stays the same object
 */
public interface Part<S, O extends LessonOrder, E extends LessonEvent> {
    /** One word; the same in the core, on the server and in the browser. */
    String name();

    /** The sealed family of its orders. */
    Class<O> orders();

    /** The sealed family of its events. */
    Class<E> events();

    /** Before anything has happened. */
    S begin();

    /**
     * One step of the fold. It refuses nothing: what has happened has happened.
     *
     * @param number the number of the event, counted from 1
     * @return the same object where nothing changed
     */
    S after(S was, E event, int number);

    /** What an order does: events of this part or of one below it, or a refusal. */
    Decision decide(S is, O order, Room room);

    /** Lets go of what it holds of people who are not there any more. */
    default S gone(S was, Gone gone) {
        return was;
    }

    /**
     * Keeps what it counts about people in places. It is asked after each event that changed this part, or who is there.
     *
     * @return the same object where nothing changed
     */
    default S counted(S was, WhoIsThere there, Instant at) {
        return was;
    }

    /** Who is not there any more after an event of this part. */
    default Optional<Gone> leaves(S was, S is, E event) {
        return Optional.empty();
    }

    /** What it sets for everybody in a place. A list that does not change stays the same object. */
    default List<Setting> imposes(S is, PlaceId in) {
        return List.of();
    }

    /** What it lends to one person, or closes to them. */
    default List<Setting> lent(S is, PersonId to) {
        return List.of();
    }

    /** The situation with what this part knows of a place, as conditions of rules ask about it. */
    default Situation situation(S is, PlaceId in, Situation before) {
        return before;
    }

    /** What follows by itself, the clock included. It is asked again until nothing more follows, and must then give nothing. */
    default List<LessonEvent> follows(S is, Room room, News news) {
        return List.of();
    }

    /** When the clock matters to it next; nothing while it does not. */
    default Optional<Instant> due(S is, Room room) {
        return Optional.empty();
    }

    /** What others may ask about who is there; only the part that knows answers. */
    default Optional<WhoIsThere> there(S is) {
        return Optional.empty();
    }

    /** In which place people are; only the part that knows answers. */
    default Optional<WhoIsWhere> where(S is) {
        return Optional.empty();
    }
}
