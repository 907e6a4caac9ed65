package juricast.server.register;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.util.ArrayList;
import java.util.List;
import juricast.core.attendance.Attention.Thresholds;
import juricast.core.register.Mark;
import juricast.core.register.RegisterCodes;
import juricast.server.access.For;
import juricast.server.editing.Edited;
import juricast.server.editing.Editions;
import juricast.server.problems.Problem;
import org.springframework.web.bind.annotation.*;

/** The school's own register codes, and from when on attendance is worth a look. */
@RestController
@RequestMapping("/api/register-settings")
class RegisterSettingsController {
    private final Editions editions;
    private static final String NOTHING_CHANGED = "Nothing was changed.";

    private final RegisterSettings settings;

    RegisterSettingsController(Editions editions, RegisterSettings settings) {
        this.editions = editions;
        this.settings = settings;
    }

    /** @param codes in the school's order; the first of a mark is its usual one */
    record RegisterSettingsPage(List<CodeLine> codes, Limits limits) {}

    record CodeLine(String code, String meaning, Mark mark) {}

    /** See {@link Thresholds}. */
    record Limits(int inARow, int belowPercent, int dropPoints, int lateTimes) {}

    /** The school's own codes for marks, and the limits for attention. */
    @GetMapping
    @For({TEACHER, LEAD})
    @Edited
    RegisterSettingsPage settings() {
        return new RegisterSettingsPage(
                settings.codes().all().stream()
                        .map(one -> new CodeLine(one.code(), one.meaning(), one.mark()))
                        .toList(),
                limits(settings.thresholds()));
    }

    static Limits limits(Thresholds known) {
        return new Limits(known.inARow(), known.belowPercent(), known.dropPoints(), known.lateTimes());
    }

    /** Replaces all of it. Codes that stand in registers stay as they were written. */
    @PutMapping
    @For(LEAD)
    @Edited
    RegisterSettingsPage change(@RequestBody RegisterSettingsPage wanted) {
        editions.mustBe(settings());
        if (wanted.codes == null || wanted.limits == null) {
            throw Problem.notReadable("This cannot be kept", NOTHING_CHANGED, "Send codes and limits.", List.of());
        }
        var wrong = new ArrayList<Problem.Wrong>();
        List<RegisterCodes.Code> all = new ArrayList<>();
        for (CodeLine one : wanted.codes) {
            if (one == null || one.mark == null) {
                throw Problem.notReadable(
                        "This cannot be kept", NOTHING_CHANGED, "Each code stands for a mark.", List.of());
            }
            all.add(new RegisterCodes.Code(plain(one.code), plain(one.meaning), one.mark));
        }
        var codes = new RegisterCodes(all);
        codes.faults().forEach(fault -> wrong.add(new Problem.Wrong("codes." + fault.place(), words(fault))));
        Limits limits = wanted.limits;
        within(wrong, "inARow", limits.inARow, 2, 20);
        within(wrong, "belowPercent", limits.belowPercent, 1, 100);
        within(wrong, "dropPoints", limits.dropPoints, 5, 100);
        within(wrong, "lateTimes", limits.lateTimes, 2, 50);
        if (!wrong.isEmpty()) {
            throw Problem.notReadable("This cannot be kept", NOTHING_CHANGED, "Mend it, then try again.", wrong);
        }
        settings.say(codes, new Thresholds(limits.inARow, limits.belowPercent, limits.dropPoints, limits.lateTimes));
        return settings();
    }

    private static String plain(String text) {
        return text == null ? "" : text.strip().replaceAll("\\s+", " ");
    }

    private static void within(List<Problem.Wrong> wrong, String field, int number, int least, int most) {
        if (number < least || number > most) {
            wrong.add(new Problem.Wrong(field, "%d to %d".formatted(least, most)));
        }
    }

    private static String words(RegisterCodes.Fault fault) {
        return switch (fault.problem()) {
            case TOO_MANY -> "At most %d codes".formatted(RegisterCodes.MOST);
            case NOT_A_CODE -> "1 to %d letters, digits or signs, none that a spreadsheet would read as a formula"
                    .formatted(RegisterCodes.CODE_LIMIT);
            case NO_MEANING -> "What it means, in 1 to %d characters".formatted(RegisterCodes.MEANING_LIMIT);
            case STANDS_TWICE -> "This code stands here twice";
        };
    }
}
