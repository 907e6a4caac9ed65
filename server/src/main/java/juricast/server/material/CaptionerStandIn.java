package juricast.server.material;

import static juricast.core.rights.RightsPart.RIGHTS;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.material.MaterialOrder;
import juricast.core.rehearsal.Rehearsal;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsState;
import juricast.server.lesson.LiveLessons;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.ClassPathResource;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * The simulated caption service: there is no sound, so it "hears" whoever has the microphone on say the next line of a made-up
 * lesson, one after the other. It does so in the demo and in rehearsals only: in a real lesson nobody is made to have said
 * something.
 */
@Component
class CaptionerStandIn implements Captioner {
    private static final int EVERY_MS = 5_000;

    private final ObjectProvider<LiveLessons> lessons;
    private final boolean demo;
    private final List<String> lines = lines();
    private final Map<LessonId, Listening> listening = new ConcurrentHashMap<>();

    CaptionerStandIn(ObjectProvider<LiveLessons> lessons, @Value("${juricast.demo}") boolean demo) {
        this.lessons = lessons;
        this.demo = demo;
    }

    @Override
    public boolean serves(LessonId lesson) {
        return demo || Rehearsal.isOne(lesson);
    }

    /** @param said how many lines it has heard so far */
    private record Listening(Consumer<MaterialOrder.Heard> hears, int said) {}

    @Override
    public void listen(LessonId lesson, Consumer<MaterialOrder.Heard> hears) {
        listening.putIfAbsent(lesson, new Listening(hears, 0));
    }

    @Override
    public void stop(LessonId lesson) {
        listening.remove(lesson);
    }

    @Scheduled(fixedDelay = EVERY_MS)
    void hear() {
        // A rehearsal may be gone without having ended.
        listening.keySet().removeIf(lesson -> !lessons.getObject().isKnown(lesson));
        listening.forEach((lesson, one) -> {
            List<PersonId> speakers = speakers(lesson);
            if (!speakers.isEmpty()) {
                listening.computeIfPresent(lesson, (same, last) -> new Listening(last.hears, last.said + 1));
                one.hears.accept(new MaterialOrder.Heard(
                        speakers.get(one.said % speakers.size()), lines.get(one.said % lines.size())));
            }
        });
    }

    private List<PersonId> speakers(LessonId lesson) {
        RightsState rights = lessons.getObject().state(lesson).of(RIGHTS);
        return rights.withSomethingOn().stream()
                .filter(person -> rights.on(person).contains(Appliance.MICROPHONE))
                .sorted(Comparator.comparing(PersonId::value))
                .toList();
    }

    private static List<String> lines() {
        try {
            return new ClassPathResource("captions/heard.txt")
                    .getContentAsString(StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
