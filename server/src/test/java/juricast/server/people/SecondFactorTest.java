package juricast.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SecondFactorTest {
    /** The secret of RFC 6238, appendix B. */
    private static final byte[] SECRET = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);

    @ParameterizedTest
    @CsvSource({
        "59, 287082",
        "1111111109, 081804",
        "1111111111, 050471",
        "1234567890, 005924",
        "2000000000, 279037",
        "20000000000, 353130"
    })
    void codes_are_those_of_the_standard(long seconds, String code) {
        assertThat(SecondFactor.code(SECRET, seconds / 30)).isEqualTo(code);
    }

    @Test
    void a_telephone_may_be_a_step_off_and_no_code_counts_twice() {
        Instant now = Instant.ofEpochSecond(1_111_111_109);
        long step = now.getEpochSecond() / 30;

        assertThat(SecondFactor.step(SECRET, SecondFactor.code(SECRET, step - 1), now, 0))
                .hasValue(step - 1);
        assertThat(SecondFactor.step(SECRET, SecondFactor.code(SECRET, step + 1), now, 0))
                .hasValue(step + 1);
        assertThat(SecondFactor.step(SECRET, SecondFactor.code(SECRET, step + 2), now, 0))
                .isEmpty();
        assertThat(SecondFactor.step(SECRET, SecondFactor.code(SECRET, step), now, step))
                .isEmpty();
    }
}
