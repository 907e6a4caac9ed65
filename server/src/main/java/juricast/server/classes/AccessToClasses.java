package juricast.server.classes;

import java.time.Clock;
import java.util.List;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.Role;
import juricast.server.access.SignedIn;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** Who may change a class. Who may read what of it is for {@link Reading}. */
@Component
public class AccessToClasses {
    private final Classes classes;
    private final Clock clock;

    AccessToClasses(Classes classes, Clock clock) {
        this.classes = classes;
        this.clock = clock;
    }

    /** The class, for one of its adults or the safeguarding lead; 403 for others. */
    public Classes.SchoolClass ofAdultsOrLead(SignedIn caller, String id) {
        return caller.isLead() ? find(id) : runBy(caller, id);
    }

    /** Whether this is one of its adults or the safeguarding lead. */
    public boolean isAdultOrLead(SignedIn caller, ClassId id) {
        return caller.isLead() || runs(caller, id);
    }

    /** Whether this is one of its adults, who change what is in it. */
    public boolean runs(SignedIn caller, ClassId id) {
        return classes.runBy(caller.person(), clock.instant()).contains(id);
    }

    /** The class, for one of its adults; 403 for others. */
    public Classes.SchoolClass runBy(SignedIn caller, String id) {
        Classes.SchoolClass found = find(id);
        if (!runs(caller, found.id())) {
            throw Problem.notYours(
                    "You are not an adult of “%s”".formatted(found.title()),
                    "Ask one of its adults, or the safeguarding lead.");
        }
        return found;
    }

    /** The class, for who decides about its adults: its lead adult, or the safeguarding lead; 403 for others. */
    Classes.SchoolClass ledBy(SignedIn caller, String id) {
        Classes.SchoolClass found = ofAdultsOrLead(caller, id);
        List<Member> members = classes.members(found.id(), clock.instant());
        if (!decides(caller, members)) {
            throw Problem.notYours(
                    "You do not lead “%s”".formatted(found.title()),
                    "Ask %s, or the safeguarding lead."
                            .formatted(members.stream()
                                    .filter(one -> one.role() == Role.LEAD_ADULT)
                                    .map(Member::name)
                                    .findFirst()
                                    .orElse("its lead adult")));
        }
        return found;
    }

    static boolean decides(SignedIn caller, List<Member> members) {
        return caller.isLead()
                || members.stream()
                        .anyMatch(one -> one.person().equals(caller.person()) && one.role() == Role.LEAD_ADULT);
    }

    private Classes.SchoolClass find(String id) {
        return classes.find(new ClassId(id)).orElseThrow(() -> Problem.notThere("This class"));
    }
}
