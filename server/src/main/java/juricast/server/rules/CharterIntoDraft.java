package juricast.server.rules;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.server.access.SignedIn;
import juricast.server.problems.Problem;
import juricast.server.rules.RulesDocument.Rules;
import juricast.server.rules.Settings.Marked;
import org.springframework.stereotype.Component;

/** Makes a charter file somebody's draft: what it says otherwise. Nothing counts until its consequences were looked at. */
@Component
class CharterIntoDraft {
    private final Settings settings;
    private final Drafts drafts;
    private final Documents documents;
    private final CharterFile file;
    private final Clock clock;

    CharterIntoDraft(Settings settings, Drafts drafts, Documents documents, CharterFile file, Clock clock) {
        this.settings = settings;
        this.drafts = drafts;
        this.documents = documents;
        this.file = file;
        this.clock = clock;
    }

    /** @throws Problem if a draft is begun, or the file is wrong; then nothing is changed */
    Rules take(byte[] charter, SignedIn caller) {
        if (!drafts.of(caller.person(), Place.SCHOOL).isEmpty()) {
            throw Problem.refused(
                    "draft-begun",
                    "You have a draft already",
                    "The charter was not read; your draft is as it was.",
                    "Put your draft in force or discard it, then take the charter.");
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        List<Edit> edits = file.read(charter, settings.all().at(Place.SCHOOL), now);
        drafts.replace(
                caller.person(),
                Place.SCHOOL,
                edits.stream()
                        .map(one ->
                                new Marked(one, settings.mark(one.place(), one.rule(), one.role(), one.when(), now)))
                        .toList());
        return documents.now(Place.SCHOOL, caller, true, now);
    }
}
