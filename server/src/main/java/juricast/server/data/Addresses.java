package juricast.server.data;

import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Where this school's Juricast is found: told, never taken from what a request says, so that nobody can make it write links that lead
 * elsewhere. Until it is told it is found on the own machine only.
 */
@Component
public class Addresses {
    private static final Set<String> OWN_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]");

    private final String told;
    private final String host;
    private final Environment environment;

    /** @throws CannotStart if what is told does not fit together */
    Addresses(
            @Value("${juricast.address}") String told,
            @Value("${juricast.proxy}") String proxy,
            @Value("${server.address}") String bound,
            Environment environment) {
        this.told = told.strip().replaceFirst("/+$", "");
        this.host = this.told.isEmpty() ? "" : hostOf(this.told);
        this.environment = environment;
        if (this.told.isEmpty() && !isOwnMachine(bound)) {
            throw new CannotStart(
                    "Others could reach it at %s, but it is not told under which address.".formatted(bound),
                    "Say it: --juricast.address=https://lessons.school.example");
        }
        if (this.told.startsWith("https:")
                && proxy.isBlank()
                && !environment.containsProperty("server.ssl.key-store")) {
            throw new CannotStart(
                    "People are to come by https, but no web server in front is named that does it.",
                    "Say from where it speaks to this one: --juricast.proxy=127.0.0.1 (see docs/running.md)");
        }
    }

    private static String hostOf(String address) {
        try {
            URI read = URI.create(address);
            if (read.getHost() != null && Set.of("http", "https").contains(read.getScheme())) {
                return read.getHost().toLowerCase(Locale.ROOT);
            }
        } catch (IllegalArgumentException unreadable) {
            // Said below.
        }
        throw new CannotStart(
                "“%s” is no address.".formatted(address),
                "Say it as --juricast.address=https://lessons.school.example");
    }

    private static boolean isOwnMachine(String bound) {
        try {
            return InetAddress.getByName(bound).isLoopbackAddress();
        } catch (UnknownHostException unknown) {
            return false;
        }
    }

    /** The whole address of a path. */
    public String of(String path) {
        return (told.isEmpty() ? "http://localhost:" + environment.getProperty("local.server.port") : told) + path;
    }

    /** Whether a request was meant for this program: a name that somebody else made lead here is none of ours. */
    public boolean isOurs(String hostAndPort) {
        String asked = hostAndPort.toLowerCase(Locale.ROOT).replaceFirst(":\\d+$", "");
        return OWN_MACHINE.contains(asked) || !host.isEmpty() && asked.equals(host);
    }
}
