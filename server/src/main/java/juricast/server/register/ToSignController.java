package juricast.server.register;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Instant;
import java.util.List;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Registers that wait for somebody's signature. */
@RestController
@RequestMapping("/api/registers")
class ToSignController {
    private final ToSign toSign;

    ToSignController(ToSign toSign) {
        this.toSign = toSign;
    }

    record UnsignedRegister(String lesson, String title, Instant starts, Instant ends) {}

    /** Registers of the caller's own finished lessons that nobody has signed, the oldest first. */
    @GetMapping("/unsigned")
    @For({TEACHER, LEAD})
    List<UnsignedRegister> unsigned(@AuthenticationPrincipal SignedIn caller) {
        return toSign.lessons(caller.person()).stream()
                .map(one -> new UnsignedRegister(
                        one.id().value(),
                        one.title(),
                        one.time().from(),
                        one.time().until()))
                .toList();
    }
}
