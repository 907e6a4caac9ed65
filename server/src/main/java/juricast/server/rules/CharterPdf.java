package juricast.server.rules;

import com.lowagie.text.Chunk;
import com.lowagie.text.Document;
import com.lowagie.text.Paragraph;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import juricast.core.identity.Role;
import juricast.core.rules.Area;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.rules.Value;
import juricast.server.data.School;
import juricast.server.files.Paper;
import juricast.server.words.ConditionWords;
import juricast.server.words.RuleWords;
import org.springframework.stereotype.Component;

/** The charter for parents, on paper: what pupils may do, what is never done, and why, in plain words. */
@Component
class CharterPdf {
    /** Parents must not take for done what is only written down. */
    private static final String IN_PLANS = "(The program points out plans that do not fit this, and does no more.)";

    private static final String NOT_YET = "(This is the rule; the program does not carry it out by itself yet.)";

    private final RuleWords words;
    private final School school;

    CharterPdf(RuleWords words, School school) {
        this.words = words;
        this.school = school;
    }

    byte[] write(Rulebook charter, Instant now) {
        String name = school.identity().map(School.Identity::name).orElse("");
        return Paper.portrait(
                "Our rules for live online lessons, " + name,
                name + ", rules as of " + school.day(now),
                document -> write(document, charter, name, now));
    }

    private void write(Document document, Rulebook charter, String name, Instant now) {
        document.add(new Paragraph(name, Paper.TEXT));
        document.add(new Paragraph("Our rules for live online lessons", Paper.TITLE));
        var opening = new Paragraph(
                "What pupils may do in our lessons, what nobody may, and why. A rule marked with a line under it is binding: "
                        + "no class and no teacher can loosen it. Classes may be stricter.",
                Paper.TEXT);
        opening.setSpacingAfter(8);
        document.add(opening);
        for (Area area : Area.values()) {
            chapter(document, charter, area, now);
        }
    }

    private void chapter(Document document, Rulebook charter, Area area, Instant now) {
        var heading = new Paragraph(area.title(), Paper.CHAPTER);
        heading.setSpacingAfter(2);
        List<Paragraph> lines = Catalogue.ALL.stream()
                .filter(rule -> rule.area() == area && rule.speaksOf(role(rule)))
                .map(rule -> line(charter, rule, role(rule), now))
                .toList();
        // A heading alone at the foot of a page belongs to nothing: it stays with its first rule.
        var cell = new PdfPCell();
        cell.setBorder(PdfPCell.NO_BORDER);
        cell.setPadding(0);
        cell.addElement(heading);
        cell.addElement(lines.get(0));
        var beginning = new PdfPTable(1);
        beginning.setWidthPercentage(100);
        beginning.setSpacingBefore(12);
        beginning.addCell(cell);
        document.add(beginning);
        lines.stream().skip(1).forEach(document::add);
    }

    private static Role role(Rule<?> rule) {
        return rule.isOfWholeLesson() ? Rule.ANSWERS : Role.PUPIL;
    }

    private <V extends Value> Paragraph line(Rulebook charter, Rule<V> rule, Role role, Instant now) {
        var ruling = charter.ruling(rule, role, now);
        var line = new Paragraph();
        line.setSpacingBefore(3);
        var said = new Chunk(words.forPupils(ruling), Paper.STRONG);
        if (ruling.floor().isPresent()) {
            said.setUnderline(0.8f, -2f);
        }
        line.add(said);
        for (Setting setting : charter.settings(rule, role)) {
            if (!setting.when().isAlways() && setting.isInForce(now)) {
                var condition = new Chunk(
                        " %s%s: %s."
                                .formatted(
                                        ConditionWords.of(setting.when())
                                                .substring(0, 1)
                                                .toUpperCase(Locale.ROOT),
                                        ConditionWords.of(setting.when()).substring(1),
                                        RuleWords.value(rule, setting.set().value())),
                        Paper.TEXT);
                if (setting.isBinding()) {
                    condition.setUnderline(0.8f, -2f);
                }
                line.add(condition);
            }
        }
        line.add(new Chunk(" " + rule.reason(), Paper.NOTE));
        switch (rule.enforced()) {
            case NOT_YET -> line.add(new Chunk(" " + NOT_YET, Paper.NOTE));
            case IN_THE_INSPECTION -> line.add(new Chunk(" " + IN_PLANS, Paper.NOTE));
            default -> {
                // It is carried out where it is about.
            }
        }
        return line;
    }
}
