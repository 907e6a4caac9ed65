package juricast.server.board;

import java.awt.Dimension;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import juricast.core.board.Under;
import juricast.core.identity.LessonId;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import net.coobird.thumbnailator.Thumbnails;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.springframework.stereotype.Component;

/**
 * What lies under pages of a board: pages of a PDF and photographs, always drawn anew here, so that no program, no hidden text and no
 * place of a photograph travels with them, and none is larger than a screen.
 */
@Component
class PagePictures {
    /** The longest side, in pixels. */
    private static final int SIDE = 1600;
    /** A picture with more pixels is not even opened. */
    private static final long MOST_PIXELS = 60_000_000;
    /** Pages of one PDF. */
    static final int MOST_PAGES = 40;

    private static final Duration DRAWN_WITHIN = Duration.ofSeconds(40);

    private final Database database;
    /** One at a time: drawing a page takes memory. */
    private final Semaphore drawing = new Semaphore(1, true);

    PagePictures(Database database) {
        this.database = database;
    }

    /** A picture ready to be kept. */
    record Drawn(String type, byte[] bytes, int width, int height) {}

    /** What was sent, as pages. @throws Problem if it is neither a PDF nor a picture, broken, locked, or too large */
    List<Drawn> pages(byte[] sent) {
        try {
            if (!drawing.tryAcquire(20, TimeUnit.SECONDS)) {
                throw Problem.tooMany("Another file is being drawn", "Try again in a moment.");
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
            throw Problem.tooMany("The program is ending", "Try again in a moment.");
        }
        try {
            return isPdf(sent) ? ofPdf(sent) : List.of(ofPicture(sent));
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof Problem known) {
                throw known;
            }
            throw refused(
                    "It cannot be read: it is broken, or no PDF, PNG or JPEG.", "Save it once more, and try again.");
        } finally {
            drawing.release();
        }
    }

    private static boolean isPdf(byte[] sent) {
        String head = new String(sent, 0, Math.min(sent.length, 1024), StandardCharsets.ISO_8859_1);
        return head.contains("%PDF-");
    }

    private static List<Drawn> ofPdf(byte[] sent) throws IOException {
        long from = System.nanoTime();
        try (PDDocument pdf = Loader.loadPDF(sent, "", null, null, IOUtils.createMemoryOnlyStreamCache())) {
            if (pdf.isEncrypted()) {
                throw locked();
            }
            if (pdf.getNumberOfPages() > MOST_PAGES) {
                throw refused(
                        "It has %d pages; a board takes %d of one file.".formatted(pdf.getNumberOfPages(), MOST_PAGES),
                        "Take out the pages you need, and try again.");
            }
            var renderer = new PDFRenderer(pdf);
            renderer.setSubsamplingAllowed(true);
            var pages = new ArrayList<Drawn>();
            for (int i = 0; i < pdf.getNumberOfPages(); i++) {
                if (System.nanoTime() - from > DRAWN_WITHIN.toNanos()) {
                    throw refused("It takes too long to draw.", "Save it as simple pages or pictures, and try again.");
                }
                PDRectangle box = pdf.getPage(i).getCropBox();
                float longest = Math.max(1, Math.max(box.getWidth(), box.getHeight()));
                pages.add(png(renderer.renderImage(i, SIDE / longest, ImageType.RGB)));
            }
            if (pages.isEmpty()) {
                throw refused("It has no page.", "Choose another file.");
            }
            return pages;
        } catch (InvalidPasswordException needed) {
            throw locked();
        }
    }

    private static Problem locked() {
        return refused("It is locked with a password.", "Save it without a password, and try again.");
    }

    private static Drawn ofPicture(byte[] sent) throws IOException {
        Dimension size = size(sent);
        if ((long) size.width * size.height > MOST_PIXELS) {
            throw refused("The picture has too many pixels.", "Send it smaller.");
        }
        // Turned as the camera held it, and without what the file says besides the picture.
        BufferedImage picture = Thumbnails.of(new ByteArrayInputStream(sent))
                .size(Math.min(SIDE, Math.max(size.width, 1)), Math.min(SIDE, Math.max(size.height, 1)))
                .imageType(BufferedImage.TYPE_INT_RGB)
                .asBufferedImage();
        return jpeg(picture);
    }

    /** As the head of the file says, before the picture is unpacked; PNG and JPEG only. */
    private static Dimension size(byte[] sent) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new IOException("No picture");
            }
            ImageReader reader = readers.next();
            try {
                String format = reader.getFormatName().toLowerCase(Locale.ROOT);
                if (!format.equals("png") && !format.equals("jpeg")) {
                    throw new IOException("Not " + format);
                }
                reader.setInput(in, true, true);
                return new Dimension(reader.getWidth(0), reader.getHeight(0));
            } finally {
                reader.dispose();
            }
        }
    }

    private static Drawn png(BufferedImage page) throws IOException {
        var bytes = new ByteArrayOutputStream();
        ImageIO.write(page, "png", bytes);
        return new Drawn("image/png", bytes.toByteArray(), page.getWidth(), page.getHeight());
    }

    private static Drawn jpeg(BufferedImage picture) throws IOException {
        var bytes = new ByteArrayOutputStream();
        Thumbnails.of(picture).scale(1).outputFormat("jpg").outputQuality(0.85).toOutputStream(bytes);
        return new Drawn("image/jpeg", bytes.toByteArray(), picture.getWidth(), picture.getHeight());
    }

    /** Keeps them, before anybody is told of them. */
    List<Under> keep(LessonId lesson, List<Drawn> pages) {
        return database.append(sql -> pages.stream()
                .map(page -> {
                    String id = Ids.next();
                    sql.sql("INSERT INTO board_picture (id, lesson, type, bytes) VALUES (:id, :lesson, :type, :bytes)")
                            .param("id", id)
                            .param("lesson", lesson.value())
                            .param("type", page.type)
                            .param("bytes", page.bytes)
                            .update();
                    return new Under(id, page.width, page.height);
                })
                .toList());
    }

    /** The same for another lesson, so that each can be forgotten at its own time. Nothing if it is forgotten already. */
    Optional<Under> copy(Under one, LessonId to) {
        return find(one.file())
                .map(found -> keep(to, List.of(new Drawn(found.type, found.bytes, one.width(), one.height())))
                        .get(0));
    }

    /** Those that nobody was told of after all. */
    void drop(List<Under> pages) {
        database.append(sql -> {
            pages.forEach(one -> sql.sql("DELETE FROM board_picture WHERE id = :id")
                    .param("id", one.file())
                    .update());
            return null;
        });
    }

    record Kept(String type, byte[] bytes) {}

    Optional<Kept> find(String id) {
        return database.read()
                .sql("SELECT type, bytes FROM board_picture WHERE id = :id")
                .param("id", id)
                .query((row, n) -> new Kept(row.getString(1), row.getBytes(2)))
                .optional();
    }

    private static Problem refused(String why, String whatToDo) {
        return Problem.refused("page-file", "This file was not brought in", why, whatToDo);
    }
}
