package juricast.server.files;

import com.lowagie.text.Document;
import com.lowagie.text.Font;
import com.lowagie.text.HeaderFooter;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfName;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfString;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.function.Consumer;

/** A PDF of the school: A4, its letters within it so that every name can be written, the page's number at its foot. */
public final class Paper {
    private static final BaseFont PLAIN = letters("LiberationSans-Regular.ttf");
    private static final BaseFont BOLD = letters("LiberationSans-Bold.ttf");
    private static final BaseFont ITALIC = letters("LiberationSans-Italic.ttf");

    public static final Font TITLE = new Font(BOLD, 20);
    public static final Font CHAPTER = new Font(BOLD, 13);
    public static final Font TEXT = new Font(PLAIN, 10);
    public static final Font STRONG = new Font(BOLD, 10);
    public static final Font NOTE = new Font(ITALIC, 9);
    /** For tables of many columns. */
    public static final Font FINE = new Font(PLAIN, 7.5f);

    public static final Font FINE_STRONG = new Font(BOLD, 7.5f);

    /** Whether the paper that this thread writes has a letter that no type has. */
    private static final ThreadLocal<Boolean> HAS_MISSING = ThreadLocal.withInitial(() -> false);

    private Paper() {}

    private static Phrase written(String text, Font font) {
        if (!Letters.canWrite(text, font)) {
            HAS_MISSING.set(true);
        }
        return Letters.phrase(text, font);
    }

    /** @param foot stands at the foot of every page, before its number */
    public static byte[] portrait(String title, String foot, Consumer<Document> write) {
        return write(PageSize.A4, 56, title, foot, write);
    }

    /** For what is wide. */
    public static byte[] landscape(String title, String foot, Consumer<Document> write) {
        return write(PageSize.A4.rotate(), 34, title, foot, write);
    }

    private static byte[] write(Rectangle size, float margin, String title, String foot, Consumer<Document> write) {
        var bytes = new ByteArrayOutputStream();
        var document = new Document(size, margin, margin, margin, margin);
        PdfWriter writer = PdfWriter.getInstance(document, bytes);
        writer.setViewerPreferences(PdfWriter.DisplayDocTitle);
        writer.getExtraCatalog().put(PdfName.LANG, new PdfString(Locale.ENGLISH.getLanguage()));
        document.addTitle(title);
        var footer = new HeaderFooter(written(foot + ". Page ", NOTE), true);
        footer.setBorder(Rectangle.TOP);
        document.setFooter(footer);
        document.open();
        HAS_MISSING.set(false);
        write.accept(document);
        if (HAS_MISSING.get()) {
            document.add(line(
                    Letters.MISSING + " stands for letters that this paper has no type for. They are on the screen.",
                    NOTE,
                    0));
        }
        document.close();
        return bytes.toByteArray();
    }

    /** A line of text. @param after points of room below it */
    public static Paragraph line(String text, Font font, float after) {
        var line = new Paragraph(written(text, font));
        line.setSpacingAfter(after);
        return line;
    }

    /** A table over the whole width, whose heading is repeated on every page. */
    public static PdfPTable table(float... widths) {
        var table = new PdfPTable(widths);
        table.setWidthPercentage(100);
        table.setHeaderRows(1);
        table.setSpacingBefore(4);
        return table;
    }

    /** A cell with a line below it. */
    public static PdfPCell cell(String text, Font font) {
        var cell = new PdfPCell(written(text, font));
        cell.setBorder(Rectangle.BOTTOM);
        cell.setBorderWidth(0.4f);
        cell.setPadding(2);
        cell.setPaddingLeft(0);
        return cell;
    }

    private static BaseFont letters(String file) {
        try (InputStream in = Paper.class.getResourceAsStream("/liberation/" + file)) {
            return BaseFont.createFont(file, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, true, in.readAllBytes(), null);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
