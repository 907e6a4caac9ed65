package juricast.core.inspection;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;

/**
 * One weak spot.
 *
 * @param ofClass the class it is about
 * @param lesson the lesson it is about; empty where it is about the class as a whole
 * @param other the lesson it clashes with
 * @param otherClass the class of that lesson, or the one with the near word
 * @param people adults or pupils it is about; all of them, in a fixed order
 * @param is what is: minutes, people or bits, as the kind says
 * @param wanted what the rule or the calendar wants, in the same unit
 * @param mend how the program can mend it, if it can
 */
public record Finding(
        FindingKind kind,
        ClassId ofClass,
        Optional<LessonId> lesson,
        Optional<LessonId> other,
        Optional<ClassId> otherClass,
        List<PersonId> people,
        int is,
        int wanted,
        Optional<Mend> mend) {
    public Finding {
        people = List.copyOf(people);
    }

    /** Names this weak spot for as long as it is the same one, also over a restart: an acceptance is about it. */
    public String key() {
        return Stream.concat(
                        Stream.of(
                                kind.name(),
                                ofClass.value(),
                                lesson.map(LessonId::value).orElse(""),
                                other.map(LessonId::value).orElse(""),
                                otherClass.map(ClassId::value).orElse("")),
                        people.stream().map(PersonId::value).limit(named()))
                .collect(Collectors.joining("|"));
    }

    /** Each adult of two lessons makes a weak spot of their own, and so do any who are to stay apart; other pupils make one together. */
    private int named() {
        return switch (kind) {
            case ADULT_TWICE, GAP_FOR_ADULT -> 1;
            case KEPT_APART_MET, KEPT_APART_PLANNED -> people.size();
            default -> 0;
        };
    }

    static Finding ofLesson(FindingKind kind, InspectedLesson lesson) {
        return new Finding(
                kind,
                lesson.ofClass(),
                Optional.of(lesson.id()),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                0,
                0,
                Optional.empty());
    }

    static Finding ofClass(FindingKind kind, InspectedClass of) {
        return new Finding(
                kind, of.id(), Optional.empty(), Optional.empty(), Optional.empty(), List.of(), 0, 0, Optional.empty());
    }

    Finding against(InspectedLesson clash) {
        return new Finding(
                kind, ofClass, lesson, Optional.of(clash.id()), Optional.of(clash.ofClass()), people, is, wanted, mend);
    }

    Finding near(InspectedClass neighbour) {
        return new Finding(kind, ofClass, lesson, other, Optional.of(neighbour.id()), people, is, wanted, mend);
    }

    Finding about(List<PersonId> whom) {
        return new Finding(kind, ofClass, lesson, other, otherClass, whom, is, wanted, mend);
    }

    Finding measured(int found, int expected) {
        return new Finding(kind, ofClass, lesson, other, otherClass, people, found, expected, mend);
    }

    Finding mendedBy(Mend how) {
        return new Finding(kind, ofClass, lesson, other, otherClass, people, is, wanted, Optional.of(how));
    }
}
