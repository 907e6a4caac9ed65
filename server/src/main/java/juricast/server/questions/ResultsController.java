package juricast.server.questions;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.questions.Answer;
import juricast.core.questions.AskedQuestion;
import juricast.core.questions.ItemStatistics;
import juricast.core.questions.Results;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.files.Download;
import juricast.server.files.TableFile;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.record.Journal;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was answered, after the lesson: in one lesson, by one pupil, of one question over lessons. */
@RestController
@RequestMapping("/api")
class ResultsController {
    /** So far back a pupil's page and statistics look. */
    private static final Duration SHOWN = Duration.ofDays(200);

    private static final int LESSONS = 120;

    private final LessonAnswers answers;
    private final QuestionSets sets;
    private final Reading reading;
    private final Classes classes;
    private final People people;
    private final Clock clock;

    ResultsController(
            LessonAnswers answers, QuestionSets sets, Reading reading, Classes classes, People people, Clock clock) {
        this.answers = answers;
        this.sets = sets;
        this.reading = reading;
        this.classes = classes;
        this.people = people;
        this.clock = clock;
    }

    /** @param forgotten whether answers were erased by rule: then only what was asked is left */
    record ResultsPage(String lesson, String title, Instant starts, boolean forgotten, List<ResultOf> questions) {}

    /** @param named whether it is seen who answered what @param answers empty where it is not */
    record ResultOf(
            int number,
            QuestionsJson.QuestionLine ask,
            Instant askedAt,
            boolean named,
            QuestionsJson.ResultLines results,
            List<QuestionsJson.AnswerOf> answers) {}

    /** What was answered in a lesson. */
    @GetMapping("/lessons/{lesson}/results")
    @Noted("what was answered")
    @For({TEACHER, LEAD})
    ResultsPage results(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned found = reading.ofLesson(caller, Matter.ANSWERS, lesson);
        LessonAnswers.Asked asked = answers.of(found.id());
        return new ResultsPage(
                found.id().value(),
                found.title(),
                found.time().from(),
                asked.forgotten(),
                asked.questions().stream()
                        .map(one -> result(one, one.isNamedFor(caller.person(), asked.plan())))
                        .toList());
    }

    private ResultOf result(AskedQuestion one, boolean named) {
        return new ResultOf(
                one.number(),
                QuestionsJson.line(one.question()),
                one.asked().at(),
                named,
                QuestionsJson.lines(one.results()),
                named
                        ? one.answers().entrySet().stream()
                                .map(each -> answer(one, each.getKey(), each.getValue()))
                                .toList()
                        : List.of());
    }

    private QuestionsJson.AnswerOf answer(AskedQuestion one, PersonId person, Answer given) {
        return new QuestionsJson.AnswerOf(
                person.value(),
                people.nameOf(person),
                Results.wordsOf(one.question(), given),
                one.question().isRight(given).orElse(null),
                one.took(person).map(Duration::toSeconds).orElse(0L));
    }

