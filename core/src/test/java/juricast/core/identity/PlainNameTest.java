package juricast.core.identity;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlainNameTest {
    @ParameterizedTest
    @CsvSource({
        "'Ines\u200b Carrow', Ines Carrow",
        "'\u202eInes Carrow', Ines Carrow",
        "'Ines\u00ad Car\ufe0frow', Ines Carrow",
        "' Ines\u00a0\u2003Carrow\n', Ines Carrow",
        "'\uff29nes Carrow', Ines Carrow",
        "'Zoe\u0308 Lindqvar', Zo\u00eb Lindqvar",
        "'\u3164\u200d', ''"
    })
    void what_looks_the_same_is_the_same(String typed, String name) {
        assertThat(PlainName.of(typed)).isEqualTo(name);
    }

    @Property(tries = 300)
    void a_plain_name_stays_as_it_is_and_holds_no_sign_that_nobody_sees(@ForAll String typed) {
        String name = PlainName.of(typed);
        assertThat(PlainName.of(name)).isEqualTo(name);
        assertThat(name.codePoints())
                .noneMatch(sign -> Character.getType(sign) == Character.FORMAT || Character.isISOControl(sign));
    }
}
