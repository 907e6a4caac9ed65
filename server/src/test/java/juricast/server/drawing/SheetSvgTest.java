package juricast.server.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javax.xml.parsers.DocumentBuilderFactory;
import juricast.core.drawing.Drawing;
import juricast.core.drawing.Drawing.Ink;
import juricast.core.drawing.Drawing.Shape;
import org.junit.jupiter.api.Test;

class SheetSvgTest {
    private static Drawing drawing(Shape shape) {
        List<Integer> points = shape == Shape.TEXT ? List.of(100, 200) : List.of(100, 200, 500, 400);
        return new Drawing(shape, Ink.GREEN, 2, points, shape == Shape.TEXT ? "<b>&\"tide\"" : "");
    }

    @Test
    void every_shape_is_drawn_and_what_somebody_wrote_is_only_text() throws Exception {
        String svg = SheetSvg.of(
                Arrays.stream(Shape.values()).map(SheetSvgTest::drawing).toList(), "A \"board\"", Optional.empty());
        var read = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)))
                .getDocumentElement();
        assertThat(read.getAttribute("aria-label")).isEqualTo("A \"board\"");
        assertThat(read.getElementsByTagName("text").item(0).getTextContent()).isEqualTo("<b>&\"tide\"");
        assertThat(read.getElementsByTagName("b").getLength()).isZero();
        for (String element : List.of("polyline", "line", "path", "ellipse")) {
            assertThat(read.getElementsByTagName(element).getLength())
                    .as(element)
                    .isEqualTo(1);
        }
        assertThat(read.getElementsByTagName("rect").getLength())
                .as("paper and a box")
                .isEqualTo(2);
        assertThat(svg).contains("points=\"160,200 800,400\"", "width=\"640\" height=\"200\"");
    }

    @Test
    void inks_differ_by_how_their_lines_are_made() {
        List<String> made = Arrays.stream(Ink.values())
                .map(ink -> SheetSvg.of(
                        List.of(new Drawing(Shape.LINE, ink, 2, List.of(0, 0, 9, 9), "")), "x", Optional.empty()))
                .map(svg ->
                        svg.contains("dasharray") ? svg.replaceAll("(?s).*dasharray=\"([^\"]*)\".*", "$1") : "whole")
                .toList();
        assertThat(made).doesNotHaveDuplicates().contains("whole");
    }

    @Test
    void a_picture_lies_under_it_within_the_file() {
        String svg = SheetSvg.of(
                List.of(), "x", Optional.of(new SheetSvg.Picture("image/png", new byte[] {1, 2, 3}, 10, 10)));
        assertThat(svg).contains("href=\"data:image/png;base64,AQID\"").doesNotContain("http://localhost");
    }
}
