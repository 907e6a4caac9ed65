package juricast.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

class PaperTest {
    private static PDDocument written(String... lines) throws IOException {
        byte[] paper = Paper.portrait("Names", "A school", document -> {
            for (String line : lines) {
                document.add(Paper.line(line, Paper.TEXT, 2));
            }
        });
        // To be looked at: mvn test -Dtest=PaperTest -DargLine=-Dpaper=names.pdf
        if (System.getProperty("paper") != null) {
            Files.write(Path.of(System.getProperty("paper")), paper);
        }
        return Loader.loadPDF(paper);
    }

    @Test
    void what_no_type_has_stands_as_a_box_and_is_said() throws IOException {
        try (PDDocument paper = written("ᚠᚢᚦ")) {
            assertThat(new PDFTextStripper().getText(paper)).contains(Letters.MISSING, "no type for");
        }
    }

    @Test
    void every_name_is_on_the_paper_in_its_own_letters() throws IOException {
        try (PDDocument paper =
                written("Inés Carrow", "王小明", "محمد علي", "अनिता कुमारी", "אורי", "สมชาย", "Жанна", "ソラ", "Ωμέγα")) {
            String text = new PDFTextStripper().getText(paper);
            assertThat(text)
                    .contains("Inés Carrow", "王小明", "Жанна", "ソラ", "Ωμέγα")
                    .doesNotContain(Letters.MISSING, "no type");
            assertThat(paper.getPage(0).getResources().getFontNames()).hasSizeGreaterThan(5);
            assertThat(paper.getDocumentCatalog().getLanguage()).isEqualTo("en");
            assertThat(paper.getDocumentInformation().getTitle()).isEqualTo("Names");
        }
    }
}
