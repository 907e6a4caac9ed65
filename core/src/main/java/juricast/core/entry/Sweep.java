package juricast.core.entry;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;

/**
 * The same unknown name, or the same device, at several doors of the school within minutes (need E7).
 *
 * @param device the device that knocked last
 * @param name what it called itself last
 * @param doors the lessons that were tried
 */
public record Sweep(DeviceId device, String name, Set<LessonId> doors) {
    /** How many different doors make a sweep. */
    public static final int DOORS = 3;

    /** Within what time. */
    public static final Duration WINDOW = Duration.ofMinutes(10);

    public Sweep {
        doors = Set.copyOf(doors);
    }

    /** A knock of somebody whom no list knows. */
    public record Try(LessonId lesson, DeviceId device, String name, Instant at) {
        private boolean isLike(Try other) {
            return device.equals(other.device)
                    || !NameMatch.words(name).isEmpty() && NameMatch.words(name).equals(NameMatch.words(other.name));
        }
    }

    /** Whether the last try makes a sweep with those before it. */
    public static Optional<Sweep> of(Collection<Try> before, Try last) {
        List<Try> like = before.stream()
                .filter(one ->
                        one.isLike(last) && Duration.between(one.at, last.at).compareTo(WINDOW) <= 0)
                .toList();
        Set<LessonId> doors = java.util.stream.Stream.concat(like.stream(), java.util.stream.Stream.of(last))
                .map(Try::lesson)
                .collect(Collectors.toSet());
        return doors.size() >= DOORS ? Optional.of(new Sweep(last.device, last.name, doors)) : Optional.empty();
    }
}
