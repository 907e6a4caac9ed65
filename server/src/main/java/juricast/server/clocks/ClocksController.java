package juricast.server.clocks;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import juricast.core.clocks.ClocksOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Clocks for all, and calls for the first to answer. */
@RestController
@RequestMapping("/api")
class ClocksController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;
    private final LineDelays delays;

    ClocksController(LiveLessons lessons, DeskOrders desk, SeatOrders seats, LineDelays delays) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
        this.delays = delays;
    }

    /** @param seconds of a count-down; nothing: a stopwatch @param tone whether its end is heard */
    record ClockRequest(@Nullable String task, @Nullable Integer seconds, boolean tone) {}

    record ClockLongerRequest(int seconds) {}

    /** @param seconds before presses count */
    record CallRequest(@Nullable String task, int seconds) {}

    /** Starts a clock that all see. */
    @PostMapping("/lessons/{lesson}/clock")
    @For({TEACHER, LEAD})
    Ordered start(
            @PathVariable String lesson, @RequestBody ClockRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new ClocksOrder.Start(
                        text(wanted.task),
                        Optional.ofNullable(wanted.seconds).map(Duration::ofSeconds),
                        wanted.tone,
                        caller.person()));
    }

    /** Pauses the clock. */
    @PutMapping("/lessons/{lesson}/clock/pause")
    @For({TEACHER, LEAD})
    Ordered pause(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ClocksOrder.Pause(caller.person()));
    }

    /** Lets the clock go on. */
    @DeleteMapping("/lessons/{lesson}/clock/pause")
    @For({TEACHER, LEAD})
    Ordered goOn(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ClocksOrder.GoOn(caller.person()));
    }

    /** Gives the clock some more time. */
    @PostMapping("/lessons/{lesson}/clock/longer")
    @For({TEACHER, LEAD})
    Ordered longer(
            @PathVariable String lesson,
            @RequestBody ClockLongerRequest more,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ClocksOrder.Lengthen(Duration.ofSeconds(more.seconds), caller.person()));
    }

    /** Takes the clock away. */
    @DeleteMapping("/lessons/{lesson}/clock")
    @For({TEACHER, LEAD})
    Ordered end(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ClocksOrder.End(caller.person()));
    }

    /** Asks who is first to answer. */
    @PostMapping("/lessons/{lesson}/call")
    @For({TEACHER, LEAD})
    Ordered call(
            @PathVariable String lesson, @RequestBody CallRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new ClocksOrder.Call(text(wanted.task), Duration.ofSeconds(wanted.seconds), caller.person()));
    }

    /** The next in the row has the word. */
    @PostMapping("/lessons/{lesson}/call/next")
    @For({TEACHER, LEAD})
    Ordered passOn(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ClocksOrder.PassOn(caller.person()));
    }

    /** Ends asking who is first to answer. */
    @DeleteMapping("/lessons/{lesson}/call")
    @For({TEACHER, LEAD})
    Ordered endCall(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ClocksOrder.EndCall(caller.person()));
    }

    private static String text(@Nullable String given) {
        return given == null ? "" : given;
    }

    /** @param word what the server sent last; nothing at the first time */
    record EchoRequest(@Nullable String word) {}

    /** @param now the server's time, so that a browser knows when a call opens */
    record Echo(String word, Instant now) {}

    /** Measures how long this browser's line is: what comes is sent back at once. */
    @PostMapping("/seats/{visit}/echo")
    @For(anyone = true)
    Echo echo(@PathVariable String visit, @RequestBody EchoRequest back, HttpServletRequest request) {
        return new Echo(delays.echo(seats.mine(visit, request).visit(), back.word), lessons.now());
    }

    /** Somebody wants to be first. */
    @PostMapping("/seats/{visit}/press")
    @For(anyone = true)
    Ordered press(@PathVariable String visit, HttpServletRequest request) {
        Instant arrived = lessons.now();
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(
                mine,
                new ClocksOrder.Press(
                        mine.visit(), arrived, delays.of(mine.visit()).orElse(Duration.ZERO)));
    }
}
