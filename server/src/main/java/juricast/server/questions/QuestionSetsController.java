package juricast.server.questions;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import juricast.core.identity.ClassId;
import juricast.core.limits.Limits;
import juricast.core.questions.Question;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.access.Takes;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Ids;
import juricast.server.files.Download;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Questions a class prepares: kept in sets, read from files, written into files. */
@RestController
@RequestMapping("/api/classes/{id}/question-sets")
class QuestionSetsController {
    private final QuestionSets sets;
    private final Reading reading;
    private final AccessToClasses access;
    private final People people;

    QuestionSetsController(QuestionSets sets, Reading reading, AccessToClasses access, People people) {
        this.sets = sets;
        this.reading = reading;
        this.access = access;
        this.people = people;
    }

    record SetsPage(String ofClass, String title, boolean editable, List<QuestionSetLine> sets) {}

    /** @param version as it was read; a change names it */
    record QuestionSetLine(
            String id, String name, int version, String by, Instant at, List<PreparedQuestion> questions) {}

    /** @param id by which it is known over lessons */
    record PreparedQuestion(String id, QuestionsJson.QuestionLine ask) {}

    /** @param id of one that is there already; nothing for a new one */
    record QuestionInSet(@Nullable String id, QuestionBody.QuestionGiven ask) {}

    /** @param version that was seen; 0 for a new set */
    record QuestionSetRequest(@Nullable String name, int version, @Nullable List<QuestionInSet> questions) {}

    /** What a file holds; nothing is kept by asking. @param leftOut what of it is not taken */
    record FileRead(String name, List<QuestionsJson.QuestionLine> questions, List<String> leftOut) {}

