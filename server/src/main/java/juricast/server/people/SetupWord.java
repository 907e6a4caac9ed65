package juricast.server.people;

import juricast.server.data.Codes;
import juricast.server.data.School;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Shows that whoever founds the school is at the machine: it is printed there, and is another one at each start until there is a
 * school. Without it the first caller from anywhere would own the school.
 */
@Component
class SetupWord {
    private static final Logger LOG = LoggerFactory.getLogger(SetupWord.class);

    private final String word;
    private final School school;
    private final Environment environment;

    SetupWord(@Value("${juricast.setup-word:}") String given, School school, Environment environment) {
        this.word = given.isBlank() ? Codes.next() : given;
        this.school = school;
        this.environment = environment;
    }

    boolean is(String said) {
        return Codes.same(word, said);
    }

    @EventListener(ApplicationReadyEvent.class)
    void tell() {
        if (school.identity().isEmpty()) {
            LOG.info(
                    """


                    There is no school in this file yet. Open {}/first-start
                    and give the setup word:  {}
                    """,
                    environment.getProperty(
                            "juricast.address", "http://localhost:" + environment.getProperty("local.server.port")),
                    word);
        }
    }
}
