package juricast.server.board;

import com.lowagie.text.Document;
import com.lowagie.text.Image;
import com.lowagie.text.PageSize;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfWriter;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardPage;
import juricast.core.drawing.Drawing;
import juricast.core.drawing.Mark;
import juricast.server.files.Paper;

/** Pages of a board on paper: A4 on its side, a page each. */
final class BoardPdf {
    private static final float MARGIN = 34;
    private static final Rectangle SIZE = PageSize.A4.rotate();
    /** A board is 16 wide where it is 10 high. */
    private static final float WIDTH = SIZE.getWidth() - 2 * MARGIN;

    private static final float HEIGHT = WIDTH * 10 / 16;
    private static final float TOP = (SIZE.getHeight() + HEIGHT) / 2;

    private BoardPdf() {}

    /** A page with the picture under it. */
    record Leaf(BoardPage page, Optional<byte[]> under) {}

    static byte[] of(String title, List<Leaf> leaves) {
        var bytes = new ByteArrayOutputStream();
        var document = new Document(SIZE);
        PdfWriter writer = PdfWriter.getInstance(document, bytes);
        document.addTitle(title);
        document.setDocumentLanguage("en");
        document.open();
        for (Leaf leaf : leaves) {
            document.newPage();
            PdfContentByte pen = writer.getDirectContent();
            leaf.under.ifPresent(picture -> under(pen, picture));
            leaf.page.sheet().marks().stream().map(Mark::drawing).forEach(one -> draw(pen, one));
            pen.setLineDash(0);
            pen.setLineWidth(0.5f);
            pen.setColorStroke(Color.GRAY);
            pen.rectangle(MARGIN, TOP - HEIGHT, WIDTH, HEIGHT);
            pen.stroke();
        }
        document.close();
        return bytes.toByteArray();
    }

    private static void under(PdfContentByte pen, byte[] picture) {
        try {
            Image image = Image.getInstance(picture);
            image.scaleToFit(WIDTH, HEIGHT);
            image.setAbsolutePosition(
                    MARGIN + (WIDTH - image.getScaledWidth()) / 2,
                    TOP - HEIGHT + (HEIGHT - image.getScaledHeight()) / 2);
            pen.addImage(image);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private static void draw(PdfContentByte pen, Drawing one) {
        List<Integer> at = one.points();
        pen.setColorStroke(colour(one.ink()));
        pen.setColorFill(colour(one.ink()));
        pen.setLineWidth(0.7f + one.width() * 0.9f);
        pen.setLineCap(PdfContentByte.LINE_CAP_ROUND);
        pen.setLineJoin(PdfContentByte.LINE_JOIN_ROUND);
        dash(pen, one.ink());
        switch (one.shape()) {
            case PEN, LINE -> {
                pen.moveTo(x(at.get(0)), y(at.get(1)));
                for (int i = 2; i < at.size(); i += 2) {
                    pen.lineTo(x(at.get(i)), y(at.get(i + 1)));
                }
                pen.stroke();
            }
            case ARROW -> arrow(pen, at);
            case BOX -> {
                pen.rectangle(x(at.get(0)), y(at.get(1)), x(at.get(2)) - x(at.get(0)), y(at.get(3)) - y(at.get(1)));
                pen.stroke();
            }
            case RING -> {
                pen.ellipse(x(at.get(0)), y(at.get(1)), x(at.get(2)), y(at.get(3)));
                pen.stroke();
            }
            case TEXT -> {
                pen.beginText();
                pen.setFontAndSize(Paper.TEXT.getBaseFont(), 9 + 6 * one.width());
                pen.setTextMatrix(x(at.get(0)), y(at.get(1)));
                pen.showText(one.text());
                pen.endText();
            }
        }
    }

    private static void arrow(PdfContentByte pen, List<Integer> at) {
        float toX = x(at.get(2));
        float toY = y(at.get(3));
        double turn = Math.atan2(toY - y(at.get(1)), toX - x(at.get(0)));
        pen.moveTo(x(at.get(0)), y(at.get(1)));
        pen.lineTo(toX, toY);
        for (double side : new double[] {-0.47, 0.47}) {
            pen.moveTo(toX, toY);
            pen.lineTo((float) (toX - 14 * Math.cos(turn + side)), (float) (toY - 14 * Math.sin(turn + side)));
        }
        pen.stroke();
    }

    private static void dash(PdfContentByte pen, Drawing.Ink ink) {
        switch (ink) {
            case INK -> pen.setLineDash(0);
            case GREEN -> pen.setLineDash(10, 6, 0);
            case RED -> pen.setLineDash(1, 6, 0);
            case OCHRE -> pen.setLineDash(new float[] {10, 5, 1, 5}, 0);
        }
    }

    private static Color colour(Drawing.Ink ink) {
        return switch (ink) {
            case INK -> new Color(0x18211c);
            case GREEN -> new Color(0x1d6b4f);
            case RED -> new Color(0xa3273c);
            case OCHRE -> new Color(0x8a5a00);
        };
    }

    private static float x(int of) {
        return MARGIN + of * WIDTH / 1000;
    }

    private static float y(int of) {
        return TOP - of * HEIGHT / 1000;
    }
}
