package juricast.server.questions;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.questions.QuestionsOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Asking a class, and answering. */
@RestController
@RequestMapping("/api")
class QuestionsController {
    private final DeskOrders desk;
    private final SeatOrders seats;

    QuestionsController(DeskOrders desk, SeatOrders seats) {
        this.desk = desk;
        this.seats = seats;
    }

    /**
     * @param prepared which of the class's prepared questions it is, if any
     * @param seconds how long it is open; nothing: until it is closed
     * @param group to which group; nothing: to everybody
     */
    record AskRequest(
            QuestionBody.QuestionGiven question,
            @Nullable String prepared,
            boolean changeable,
            @Nullable Integer seconds,
            @Nullable String group) {}

    record ShowResultsRequest(boolean right) {}

    record MoreSecondsRequest(int seconds) {}

    /** Asks the class a question. */
    @PostMapping("/lessons/{lesson}/questions")
    @For({TEACHER, LEAD})
    Ordered ask(@PathVariable String lesson, @RequestBody AskRequest asked, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new QuestionsOrder.Ask(
                        QuestionBody.question(asked.question),
                        Optional.ofNullable(asked.prepared).filter(id -> id.length() <= 80),
                        asked.changeable,
                        Optional.ofNullable(asked.seconds).map(Duration::ofSeconds),
                        Optional.ofNullable(asked.group)
                                .filter(one -> !one.isBlank())
                                .map(PlaceId::new),
                        caller.person()));
    }

    /** Closes a question. */
    @PostMapping("/lessons/{lesson}/questions/{number}/close")
    @For({TEACHER, LEAD})
    Ordered close(@PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new QuestionsOrder.Close(number, caller.person()));
    }

    /** Gives a question some more time. */
    @PostMapping("/lessons/{lesson}/questions/{number}/longer")
    @For({TEACHER, LEAD})
    Ordered longer(
            @PathVariable String lesson,
            @PathVariable int number,
            @RequestBody MoreSecondsRequest more,
            @AuthenticationPrincipal SignedIn caller) {
        return order(
                lesson, caller, new QuestionsOrder.Extend(number, Duration.ofSeconds(more.seconds), caller.person()));
    }

    /** Reminds who has not answered yet. */
    @PostMapping("/lessons/{lesson}/questions/{number}/nudge")
    @For({TEACHER, LEAD})
    Ordered nudge(@PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new QuestionsOrder.Nudge(number, caller.person()));
    }

    /** Shows the class how it was answered, without names. */
    @PostMapping("/lessons/{lesson}/questions/{number}/show")
    @For({TEACHER, LEAD})
    Ordered show(
            @PathVariable String lesson,
            @PathVariable int number,
            @RequestBody ShowResultsRequest how,
            @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new QuestionsOrder.Show(number, how.right, caller.person()));
    }

    /** Puts a question and its results away. */
    @PostMapping("/lessons/{lesson}/questions/{number}/put-away")
    @For({TEACHER, LEAD})
    Ordered putAway(@PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return order(lesson, caller, new QuestionsOrder.PutAway(number, caller.person()));
    }

    private Ordered order(String lesson, SignedIn caller, LessonOrder order) {
        return desk.order(lesson, caller, order);
    }

    /** @param picked places of choices, from 0 @param number as it is written, with a point or a comma */
    record GivenAnswer(@Nullable List<Integer> picked, @Nullable String number, @Nullable String text) {}

    /** Answers a question. */
    @PostMapping("/seats/{visit}/questions/{number}/answer")
    @For(anyone = true)
    Ordered answer(
            @PathVariable String visit,
            @PathVariable int number,
            @RequestBody GivenAnswer given,
            HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(
                mine,
                new QuestionsOrder.Give(
                        number, mine.visit(), QuestionBody.answer(given.picked, given.number, given.text)));
    }
}
