package juricast.server.notices;

import static juricast.core.notices.NoticesPart.NOTICES;

import java.time.Instant;
import java.util.List;
import juricast.core.notices.Notice;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Welcomes and announcements on the wire; desk and seat see the same. */
public final class NoticesJson {
    private NoticesJson() {}

    /** @param welcome how who arrives is greeted @param up announcements, oldest first */
    public record NoticesShown(@Nullable NoticeLine welcome, List<NoticeLine> up) {}

    public record NoticeLine(int number, String text, String by, Instant at) {}

    public static NoticesShown of(Snapshot at) {
        return at.piece("notices", "all", List.of(NOTICES), () -> {
            var is = at.state().of(NOTICES);
            return new NoticesShown(
                    is.welcome(at.plan()).map(one -> line(one, at)).orElse(null),
                    is.up().stream().map(one -> line(one, at)).toList());
        });
    }

    private static NoticeLine line(Notice one, Snapshot at) {
        return new NoticeLine(one.number(), one.text(), at.plan().nameOf(one.by()), one.at());
    }
}
