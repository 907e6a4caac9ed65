package juricast.server.questions;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import juricast.core.questions.Question;
import org.junit.jupiter.api.Test;

class QtiTest {
    private static QuestionFiles.Read read(String xml) {
        return Qti.read(xml.getBytes(StandardCharsets.UTF_8));
    }

    private static String item3(String body) {
        return """
                <?xml version="1.0" encoding="UTF-8"?>
                <qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="q1" title="Lamps">
                  <qti-response-declaration identifier="R" cardinality="single" base-type="identifier">
                    <qti-correct-response><qti-value>b</qti-value></qti-correct-response>
                  </qti-response-declaration>
                  <qti-item-body>%s</qti-item-body>
                </qti-assessment-item>"""
                .formatted(body);
    }

    private static final String CHOICES =
            "<qti-choice-interaction response-identifier=\"R\" shuffle=\"true\" max-choices=\"1\"><qti-prompt>Which one?</qti-prompt>"
                    + "<qti-simple-choice identifier=\"a\">three short</qti-simple-choice>"
                    + "<qti-simple-choice identifier=\"b\">one <b>long</b></qti-simple-choice></qti-choice-interaction>";

    @Test
    void an_item_of_version_3_is_taken_and_what_is_left_out_is_said() {
        var read = read(item3("<p>Look at the pier.</p><img src=\"http://elsewhere.example/x.png\"/>" + CHOICES));
        assertThat(read.questions())
                .containsExactly(Question.of(
                                Question.Kind.SINGLE,
                                "Look at the pier. Which one?",
                                List.of("three short", "one long"))
                        .right(1));
        assertThat(read.leftOut())
                .anySatisfy(line -> assertThat(line).contains("without: b, img"))
                .anySatisfy(line -> assertThat(line).contains("not shuffled"));
    }

    @Test
    void entities_document_types_scripts_and_broken_files_are_refused_or_named() {
        var bomb = read("<!DOCTYPE x [<!ENTITY a SYSTEM \"file:///etc/passwd\">]><assessmentItem title=\"&a;\"/>");
        assertThat(bomb.questions()).isEmpty();
        assertThat(bomb.leftOut()).singleElement().asString().contains("declares a document type or entities");
        assertThat(read("<assessmentItem").leftOut()).singleElement().asString().contains("no well-formed XML");
        assertThat(read("<a>".repeat(60_000) + "</a>".repeat(60_000)).leftOut())
                .singleElement()
                .asString()
                .contains("more than 100 deep");
        assertThat(read("<html/>").leftOut()).singleElement().asString().contains("no item in it");
        var script = read(item3("<script>alert(1)</script>" + CHOICES));
        assertThat(script.leftOut()).anySatisfy(line -> assertThat(line).contains("script"));
        assertThat(read(item3("<qti-text-entry-interaction response-identifier=\"R\"/>"))
                        .leftOut())
                .singleElement()
                .asString()
                .contains("not answered by choosing");
        assertThat(read(item3(CHOICES + CHOICES)).leftOut())
                .singleElement()
                .asString()
                .contains("asks several things");
    }

    @Test
    void what_is_written_is_read_again_as_it_was() throws IOException {
        List<Question> all = List.of(
                Question.of(Question.Kind.SINGLE, "a < b & \"c\"?", List.of("yes", "no"))
                        .right(1),
                Question.of(Question.Kind.MULTIPLE, "Which?", List.of("x", "y", "z"))
                        .right(0, 2),
                Question.of(Question.Kind.ORDER, "In order", List.of("ebb", "low", "flood"))
                        .right(2, 0, 1),
                Question.of(Question.Kind.SINGLE, "", List.of("one", "two")),
                Question.of(Question.Kind.NUMBER, "How many?", List.of()).number("3", "0"));
        var read = Qti.read(Qti.write("Lamps", all));
        assertThat(read.questions()).containsExactlyElementsOf(all.subList(0, 4));
        assertThat(read.leftOut()).singleElement().asString().contains("left-out.txt");
        var table = QuestionFiles.read(QuestionFiles.table(all));
        assertThat(table.questions()).containsExactlyElementsOf(all);
        assertThat(table.leftOut()).isEmpty();
    }

    @Test
    void a_line_that_cannot_be_taken_is_named_by_its_number() {
        var read = QuestionFiles.read(
                """
                kind;question;choice 1;choice 2;right;colour
                single;Which?;a;b;2;red
                riddle;What?;a;b;;
                single;One?;a;;;
                single;Far?;a;b;9;
                number;How?;;;;
                """
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(read.questions()).hasSize(2);
        assertThat(read.leftOut())
                .satisfiesExactly(
                        line -> assertThat(line).startsWith("Line 3").contains("riddle"),
                        line -> assertThat(line).startsWith("Line 4"),
                        line -> assertThat(line).startsWith("Line 5"),
                        line -> assertThat(line).contains("colour"));
    }
}
