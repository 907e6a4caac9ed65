package juricast.server.outside;

import java.util.List;
import juricast.server.access.For;
import juricast.server.problems.Problem;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sign-in of another place, simulated. */
@RestController
@RequestMapping("/api/outside/accounts")
class OutsideAccountController {
    private static final int SHOWN = 60;

    private final OutsideAccounts accounts;

    OutsideAccountController(OutsideAccounts accounts) {
        this.accounts = accounts;
    }

    record OutsideSignIn(String address) {}

    /** @param ticket what the other place gives, to be shown at the door */
    record OutsideTicket(String ticket) {}

    /** Signs in at another place, which is only simulated. */
    @PostMapping
    @For(anyone = true)
    OutsideTicket signIn(@RequestBody OutsideSignIn wanted) {
        String address = String.valueOf(wanted.address).strip();
        if (!OutsideAccounts.isAddress(address)) {
            throw Problem.notReadable(
                    "This is no address of an account",
                    "“%s” was not taken."
                            .formatted(address.length() > SHOWN ? address.substring(0, SHOWN) + "…" : address),
                    "Write it as name@place, as the other school gave it to you.",
                    List.of());
        }
        return new OutsideTicket(accounts.vouch(address));
    }
}
