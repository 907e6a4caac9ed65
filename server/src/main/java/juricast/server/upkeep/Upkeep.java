package juricast.server.upkeep;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.server.data.BackupFolder;
import juricast.server.data.Database;
import juricast.server.data.DiskSpace;
import juricast.server.lesson.Pulse;
import juricast.server.record.IncidentWatch;
import juricast.server.record.RecordWatch;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** What is well with the program and what is not, found out in one place for the lead's page, for {@code /health} and for measures. */
@Component
class Upkeep {
    private final Pulse pulse;
    private final Backups backups;
    private final DiskSpace disk;
    private final Database database;
    private final RecordWatch records;
    private final IncidentWatch incidents;
    private final Clock clock;

    Upkeep(
            Pulse pulse,
            Backups backups,
            DiskSpace disk,
            Database database,
            RecordWatch records,
            IncidentWatch incidents,
            Clock clock) {
        this.incidents = incidents;
        this.records = records;
        this.pulse = pulse;
        this.backups = backups;
        this.disk = disk;
        this.database = database;
        this.clock = clock;
    }

    /** One thing that was looked at. @param ready whether lessons can be held all the same */
    record Check(String what, boolean well, boolean ready, String say) {}

    List<Check> checks() {
        var checks = new ArrayList<Check>();
        boolean writes = pulse.isWriting();
        checks.add(new Check(
                "journal",
                writes,
                writes,
                writes ? "What is ordered reaches the disk." : "Orders do not reach the disk in time."));
        boolean reads = reads();
        checks.add(new Check(
                "file", reads, reads, reads ? "The school's file answers." : "The school's file does not answer."));
        checks.add(disk());
        checks.add(records());
        checks.add(backup(clock.instant()));
        return checks;
    }

    private boolean reads() {
        try {
            return database.read().sql("SELECT 1").query(Integer.class).single() == 1;
        } catch (DataAccessException failed) {
            return false;
        }
    }

    private Check disk() {
        long megabytes = disk.free() / 1_000_000;
        return disk.isNearlyFull()
                ? new Check(
                        "disk",
                        false,
                        megabytes > 0,
                        "The disk is nearly full: %,d MB are left. Make room before lessons cannot be kept."
                                .formatted(megabytes))
                : new Check("disk", true, true, "%,d MB are left on the disk.".formatted(megabytes));
    }

    private Check records() {
        List<String> damaged = Stream.concat(
                        records.damaged().stream().map(one -> "lesson %s at event %d"
                                .formatted(one.lesson().value(), one.number())),
                        incidents.damaged().stream())
                .toList();
        if (!damaged.isEmpty() || !records.isComplete()) {
            return new Check(
                    "records",
                    false,
                    true,
                    (damaged.isEmpty() ? "" : "Records that are damaged: " + String.join(", ", damaged) + ". ")
                            + (records.isComplete() ? "" : "There are not as many records as were written. ")
                            + "A backup may have them whole.");
        }
        return new Check(
                "records",
                true,
                true,
                records.allLookedAtSince()
                        .map(at -> "All records are as they were written; the oldest look was at " + at + ".")
                        .orElse("Records are looked at each night; not all have been yet."));
    }

    private Check backup(Instant now) {
        Optional<BackupFolder.Kept> last = backups.all().stream().findFirst();
        String when =
                last.map(one -> "The last good backup is of " + one.at() + ".").orElse("There is no backup yet.");
        boolean isWell = !backups.isOld(now) && backups.damaged().isEmpty();
        String why = backups.lastFailure().isEmpty() ? "" : " The last try failed: " + backups.lastFailure() + ".";
        String damaged = backups.damaged().isEmpty()
                ? ""
                : " Records that are damaged: " + String.join(", ", backups.damaged()) + ".";
        return new Check("backup", isWell, true, when + why + damaged);
    }
}