    /** A line for each answer; without names where they are not seen. */
    @GetMapping(path = "/lessons/{lesson}/results.csv", produces = "text/csv")
    @Noted(value = "what was answered, as a table", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> table(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        ResultsPage page = results(lesson, caller);
        var rows = new ArrayList<List<String>>();
        IntStream.range(0, page.questions.size()).forEach(i -> {
            ResultOf one = page.questions.get(i);
            String number = String.valueOf(i + 1);
            if (one.named) {
                one.answers.forEach(each -> rows.add(List.of(
                        number,
                        one.ask.text(),
                        each.name(),
                        each.words(),
                        "1",
                        yesOrNo(each.right()),
                        String.valueOf(each.seconds()))));
            } else {
                one.results
                        .lines()
                        .forEach(line -> rows.add(List.of(
                                number,
                                one.ask.text(),
                                "",
                                line.words(),
                                String.valueOf(line.count()),
                                yesOrNo(line.right()),
                                "")));
            }
        });
        return Download.csv(
                "answers " + page.title,
                TableFile.write(List.of("Question", "Asked", "Pupil", "Answer", "How many", "Right", "Seconds"), rows));
    }

    private static String yesOrNo(@Nullable Boolean right) {
        return right == null ? "" : right ? "yes" : "no";
    }

    /** A pupil's answers that are seen with names, newest lesson first. */
    record PupilAnswer(
            String lesson, String title, Instant starts, String question, String answer, @Nullable Boolean right) {}

    /** What one pupil has answered. */
    @GetMapping("/pupils/{person}/answers")
    @Noted("what the pupil answered")
    @For({TEACHER, LEAD})
    List<PupilAnswer> ofPupil(@PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        People.Person pupil = people.find(new PersonId(person))
                .filter(one -> one.position() == Position.PUPIL)
                .orElseThrow(() -> Problem.notThere("This pupil"));
        Instant now = clock.instant();
        Set<ClassId> theirs = classes.of(pupil.id(), now).stream()
                .map(Classes.SchoolClass::id)
                .collect(Collectors.toSet());
        Map<ClassId, String> readable = reading.ofPupil(caller, Matter.ANSWERS, pupil.id(), pupil.name(), theirs);
        theirs.retainAll(readable.keySet());
        var all = new ArrayList<PupilAnswer>();
        for (LessonAnswers.Held held : answers.held(theirs, now.minus(SHOWN), LESSONS)) {
            lookIfReadable(held).ifPresent(asked -> asked.questions().stream()
                    .filter(one -> one.isNamedFor(caller.person(), asked.plan()))
                    .filter(one -> one.answers().containsKey(pupil.id()))
                    .map(one -> answer(held, one, one.answers().get(pupil.id())))
                    .forEach(all::add));
        }
        return all;
    }

    private static PupilAnswer answer(LessonAnswers.Held held, AskedQuestion one, Answer given) {
        return new PupilAnswer(
                held.lesson().value(),
                held.title(),
                held.starts(),
                one.question().text(),
                Results.wordsOf(one.question(), given),
                one.question().isRight(given).orElse(null));
    }

    private Optional<LessonAnswers.Asked> lookIfReadable(LessonAnswers.Held held) {
        try {
            return Optional.of(answers.of(held.lesson()));
        } catch (Journal.DamagedRecord damaged) {
            return Optional.empty();
        }
    }

    /** What a prepared question has come to. @param tellsApart from -1 to 1, where enough have answered */
    record QuestionSum(
            String question,
            int answers,
            double share,
            double low,
            double high,
            @Nullable Double tellsApart,
            boolean uncertain) {}

    /** Of the questions that a class keeps, over its lessons. */
    @GetMapping("/classes/{id}/questions/sums")
    @Noted("what questions came to")
    @For({TEACHER, LEAD})
    List<QuestionSum> sums(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.QUESTIONS, id);
        var sheets = new ArrayList<ItemStatistics.Sheet>();
        for (LessonAnswers.Held held :
                answers.held(List.of(found.id()), clock.instant().minus(SHOWN), LESSONS)) {
            lookIfReadable(held).ifPresent(asked -> sheets.addAll(sheets(asked.questions())));
        }
        return sets.of(found.id()).stream()
                .flatMap(set -> set.questions().stream())
                .flatMap(one -> ItemStatistics.of(one.id(), sheets).stream()
                        .map(sum -> new QuestionSum(
                                one.id(),
                                sum.answers(),
                                sum.share(),
                                sum.low(),
                                sum.high(),
                                sum.tellsApart().orElse(null),
                                sum.isUncertain())))
                .toList();
    }

    /** What each person got right in one lesson; of a question asked twice the last time counts. */
    private static List<ItemStatistics.Sheet> sheets(List<AskedQuestion> asked) {
        Map<PersonId, Map<String, Boolean>> people = new HashMap<>();
        for (AskedQuestion one : asked) {
            String id = one.asked().prepared().orElse("asked " + one.number());
            one.answers().forEach((person, answer) -> one.question()
                    .isRight(answer)
                    .ifPresent(right -> people.computeIfAbsent(person, any -> new HashMap<>())
                            .put(id, right)));
        }
        return people.values().stream().map(ItemStatistics.Sheet::new).toList();
    }
}
