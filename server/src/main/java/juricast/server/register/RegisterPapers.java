package juricast.server.register;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPCellEvent;
import com.lowagie.text.pdf.PdfPTable;
import java.awt.Color;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import juricast.core.register.Mark;
import juricast.server.data.School;
import juricast.server.files.Paper;
import juricast.server.register.AttendancePages.*;
import juricast.server.register.RegisterController.RegisterPage;
import org.springframework.stereotype.Component;

/** Registers and attendance on paper. */
@Component
class RegisterPapers {
    /** Columns of a class that fit on a page beside names and rates. */
    private static final int COLUMNS = 26;

    private static final float NAMES = 82;
    private static final float RATE = 22;

    private final School school;
    private final RegisterSettings settings;

    RegisterPapers(School school, RegisterSettings settings) {
        this.school = school;
        this.settings = settings;
    }

    /** The register of a lesson: everybody's mark, with their time there drawn over the lesson. */
    byte[] lesson(RegisterPage page) {
        String title = "Register: " + page.title();
        return Paper.landscape(title, foot(title), document -> {
            head(document, title);
            document.add(Paper.line(
                    "%s, %s to %s. %s"
                            .formatted(
                                    school.dayAndYear(page.starts()),
                                    school.clockTime(page.starts()),
                                    school.clockTime(page.ends()),
                                    page.sums().stream()
                                            .map(sum -> sum.count() + " " + AttendanceController.words(sum.mark()))
                                            .collect(Collectors.joining(", "))),
                    Paper.TEXT,
                    1));
            document.add(Paper.line(signed(page), Paper.NOTE, 4));
            PdfPTable table = Paper.table(24, 20, 30, 7, 8, 8, 7, 34);
            heading(
                    table,
                    "Pupil",
                    "Mark",
                    "%s to %s".formatted(school.clockTime(page.starts()), school.clockTime(page.ends())),
                    "Minutes",
                    "First in",
                    "Last out",
                    "Gap",
                    "Correction");
            for (RegisterController.Line line : page.lines()) {
                table.addCell(Paper.cell(line.name(), Paper.FINE));
                table.addCell(Paper.cell(
                        mark(line.mark(), line.code(), line.lateMinutes()),
                        line.mark() == Mark.PRESENT ? Paper.FINE : Paper.FINE_STRONG));
                table.addCell(strip(page, line));
                table.addCell(Paper.cell(Long.toString(line.minutes()), Paper.FINE));
                table.addCell(Paper.cell(clock(line.firstIn()), Paper.FINE));
                table.addCell(Paper.cell(clock(line.lastOut()), Paper.FINE));
                table.addCell(Paper.cell(
                        line.longestGapMinutes() == 0 ? "" : Long.toString(line.longestGapMinutes()), Paper.FINE));
                table.addCell(Paper.cell(correction(line), Paper.FINE));
            }
            document.add(table);
            document.add(Paper.line(
                    "Filled: in the room. Outlined: at the door, which makes nobody late. Minutes count within the lesson.",
                    Paper.NOTE,
                    0));
            legend(document);
        });
    }

    private String signed(RegisterPage page) {
        if (page.calledOff()) {
            return "This lesson was called off; nobody was expected.";
        }
        if (page.draft()) {
            return "A draft: the lesson is not over.";
        }
        return page.signed() == null
                ? "Not signed."
                : "Signed by %s, %s %s."
                        .formatted(
                                page.signed().by(),
                                school.dayAndYear(page.signed().at()),
                                school.clockTime(page.signed().at()));
    }

    private String clock(@org.jspecify.annotations.Nullable Instant at) {
        return at == null ? "" : school.clockTime(at);
    }

    private static String mark(Mark mark, String code, int late) {
        String words = AttendanceController.words(mark) + (late > 0 ? " by %d min".formatted(late) : "");
        return code.isEmpty() ? words : code + "  " + words;
    }

    private static String correction(RegisterController.Line line) {
        if (line.corrections().isEmpty()) {
            return "";
        }
        var last = line.corrections().get(line.corrections().size() - 1);
        return "%s: %s. Computed: %s"
                .formatted(last.by(), last.reason(), mark(line.computed(), "", line.computedLateMinutes()));
    }

