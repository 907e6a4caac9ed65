package juricast.server.material;

import java.util.function.Consumer;
import juricast.core.identity.LessonId;
import juricast.core.material.MaterialOrder;

/**
 * The port to whatever hears what is said and writes it down. It is told when to listen; what it hears is an order like any other,
 * and the core takes it only from a voice that everybody hears. The stand-in is one, another can be put in its place.
 */
interface Captioner {
    /** Whether there is a service that can listen in this lesson. */
    boolean serves(LessonId lesson);

    /** It is to listen from now on. @param hears is told what it has heard */
    void listen(LessonId lesson, Consumer<MaterialOrder.Heard> hears);

    /** It hears nothing of this lesson any more. */
    void stop(LessonId lesson);
}
