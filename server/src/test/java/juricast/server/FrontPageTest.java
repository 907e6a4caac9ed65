package juricast.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class FrontPageTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.empty();

    @Test
    void every_address_of_the_front_end_can_be_opened_directly_and_its_styles_have_a_new_number_each_time() {
        for (String path : new String[] {
            "/", "/today", "/people", "/charter", "/classes/x", "/lessons/x/desk", "/join/x", "/seat/x"
        }) {
            var page = SERVER.browser().get(path);
            assertThat(page.status()).as(path).isEqualTo(200);
            assertThat(page.text()).as(path).contains("style-nonce").doesNotContain("%NONCE%");
        }
        assertThat(SERVER.browser().get("/").text())
                .isNotEqualTo(SERVER.browser().get("/").text());
    }

    @Test
    void a_built_file_travels_in_its_smallest_form_in_whatever_order_a_browser_names_what_it_reads() {
        String file = Pattern.compile("/assets/[\\w-]+\\.js")
                .matcher(SERVER.browser().get("/").text())
                .results()
                .findFirst()
                .orElseThrow(() -> new AssertionError("The front end is not built: npm run build in web"))
                .group();
        for (String reads : new String[] {"gzip, deflate, br, zstd", "br, gzip"}) {
            assertThat(codings(file, reads)).as(reads).containsExactly("br");
        }
        assertThat(codings(file, "gzip")).containsExactly("gzip");
        assertThat(codings(file, "identity")).isEmpty();
    }

    private static List<String> codings(String file, String reads) {
        return SERVER.browser().get(file, "Accept-Encoding", reads).headers().allValues("Content-Encoding");
    }

    @Test
    void what_is_not_there_is_said_so_and_the_sign_of_the_page_is_there() {
        assertThat(SERVER.browser().get("/api/nothing").status()).isEqualTo(404);
        assertThat(SERVER.browser().get("/assets/nothing.js").status()).isEqualTo(404);
        var sign = SERVER.browser().get("/favicon.svg");
        assertThat(sign.text()).startsWith("<svg");
        assertThat(sign.header("X-Content-Type-Options")).isEqualTo("nosniff");
        assertThat(sign.headers().firstValue("Set-Cookie"))
                .as("what is kept by many brings nobody's token")
                .isEmpty();
    }
}
