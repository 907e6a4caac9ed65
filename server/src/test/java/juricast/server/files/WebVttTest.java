package juricast.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

class WebVttTest {
    @Test
    void nothing_that_somebody_says_ends_a_cue_begins_another_or_is_taken_for_a_tag() {
        String file = WebVtt.of(
                "Knots --> bends\nNOTE x",
                List.of(
                        new WebVtt.Line(Duration.ofSeconds(1), "Ines <Carrow>", "a < b && c\n\n00:00 --> 00:09"),
                        new WebVtt.Line(Duration.ofSeconds(1), "", "<b>loud</b>")));

        assertThat(file)
                .startsWith("WEBVTT - Knots → bends NOTE x\n\n1\n00:00:01.000 --> 00:00:01.001\n")
                .contains("<v Ines &lt;Carrow&gt;>a &lt; b &amp;&amp; c\n00:00 --&gt; 00:09\n")
                .contains("2\n00:00:01.000 --> 00:00:08.000\n&lt;b&gt;loud&lt;/b&gt;\n");
        assertThat(file.split("-->", -1))
                .as("an arrow for each cue, and no other")
                .hasSize(3);
    }
}