    /** The questions that a class keeps. */
    @GetMapping
    @For({TEACHER, LEAD})
    SetsPage sets(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.QUESTIONS, id);
        return new SetsPage(
                found.id().value(),
                found.title(),
                access.isAdultOrLead(caller, found.id()),
                sets.of(found.id()).stream().map(this::line).toList());
    }

    private QuestionSetLine line(QuestionSets.Kept one) {
        return new QuestionSetLine(
                one.id(),
                one.name(),
                one.version(),
                people.nameOf(one.by()),
                one.at(),
                one.questions().stream()
                        .map(each -> new PreparedQuestion(each.id(), QuestionsJson.line(each.question())))
                        .toList());
    }

    /** Keeps a new set of questions. */
    @PostMapping
    @Takes(Takes.FORM)
    @For({TEACHER, LEAD})
    SetsPage add(
            @PathVariable String id, @RequestBody QuestionSetRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        if (sets.of(found.id()).size() >= QuestionSets.SETS) {
            throw wrong("A class keeps up to %d sets. Delete one first.".formatted(QuestionSets.SETS));
        }
        sets.add(found.id(), name(wanted), questions(wanted, List.of()), caller.person());
        return sets(id, caller);
    }

    /** Changes a set of questions. */
    @PutMapping("/{set}")
    @Takes(Takes.FORM)
    @For({TEACHER, LEAD})
    SetsPage change(
            @PathVariable String id,
            @PathVariable String set,
            @RequestBody QuestionSetRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        QuestionSets.Kept before = known(found.id(), set);
        List<String> known =
                before.questions().stream().map(QuestionSets.Prepared::id).toList();
        sets.change(set, wanted.version, name(wanted), questions(wanted, known), caller.person());
        return sets(id, caller);
    }

    /** Deletes a set of questions. */
    @DeleteMapping("/{set}")
    @For({TEACHER, LEAD})
    SetsPage delete(@PathVariable String id, @PathVariable String set, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        sets.delete(known(found.id(), set).id());
        return sets(id, caller);
    }

    /** The same set for another class, under ids of its own. @param to which class, one of the caller's */
    @PostMapping("/{set}/copy")
    @For({TEACHER, LEAD})
    SetsPage copy(
            @PathVariable String id,
            @PathVariable String set,
            @RequestParam String to,
            @AuthenticationPrincipal SignedIn caller) {
        QuestionSets.Kept from =
                known(reading.ofClass(caller, Matter.QUESTIONS, id).id(), set);
        Classes.SchoolClass other = access.ofAdultsOrLead(caller, to);
        if (sets.of(other.id()).size() >= QuestionSets.SETS) {
            throw wrong("A class keeps up to %d sets. Delete one there first.".formatted(QuestionSets.SETS));
        }
        sets.add(
                other.id(),
                from.name(),
                from.questions().stream()
                        .map(one -> new QuestionSets.Prepared(Ids.next(), one.question()))
                        .toList(),
                caller.person());
        return sets(to, caller);
    }

    /** Reads questions from a file, and keeps nothing yet. */
    @PostMapping("/file")
    @Takes(Takes.FORM)
    @For({TEACHER, LEAD})
    FileRead read(@PathVariable String id, @RequestParam MultipartFile file, @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        access.ofAdultsOrLead(caller, id);
        byte[] bytes = file.getBytes();
        QuestionFiles.Read found = QuestionFiles.isQti(bytes) ? Qti.read(bytes) : QuestionFiles.read(bytes);
        String name = file.getOriginalFilename() == null
                ? ""
                : file.getOriginalFilename().replaceFirst("\\.\\w+$", "");
        return new FileRead(
                name.length() > Limits.NAME ? name.substring(0, Limits.NAME) : name,
                found.questions().stream().map(QuestionsJson::line).toList(),
                found.leftOut());
    }

    /** A set of questions as a table, which can be taken back in. */
    @GetMapping(path = "/{set}/questions.csv", produces = "text/csv")
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> table(
            @PathVariable String id, @PathVariable String set, @AuthenticationPrincipal SignedIn caller) {
        QuestionSets.Kept found =
                known(reading.ofClass(caller, Matter.QUESTIONS, id).id(), set);
        return Download.csv(found.name(), QuestionFiles.table(plain(found)));
    }

    /** Items of QTI 2.1 in an archive, with a list of what they do not carry. */
    @GetMapping(path = "/{set}/questions.zip", produces = "application/zip")
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> items(
            @PathVariable String id, @PathVariable String set, @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        QuestionSets.Kept found =
                known(reading.ofClass(caller, Matter.QUESTIONS, id).id(), set);
        return Download.zip(found.name(), Qti.write(found.name(), plain(found)));
    }

    private static List<Question> plain(QuestionSets.Kept found) {
        return found.questions().stream().map(QuestionSets.Prepared::question).toList();
    }

    private QuestionSets.Kept known(ClassId of, String set) {
        return sets.find(of, set).orElseThrow(() -> Problem.notThere("This set of questions"));
    }

    private static String name(QuestionSetRequest wanted) {
        String name = wanted.name == null ? "" : wanted.name.strip();
        if (name.isEmpty() || name.length() > Limits.NAME) {
            throw wrong("Give the set a name of up to %d characters.".formatted(Limits.NAME));
        }
        return name;
    }

    /** @param known ids of questions that were there before */
    private static List<QuestionSets.Prepared> questions(QuestionSetRequest wanted, List<String> known) {
        List<QuestionInSet> given = wanted.questions == null ? List.of() : wanted.questions;
        if (given.size() > QuestionSets.QUESTIONS) {
            throw wrong("A set holds up to %d questions. Make two of it.".formatted(QuestionSets.QUESTIONS));
        }
        return IntStream.range(0, given.size())
                .mapToObj(i -> {
                    Question one = QuestionBody.question(given.get(i).ask);
                    one.wrong().ifPresent(why -> {
                        throw wrong("Question %d: %s".formatted(i + 1, QuestionFiles.says(why.name())));
                    });
                    String id = given.get(i).id;
                    return new QuestionSets.Prepared(id != null && known.contains(id) ? id : Ids.next(), one);
                })
                .toList();
    }

    private static Problem wrong(String whatToDo) {
        return Problem.refused("questions", "These questions cannot be kept so", "Nothing was changed.", whatToDo);
    }
}
