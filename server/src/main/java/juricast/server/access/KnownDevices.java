package juricast.server.access;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import juricast.core.identity.DeviceId;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/**
 * Devices that came with the right word or password before. Whoever guesses from the same address, or at the same name, can
 * therefore not shut them out.
 */
@Component
public class KnownDevices {
    private static final Duration KEPT = Duration.ofDays(400);

    private final Database database;
    private final Clock clock;

    KnownDevices(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** @param subject what the device knew the word or password of */
    public boolean knows(String subject, Optional<DeviceId> device) {
        return device.isPresent()
                && database.read()
                        .sql("SELECT 1 FROM known_device WHERE subject = :subject AND device = :device AND at > :from")
                        .param("subject", subject)
                        .param("device", device.get().value())
                        .param("from", clock.instant().minus(KEPT).toEpochMilli())
                        .query()
                        .optionalValue()
                        .isPresent();
    }

    public void remember(String subject, DeviceId device) {
        if (!knows(subject, Optional.of(device))) {
            database.append(sql -> {
                sql.sql("DELETE FROM known_device WHERE at <= :before")
                        .param("before", clock.instant().minus(KEPT).toEpochMilli())
                        .update();
                return sql.sql(
                                """
                        INSERT INTO known_device (subject, device, at) VALUES (:subject, :device, :at)
                        ON CONFLICT (subject, device) DO UPDATE SET at = excluded.at""")
                        .param("subject", subject)
                        .param("device", device.value())
                        .param("at", clock.millis())
                        .update();
            });
        }
    }
}
