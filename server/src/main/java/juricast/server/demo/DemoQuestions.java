package juricast.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import juricast.core.identity.ClassId;
import juricast.server.cast.Cast;
import juricast.server.classes.Welcomes;
import juricast.server.questions.QuestionSets;
import org.springframework.stereotype.Component;

/** Questions that two classes of the demo have prepared, and how one of them welcomes who arrives. */
@Component
class DemoQuestions {
    private static final ClassId TIDAL = new ClassId("tidal-navigation-8");

    private final QuestionSets sets;
    private final Welcomes welcomes;

    DemoQuestions(QuestionSets sets, Welcomes welcomes) {
        this.sets = sets;
        this.welcomes = welcomes;
    }

    void keep() {
        for (ClassId of : List.of(TIDAL, new ClassId("harbour-law-10"))) {
            try (InputStream file = DemoQuestions.class.getResourceAsStream("/demo/questions-" + of.value() + ".csv")) {
                sets.addTable(of, "Before the test", file.readAllBytes(), Cast.idOf("Orla Venn"));
            } catch (IOException impossible) {
                throw new UncheckedIOException(impossible);
            }
        }
        welcomes.writeOfClass(
                TIDAL,
                "Good morning. Open the blue folder at page 4, and have a pencil at hand.",
                Cast.idOf("Orla Venn"));
    }
}
