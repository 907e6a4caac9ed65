package juricast.server.upkeep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import juricast.server.data.Backup;
import juricast.server.data.BackupFolder;
import juricast.server.data.School;
import juricast.server.data.SchoolFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;

/** Makes a backup each day by itself, and keeps as many as are to be kept (need N3). */
@Component
class Backups implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    /** One that failed for a day is a worry; half a day more is patience. */
    private static final Duration OLD = Duration.ofHours(36);

    private final Path data;
    private final Path folder;
    private final int keep;
    private final int hour;
    private final boolean demo;
    private final Backup.Chains chains;
    private final School school;
    private final Clock clock;
    /** Copying a year and looking it through takes seconds, in which the clock of the lessons must not stand. */
    private final ScheduledExecutorService beside =
            Executors.newSingleThreadScheduledExecutor(new CustomizableThreadFactory("backup-"));

    private volatile String lastFailure = "";
    private volatile List<String> damaged = List.of();

    Backups(
            @Value("${juricast.data}") String data,
            @Value("${juricast.backups.folder}") String folder,
            @Value("${juricast.backups.keep}") int keep,
            @Value("${juricast.backups.hour}") int hour,
            @Value("${juricast.demo}") boolean demo,
            Backup.Chains chains,
            School school,
            Clock clock) {
        this.data = Path.of(data).toAbsolutePath();
        this.folder = BackupFolder.of(this.data, folder);
        this.keep = Math.max(1, keep);
        this.hour = hour;
        this.demo = demo;
        this.chains = chains;
        this.school = school;
        this.clock = clock;
        beside.scheduleWithFixedDelay(this::look, 30, 60, TimeUnit.SECONDS);
    }

    /** A fault would end all further turns. */
    private void look() {
        try {
            daily();
        } catch (RuntimeException | Error failed) {
            LOG.error("It could not be looked after the daily backup; it is done again in a minute", failed);
        }
    }

    @Override
    public void destroy() {
        beside.shutdownNow();
    }

    Path folder() {
        return folder;
    }

    int keep() {
        return keep;
    }

    int hour() {
        return hour;
    }

    /** Newest first. */
    List<BackupFolder.Kept> all() {
        return BackupFolder.in(folder);
    }

    /** Why the last one was not made; empty if it was. */
    String lastFailure() {
        return lastFailure;
    }

    /** Lessons that the last one found damaged in the school's file. */
    List<String> damaged() {
        return damaged;
    }

    /** Whether somebody should look after it: no good one for more than a day and a half. */
    boolean isOld(Instant now) {
        Optional<Instant> last = all().stream().map(BackupFolder.Kept::at).findFirst();
        // A school of today has none yet.
        return !demo
                && school.identity().isPresent()
                && (last.map(at -> at.plus(OLD).isBefore(now)).orElse(!lastFailure.isEmpty()));
    }

    /** Once a day, after its hour; when the machine was off then, as soon as it is on. */
    void daily() {
        Instant now = clock.instant();
        if (demo || school.identity().isEmpty() || now.atZone(school.zone()).getHour() < hour) {
            return;
        }
        LocalDate today = school.date(now);
        boolean isMade = all().stream().anyMatch(one -> school.date(one.at()).equals(today));
        if (!isMade) {
            try {
                make();
            } catch (Backup.NotGood | IOException failed) {
                LOG.error("The daily backup was not made: {}. It is tried again.", failed.getMessage());
            }
        }
    }

    /** Makes one now. One at a time. */
    synchronized Backup.Made make() throws Backup.NotGood, IOException {
        try {
            Backup.Made made = Backup.make(data, BackupFolder.file(folder, clock.instant()), chains);
            lastFailure = "";
            damaged = made.damaged();
            for (BackupFolder.Kept old : all().stream().skip(keep).toList()) {
                Files.deleteIfExists(old.file());
                Files.deleteIfExists(SchoolFile.recordKey(old.file()));
            }
            return made;
        } catch (Backup.NotGood | IOException failed) {
            lastFailure = String.valueOf(failed.getMessage());
            throw failed;
        }
    }
}
