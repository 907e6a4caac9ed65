package juricast.server.evidence;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** {@code ./juricast verify PACK}: checks a pack with nothing but the pack. */
public final class VerifyCommand {
    private VerifyCommand() {}

    /** @return 0 if it is whole, 1 if not, 2 if there is no such file */
    public static int run(String name, PrintStream out) {
        byte[] bytes;
        try {
            Path file = Path.of(name);
            if (Files.size(file) > CanonicalZip.MOST_BYTES * 2L) {
                out.println("NOT WHOLE: " + name + " is larger than any pack.");
                return 1;
            }
            bytes = Files.readAllBytes(file);
        } catch (IOException | java.nio.file.InvalidPathException missing) {
            out.println("This pack cannot be read: " + name);
            return 2;
        }
        PackCheck.Checked checked = PackCheck.check(bytes);
        checked.manifest().ifPresent(one -> {
            out.println("%s, incident No. %d: %s".formatted(one.school(), one.incident(), one.title()));
            out.println("made %s by %s".formatted(one.made(), one.by()));
            out.println("signed with the key " + checked.fingerprint()
                    + " (compare it with the one on the school's page “Evidence packs”)");
            one.documents()
                    .forEach(doc -> out.println("  %s  %d lines  %s"
                            .formatted(doc.name(), doc.lines().size(), doc.about())));
            one.files()
                    .forEach(file -> out.println(
                            "  %s  %s%s".formatted(file.name(), file.about(), file.shown() ? "" : "  (covered)")));
        });
        if (checked.coveredParts() > 0) {
            out.println("%d parts are covered, by the school, before it signed.".formatted(checked.coveredParts()));
        }
        if (checked.isWhole()) {
            out.println("WHOLE: nothing is missing, altered or moved.");
            return 0;
        }
        out.println("NOT WHOLE:");
        checked.wrong().forEach(one -> out.println("  " + one));
        return 1;
    }
}
