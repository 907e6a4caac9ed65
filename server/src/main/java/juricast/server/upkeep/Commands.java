package juricast.server.upkeep;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import juricast.server.data.Backup;
import juricast.server.data.CannotStart;
import juricast.server.data.SchoolFile;
import juricast.server.evidence.VerifyCommand;
import juricast.server.record.RecordChains;
import org.slf4j.LoggerFactory;

/** What is done to a school's file from the command line, whether or not the program runs on it: {@code backup} and {@code restore}; and {@code verify}, which needs no school. */
public final class Commands {
    private static final String DATA = "--juricast.data=";
    private static final String USUAL = "data/juricast.db";
    /** The running program looks for what is to be restored each second, and starts anew with it. */
    private static final int TURNS = 600;

    private static final int TURN_MS = 100;

    private final Backup.Chains chains = new RecordChains();
    private final PrintStream out;

    public Commands(PrintStream out) {
        this.out = out;
        // Whoever gives a command reads what became of it, not how.
        ((Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME)).setLevel(Level.WARN);
    }

    public static boolean isOne(String[] words) {
        return words.length > 0 && List.of("backup", "restore", "verify").contains(words[0]);
    }

    /** @return what the process exits with: 0 if it was done, 1 if not, 2 if it was not understood */
    public int run(String[] words) {
        List<String> files = Arrays.stream(words)
                .skip(1)
                .filter(word -> !word.startsWith("--"))
                .toList();
        if (words[0].equals("verify") && files.size() == 1) {
            return VerifyCommand.run(files.get(0), out);
        }
        Path data = Arrays.stream(words)
                .filter(word -> word.startsWith(DATA))
                .map(word -> Path.of(word.substring(DATA.length())))
                .findFirst()
                .orElse(Path.of(USUAL));
        if (files.size() != 1) {
            out.println("Say which file: ./juricast %s FILE [%s%s]".formatted(words[0], DATA, USUAL));
            return 2;
        }
        Path file = Path.of(files.get(0)).toAbsolutePath();
        try {
            return words[0].equals("backup") ? backup(new SchoolFile(data), file) : restore(new SchoolFile(data), file);
        } catch (Backup.NotGood notGood) {
            out.println("Not done: " + notGood.getMessage() + ".");
        } catch (IOException | CannotStart failed) {
            out.println("Not done: " + failed.getMessage());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            out.println("Stopped before it was known whether it was restored.");
        }
        return 1;
    }

    private int backup(SchoolFile school, Path to) throws Backup.NotGood, IOException {
        Backup.Made made = Backup.make(school.database(), to, chains);
        out.println("Written and looked through: %s, %,d bytes.".formatted(made.file(), made.bytes()));
        tell(made.damaged());
        return 0;
    }

    private void tell(List<String> damaged) {
        damaged.forEach(one -> out.println("Damaged already in the school's file: the record of " + one));
    }

    private int restore(SchoolFile school, Path from) throws Backup.NotGood, IOException, InterruptedException {
        tell(Backup.check(from, chains));
        Path part = school.toRestore().resolveSibling(school.toRestore().getFileName() + ".part");
        Files.createDirectories(part.getParent());
        Files.copy(from, part, StandardCopyOption.REPLACE_EXISTING);
        if (Files.exists(SchoolFile.recordKey(from))) {
            Files.copy(SchoolFile.recordKey(from), school.keyToRestore(), StandardCopyOption.REPLACE_EXISTING);
        }
        Files.move(part, school.toRestore(), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        for (int turn = 0; turn < TURNS && Files.exists(school.toRestore()); turn++) {
            Optional<SchoolFile.Held> held = school.hold();
            if (held.isPresent()) {
                try {
                    school.takeRestored();
                } finally {
                    held.get().close();
                }
            } else {
                Thread.sleep(TURN_MS);
            }
        }
        if (Files.exists(school.toRestore())) {
            out.println("The program that runs has not taken it yet; it does so at its next start.");
            return 1;
        }
        out.println("Restored. What was there before is kept beside it, as %s.before-restore"
                .formatted(school.database().getFileName()));
        return 0;
    }
}