    /** Somebody's time over the lesson, drawn into the cell. */
    private static PdfPCell strip(RegisterPage page, RegisterController.Line line) {
        PdfPCell cell = Paper.cell("", Paper.FINE);
        long from = page.starts().toEpochMilli();
        double length = page.ends().toEpochMilli() - from;
        cell.setCellEvent(new PdfPCellEvent() {
            @Override
            public void cellLayout(PdfPCell drawn, Rectangle place, PdfContentByte[] layers) {
                PdfContentByte canvas = layers[PdfPTable.BACKGROUNDCANVAS];
                canvas.saveState();
                canvas.setColorFill(Color.DARK_GRAY);
                canvas.setColorStroke(Color.DARK_GRAY);
                canvas.setLineWidth(0.4f);
                line.waits().forEach(one -> box(canvas, place, one, 5));
                canvas.stroke();
                line.stays().forEach(one -> box(canvas, place, one, 7));
                canvas.fill();
                canvas.restoreState();
            }

            private void box(PdfContentByte canvas, Rectangle place, RegisterController.Stretch one, float height) {
                float width = place.getWidth() - 8;
                float left = (float) (width * Math.max(0, (one.from().toEpochMilli() - from) / length));
                float right = (float) (width * Math.min(1, (one.until().toEpochMilli() - from) / length));
                if (right > left) {
                    float middle = (place.getBottom() + place.getTop()) / 2;
                    canvas.rectangle(place.getLeft() + left, middle - height / 2, right - left, height);
                }
            }
        });
        return cell;
    }

    /** A class over some days: a line for each pupil, as many lessons beside each other as fit. */
    byte[] classGrid(ClassGrid grid) {
        String title = "Attendance: " + grid.title();
        return Paper.landscape(title, foot(title), document -> {
            head(document, title);
            document.add(Paper.line(
                    "%s to %s. %d lessons, %d pupils; %s"
                            .formatted(
                                    day(grid.from()),
                                    day(grid.until()),
                                    grid.lessons().size(),
                                    grid.pupils().size(),
                                    rate(grid.whole())),
                    Paper.TEXT,
                    4));
            for (int first = 0; first < grid.lessons().size(); first += COLUMNS) {
                document.add(part(grid, first, Math.min(grid.lessons().size(), first + COLUMNS)));
            }
            document.add(Paper.line(
                    Arrays.stream(Mark.values())
                                    .map(mark -> sign(mark, "") + " " + AttendanceController.words(mark))
                                    .collect(Collectors.joining("   "))
                            + "   * written by an adult",
                    Paper.NOTE,
                    0));
            legend(document);
        });
    }

    private PdfPTable part(ClassGrid grid, int first, int end) {
        float[] widths = new float[2 + end - first];
        Arrays.fill(widths, 10);
        widths[0] = NAMES - RATE;
        widths[1] = RATE;
        PdfPTable table = Paper.table(widths);
        // As wide as it needs, so that few lessons do not stand far from the names.
        table.setWidthPercentage(100f * (NAMES + 10f * (end - first)) / (NAMES + 10f * COLUMNS));
        table.setHorizontalAlignment(Element.ALIGN_LEFT);
        var heads = new ArrayList<>(List.of("Pupil", "There"));
        grid.lessons().subList(first, end).forEach(one -> {
            LocalDate date = school.date(one.starts());
            heads.add(
                    "%d.%d. %s".formatted(date.getDayOfMonth(), date.getMonthValue(), school.clockTime(one.starts())));
        });
        heading(table, heads.toArray(String[]::new));
        for (GridPupil pupil : grid.pupils()) {
            table.addCell(Paper.cell(pupil.name(), Paper.FINE));
            table.addCell(
                    Paper.cell(pupil.rate().rate() == null ? "" : pupil.rate().rate() + " %", Paper.FINE));
            for (GridCell one : pupil.cells().subList(first, end)) {
                Font font = one.mark() == Mark.PRESENT ? Paper.FINE : Paper.FINE_STRONG;
                PdfPCell cell = Paper.cell(sign(one.mark(), one.code()) + (one.corrected() ? "*" : ""), font);
                cell.setHorizontalAlignment(Element.ALIGN_CENTER);
                table.addCell(cell);
            }
        }
        return table;
    }

    /** The school's code, or a sign of ours where it has none. */
    private static String sign(Mark mark, String code) {
        if (!code.isEmpty()) {
            return code;
        }
        return switch (mark) {
            case PRESENT -> "·";
            case LATE -> "l";
            case LEFT_EARLY -> "e";
            case PARTLY -> "p";
            case ABSENT -> "A";
            case EXCUSED -> "x";
            case NOT_EXPECTED -> "–";
            case WATCHED -> "w";
            case CAME -> "c";
        };
    }

