package juricast.server.recording;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Duration;
import java.util.Optional;
import juricast.core.recording.PauseReason;
import juricast.core.recording.RecordingOrder;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.Ordered;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Starting, pausing and ending a recording. */
@RestController
@RequestMapping("/api/lessons/{lesson}/recording")
class RecordingController {
    private final DeskOrders desk;

    RecordingController(DeskOrders desk) {
        this.desk = desk;
    }

    /** @param minutes after which it goes on by itself; without them it is let go on */
    record RecordingPause(PauseReason reason, @Nullable Integer minutes) {}

    /** Starts it, or lets the recorder try again at once. */
    @PostMapping
    @For({TEACHER, LEAD})
    Ordered start(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RecordingOrder.Start(caller.person()));
    }

    /** Ends it, or calls it off before it began. */
    @DeleteMapping
    @For({TEACHER, LEAD})
    Ordered end(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RecordingOrder.End(caller.person()));
    }

    /** Pauses the recording, with the reason. */
    @PutMapping("/pause")
    @For({TEACHER, LEAD})
    Ordered pause(
            @PathVariable String lesson, @RequestBody RecordingPause wanted, @AuthenticationPrincipal SignedIn caller) {
        Optional<Duration> length = Optional.ofNullable(wanted.minutes).map(Duration::ofMinutes);
        return desk.order(lesson, caller, new RecordingOrder.Pause(wanted.reason, length, caller.person()));
    }

    /** Lets the recording go on. */
    @DeleteMapping("/pause")
    @For({TEACHER, LEAD})
    Ordered goOn(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RecordingOrder.GoOn(caller.person()));
    }
}
