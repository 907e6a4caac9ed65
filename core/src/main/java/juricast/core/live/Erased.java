package juricast.core.live;

import java.time.Instant;

/**
 * An event whose body was erased: that it happened, and of what kind it was, is known for ever; what it said is not. It belongs to
 * no part, and none makes anything of it.
 *
 * @param kind its stored name
 * @param at when the event before it happened; its own time went with its body
 */
public record Erased(String kind, Instant at) implements LessonEvent {}
