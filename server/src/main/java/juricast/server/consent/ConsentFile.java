package juricast.server.consent;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import juricast.core.consent.ConsentReading;
import juricast.server.access.Position;
import juricast.server.files.TableFile;
import juricast.server.people.People;

/** Who may be recorded, as a table that a spreadsheet opens and that can be taken back in. */
record ConsentFile(ConsentReading reading, String encoding, boolean guessed) {
    static final List<String> HEADING = List.of("Number", "Name", "Consent", "By", "Paper", "From", "Until");

    /** 400 if the file cannot be read at all. */
    static ConsentFile read(byte[] bytes, People people, LocalDate today) {
        TableFile table = TableFile.read(bytes, "a list of consents", ConsentReading.MOST_ROWS);
        Map<String, List<ConsentReading.Whom>> pupils = new HashMap<>();
        for (People.Person one : people.inPosition(Position.PUPIL)) {
            var whom = new ConsentReading.Whom(one.id().value(), one.name());
            add(pupils, one.number(), whom);
            add(pupils, one.name().toLowerCase(Locale.ROOT), whom);
        }
        return new ConsentFile(
                ConsentReading.of(
                        table.heading(),
                        table.lines().stream()
                                .map(line -> new ConsentReading.Line(
                                        line.number(),
                                        line.cells().stream()
                                                .map(TableFile::plain)
                                                .toList()))
                                .toList(),
                        key -> pupils.getOrDefault(key, List.of()),
                        today),
                table.encoding(),
                table.guessed());
    }

    private static void add(Map<String, List<ConsentReading.Whom>> pupils, String key, ConsentReading.Whom whom) {
        if (!key.isEmpty()) {
            pupils.computeIfAbsent(key, one -> new ArrayList<>()).add(whom);
        }
    }

    /** What is said about a fault. */
    static String sentence(ConsentReading.Fault fault) {
        String quote = fault.quote().length() > 60 ? fault.quote().substring(0, 60) + "…" : fault.quote();
        return switch (fault.problem()) {
            case NO_ROWS -> "There is a heading, and nothing below it.";
            case TOO_MANY_ROWS -> "More than %d rows; those beyond were not read.".formatted(ConsentReading.MOST_ROWS);
            case NO_PERSON_COLUMN -> "No column says whom it is about. The heading is “%s”; one must be “Name” or “Number”."
                    .formatted(quote);
            case NO_CONSENT_COLUMN -> "No column says what was said. The heading is “%s”; one must be “Consent”."
                    .formatted(quote);
            case UNKNOWN_PUPIL -> "“%s” is no pupil of this school.".formatted(quote);
            case SEVERAL_PUPILS -> "Several pupils are called “%s”. Add the pupil number.".formatted(quote);
            case NUMBER_AND_NAME_DIFFER -> "“%s”: the number is another pupil's than the name.".formatted(quote);
            case NOT_A_WORD -> "“%s” is none of given, refused, withdrawn.".formatted(quote);
            case NOT_A_GIVER -> "“%s” is none of parent, pupil, school, visitor.".formatted(quote);
            case NOT_A_DAY -> "“%s” is no day such as 2026-09-14.".formatted(quote);
            case ENDS_BEFORE_IT_BEGINS -> "It ends on %s, before it begins.".formatted(quote);
            case OVER_ALREADY -> "It ended on %s and would change nothing.".formatted(quote);
            case PAPER_TOO_LONG -> "The paper is named in more than 200 characters.";
            case CONTRADICTS -> "Two rows say different things about %s from the same day on; neither was taken."
                    .formatted(quote);
        };
    }
}
