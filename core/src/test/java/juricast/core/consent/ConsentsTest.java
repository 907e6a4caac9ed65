package juricast.core.consent;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.rules.Setting;
import org.junit.jupiter.api.Test;

class ConsentsTest {
    private static final PersonId INES = new PersonId("ines");

    private static Instant day(int day) {
        return Instant.parse("2026-09-%02dT00:00:00Z".formatted(day));
    }

    private static Consent said(Consent.Said said, int from, Instant until, int at) {
        return new Consent(INES, said, Consent.Giver.PARENT, "form 4", day(from), until, day(at));
    }

    @Test
    void the_word_that_began_last_counts_and_when_it_has_run_out_nothing_is_known() {
        var consents = Consents.of(
                List.of(said(Consent.Said.GIVEN, 1, Setting.FOR_EVER, 1), said(Consent.Said.GIVEN, 10, day(20), 9)));

        assertThat(Consents.NONE.of(INES, day(5))).isEqualTo(Standing.UNKNOWN);
        assertThat(consents.of(INES, day(5))).isEqualTo(Standing.GIVEN);
        assertThat(consents.of(INES, day(20).minusMillis(1))).isEqualTo(Standing.GIVEN);
        assertThat(consents.of(INES, day(20)))
                .as("the first does not come back to life")
                .isEqualTo(Standing.UNKNOWN);
        assertThat(consents.nextEdge(day(10))).contains(day(20));
    }

    @Test
    void a_withdrawal_counts_from_its_day_on_and_of_two_of_one_day_the_later_noted() {
        var consents = Consents.of(List.of(
                said(Consent.Said.WITHDRAWN, 10, Setting.FOR_EVER, 11),
                said(Consent.Said.GIVEN, 10, Setting.FOR_EVER, 10),
                said(Consent.Said.GIVEN, 1, Setting.FOR_EVER, 1)));

        assertThat(consents.of(INES, day(9))).isEqualTo(Standing.GIVEN);
        assertThat(consents.of(INES, day(10))).isEqualTo(Standing.WITHDRAWN);
        assertThat(Standing.WITHDRAWN.isNo()).isTrue();
        assertThat(Standing.UNKNOWN.isNo()).isFalse();
    }

    @Test
    void it_must_end_after_it_begins() {
        assertThatThrownBy(() -> said(Consent.Said.GIVEN, 5, day(5), 1)).isInstanceOf(IllegalArgumentException.class);
    }
}
