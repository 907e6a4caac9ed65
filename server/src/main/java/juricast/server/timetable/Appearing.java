package juricast.server.timetable;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.inspection.Finding;
import juricast.core.inspection.Inspection;
import org.springframework.stereotype.Component;

/** The weak spots that a change of the plan brings, told to who made it while it can still be undone. */
@Component
class Appearing {
    private final Inspections inspections;
    private final Seen seen;

    Appearing(Inspections inspections, Seen seen) {
        this.inspections = inspections;
        this.seen = seen;
    }

    /** What is weak before the change. */
    Set<String> before() {
        return inspections.now().findings().stream().map(Finding::key).collect(Collectors.toSet());
    }

    /** What is weak now and was not, each sentence once. */
    List<String> since(Set<String> before) {
        Inspection after = inspections.now();
        var names = seen.names(after);
        return after.findings().stream()
                .filter(one -> !before.contains(one.key()))
                .map(one -> seen.sentence(one, names))
                .distinct()
                .toList();
    }
}
