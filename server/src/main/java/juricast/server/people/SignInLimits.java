package juricast.server.people;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.function.Supplier;
import juricast.core.identity.DeviceId;
import juricast.server.access.Cookies;
import juricast.server.access.KnownDevices;
import juricast.server.access.TryLimit;
import juricast.server.data.Ids;
import juricast.server.languages.Sentences;
import juricast.server.problems.Problem;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/**
 * Slows guessing without shutting anybody out whom somebody else guesses at: tries are counted for a name from an address, and for an
 * address over all names. Who comes on a device on which they have signed in before is counted by that alone.
 */
@Component
class SignInLimits {
    private static final Duration WITHIN = Duration.ofMinutes(5);
    /** Of one name from one address, or on one device. */
    private static final int OF_A_NAME = 8;
    /** Of all names from one address: a class that shares one, and mistypes now and then, stays below it. */
    private static final int OF_AN_ADDRESS = 30;

    private final KnownDevices devices;
    private final Sentences sentences;
    private final TryLimit ofName;
    private final TryLimit ofAddress;
    private final TryLimit ofSetup;
    private final Supplier<String> nobodysHash;

    SignInLimits(KnownDevices devices, PasswordEncoder passwords, Clock clock, Sentences sentences) {
        this.sentences = sentences;
        this.devices = devices;
        this.ofName = new TryLimit(OF_A_NAME, WITHIN, clock);
        this.ofAddress = new TryLimit(OF_AN_ADDRESS, WITHIN, clock);
        this.ofSetup = new TryLimit(OF_AN_ADDRESS, WITHIN, clock);
        this.nobodysHash = SingletonSupplier.of(() -> passwords.encode(Ids.next()));
    }

    /** Made once the doors are open and not on the way there, so that the first wrong name takes no longer than others. */
    @Scheduled(initialDelay = 2_000)
    void makeReady() {
        nobodysHash();
    }

    /** A try that is counted. */
    final class Try {
        private final Optional<People.Account> account;
        private final String key;
        private final Optional<String> address;

        private Try(Optional<People.Account> account, String key, Optional<String> address) {
            this.account = account;
            this.key = key;
            this.address = address;
        }

        /** It counts no more. */
        void wasRight() {
            ofName.forget(key);
            address.ifPresent(ofAddress::giveBack);
        }

        /** It counts no more, and the device is known from now on. */
        void wasRight(DeviceId device) {
            wasRight();
            account.ifPresent(one -> devices.remember(subject(one.person()), device));
        }
    }

    /** What no password fits to. */
    String nobodysHash() {
        return nobodysHash.get();
    }

    /** Counts a try before anything is compared. @throws Problem if there were too many */
    Try take(String name, Optional<People.Account> account, HttpServletRequest request) {
        Optional<DeviceId> device = Cookies.device(request);
        String subject = account.map(one -> subject(one.person())).orElse("");
        boolean isKnown = account.isPresent() && devices.knows(subject, device);
        String address = request.getRemoteAddr();
        String key = isKnown ? subject + " on " + device.orElseThrow().value() : name + " from " + address;
        if (!ofName.take(key) || !isKnown && !ofAddress.take(address)) {
            throw Problem.tooMany(
                    sentences.or("Too many tries", "limits.tries.title"),
                    sentences.or("Wait five minutes, then try again, or ask for a new password.", "limits.tries.do"));
        }
        return new Try(account, key, isKnown ? Optional.empty() : Optional.of(address));
    }

    /** The same for the setup word. */
    void takeSetup(HttpServletRequest request) {
        if (!ofSetup.take(request.getRemoteAddr())) {
            throw Problem.tooMany("Too many tries", "Wait five minutes, then try again.");
        }
    }

    private static String subject(People.Person person) {
        return "person:" + person.id().value();
    }
}