    /** One pupil over all classes, for a parent. */
    byte[] pupil(PupilPage page) {
        String title = "Attendance: " + page.name();
        return Paper.portrait(title, foot(title), document -> {
            head(document, title);
            document.add(Paper.line(
                    "%s%s to %s. There %s."
                            .formatted(
                                    page.year() > 0 ? "Year %d. ".formatted(page.year()) : "",
                                    day(page.from()),
                                    day(page.until()),
                                    rate(page.whole())),
                    Paper.TEXT,
                    4));
            page.reasons().forEach(one -> document.add(Paper.line(one + ".", Paper.STRONG, 2)));
            rates(document, "By class", page.classes());
            // Where every class has its own subject, it would be the same table again.
            if (page.subjects().size() < page.classes().size()) {
                rates(document, "By subject", page.subjects());
            }
            rates(document, "By day of the week", page.weekdays());
            rates(document, "By hour", page.hours());
            document.add(Paper.line("Lesson by lesson", Paper.CHAPTER, 0));
            PdfPTable table = Paper.table(30, 40, 30, 14);
            heading(table, "Begin", "Class", "Mark", "Minutes");
            for (PupilLine one : page.lessons()) {
                table.addCell(Paper.cell(
                        school.dayAndYear(one.starts()) + ", " + school.clockTime(one.starts()), Paper.FINE));
                table.addCell(Paper.cell(one.title(), Paper.FINE));
                table.addCell(Paper.cell(
                        mark(one.mark(), one.code(), one.lateMinutes()) + (one.corrected() ? " *" : ""), Paper.FINE));
                table.addCell(Paper.cell(Integer.toString(one.minutes()), Paper.FINE));
            }
            document.add(table);
            document.add(Paper.line("* written by an adult", Paper.NOTE, 0));
            legend(document);
        });
    }

    private static void rates(Document document, String title, List<Named> rates) {
        if (rates.isEmpty()) {
            return;
        }
        document.add(Paper.line(title, Paper.CHAPTER, 0));
        PdfPTable table = Paper.table(40, 12, 60);
        table.setHeaderRows(0);
        table.setSpacingAfter(6);
        for (Named one : rates) {
            table.addCell(Paper.cell(one.name(), Paper.FINE));
            table.addCell(Paper.cell(one.rate().rate() == null ? "" : one.rate().rate() + " %", Paper.FINE_STRONG));
            table.addCell(Paper.cell(rate(one.rate()), Paper.FINE));
        }
        document.add(table);
    }

    private static String rate(Rate rate) {
        if (rate.rate() == null) {
            return "nobody was expected";
        }
        var parts = new ArrayList<>(List.of("%d of %d times".formatted(rate.attended(), rate.expected())));
        if (rate.late() > 0) {
            parts.add(rate.late() + " late");
        }
        if (rate.early() > 0) {
            parts.add(rate.early() + " left early");
        }
        if (rate.partly() > 0) {
            parts.add(rate.partly() + " in part");
        }
        if (rate.excused() > 0) {
            parts.add(rate.excused() + " excused besides");
        }
        if (rate.small()) {
            parts.add("so few say little");
        }
        return String.join(", ", parts);
    }

    private static String day(String date) {
        LocalDate day = LocalDate.parse(date);
        return "%d.%d.%d".formatted(day.getDayOfMonth(), day.getMonthValue(), day.getYear());
    }

    private static void heading(PdfPTable table, String... heads) {
        for (String head : heads) {
            table.addCell(Paper.cell(head, Paper.FINE_STRONG));
        }
    }

    private void head(Document document, String title) {
        document.add(Paper.line(name(), Paper.TEXT, 0));
        document.add(Paper.line(title, Paper.TITLE, 6));
    }

    private String name() {
        return school.identity().map(School.Identity::name).orElse("");
    }

    private String foot(String title) {
        return "%s, %s".formatted(name(), title);
    }

    /** What the school's codes mean. */
    private void legend(Document document) {
        String codes = settings.codes().all().stream()
                .map(one -> "%s %s".formatted(one.code(), one.meaning()))
                .collect(Collectors.joining("   "));
        if (!codes.isEmpty()) {
            document.add(Paper.line(codes, Paper.NOTE, 0));
        }
    }
}
