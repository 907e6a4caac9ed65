package juricast.core.find;

import static juricast.core.find.Findable.Kind.*;

import java.util.List;
import java.util.Set;
import juricast.core.find.Findable.Kind;
import juricast.core.find.Findable.When;

/** What one may mean to do with what is found. */
public enum Act {
    /** Looks at it; what a bare name means. */
    SEE(List.of(), Set.of(LESSON, CLASS, PUPIL, ADULT, RULE)),
    /** Runs a lesson from its desk. */
    DESK(List.of("desk", "open", "run", "teach"), Set.of(LESSON)),
    /** Lets another adult take a lesson. */
    COVER(List.of("cover", "substitute"), Set.of(LESSON)),
    /** Reads or signs who was there. */
    REGISTER(List.of("register", "sign", "attendance", "absent"), Set.of(LESSON, CLASS, PUPIL)),
    /** Reads or changes what holds. */
    RULES(List.of("rules", "rule", "permissions", "settings"), Set.of(LESSON, CLASS)),
    /** Copies the way in. */
    JOINING(List.of("join", "joining", "link", "note", "password", "invite"), Set.of(CLASS)),
    /** Asks why somebody may or may not do something: needs a person and a rule. */
    WHY(List.of("why", "may", "can"), Set.of(PUPIL));

    private final List<String> words;
    private final Set<Kind> takes;

    Act(List<String> words, Set<Kind> takes) {
        this.words = words;
        this.takes = takes;
    }

    /** By which words it is called; the first one is said back. */
    public List<String> words() {
        return words;
    }

    /** A lesson that runs is not covered any more, what is past is not taught, and what is to come has no register. */
    boolean takes(Findable one) {
        boolean isInTime =
                switch (this) {
                    case COVER -> one.when() == When.TO_COME;
                    case DESK -> one.when() != When.PAST;
                    case REGISTER -> one.when() != When.TO_COME;
                    case SEE, RULES, JOINING, WHY -> true;
                };
        return takes.contains(one.kind()) && isInTime;
    }
}
