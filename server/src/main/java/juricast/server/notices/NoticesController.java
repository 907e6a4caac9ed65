package juricast.server.notices;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import juricast.core.notices.NoticesOrder;
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

/** Welcoming who arrives, and announcements. */
@RestController
@RequestMapping("/api/lessons/{lesson}")
class NoticesController {
    private final DeskOrders desk;

    NoticesController(DeskOrders desk) {
        this.desk = desk;
    }

    record NoticeRequest(@Nullable String text) {}

    /** Who arrives from now on is welcomed so. @param wanted an empty text: no welcome */
    @PutMapping("/welcome")
    @For({TEACHER, LEAD})
    Ordered welcome(
            @PathVariable String lesson, @RequestBody NoticeRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new NoticesOrder.Welcome(text(wanted), caller.person()));
    }

    /** Puts up an announcement for the class. */
    @PostMapping("/announcements")
    @For({TEACHER, LEAD})
    Ordered putUp(
            @PathVariable String lesson, @RequestBody NoticeRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new NoticesOrder.PutUp(text(wanted), caller.person()));
    }

    /** Takes an announcement down. */
    @DeleteMapping("/announcements/{number}")
    @For({TEACHER, LEAD})
    Ordered takeDown(@PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new NoticesOrder.TakeDown(number, caller.person()));
    }

    private static String text(NoticeRequest wanted) {
        return wanted.text == null ? "" : wanted.text;
    }
}
