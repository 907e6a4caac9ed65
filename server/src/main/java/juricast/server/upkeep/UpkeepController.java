package juricast.server.upkeep;

import static juricast.server.access.Position.LEAD;

import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import juricast.server.access.For;
import juricast.server.data.Backup;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Backups, the disk and what else must be looked after, for the lead. */
@RestController
@RequestMapping("/api/upkeep")
class UpkeepController {
    private final Upkeep upkeep;
    private final Backups backups;
    private final Clock clock;

    UpkeepController(Upkeep upkeep, Backups backups, Clock clock) {
        this.upkeep = upkeep;
        this.backups = backups;
        this.clock = clock;
    }

    /**
     * @param hour from which hour of the day a backup is made by itself
     * @param keep how many are kept
     */
    record UpkeepPage(
            Instant now,
            List<Upkeep.Check> checks,
            String folder,
            int hour,
            int keep,
            @Nullable Instant lastBackup,
            List<BackupLine> backups) {}

    record BackupLine(String file, Instant at, long bytes) {}

    /** Whether the program is well: records, backups, disk. */
    @GetMapping
    @For(LEAD)
    UpkeepPage page() {
        List<BackupLine> all = backups.all().stream()
                .map(one -> new BackupLine(one.file().getFileName().toString(), one.at(), one.bytes()))
                .toList();
        return new UpkeepPage(
                clock.instant(),
                upkeep.checks(),
                backups.folder().toString(),
                backups.hour(),
                backups.keep(),
                all.isEmpty() ? null : all.get(0).at,
                all);
    }

    /** Makes a backup now. 409 with the reason if it could not be made. */
    @PostMapping("/backups")
    @For(LEAD)
    UpkeepPage make() {
        try {
            backups.make();
        } catch (Backup.NotGood | IOException failed) {
            throw Problem.refused(
                    "no-backup",
                    "The backup was not made",
                    failed.getMessage() + ". The backups that were there still are.",
                    "Make room on the disk, or tell whoever looks after the school's computer.");
        }
        return page();
    }
}
