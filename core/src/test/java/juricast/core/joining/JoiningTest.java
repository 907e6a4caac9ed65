package juricast.core.joining;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Random;
import juricast.core.joining.LinkKey.Link;
import org.junit.jupiter.api.Test;

class JoiningTest {
    private final LinkKey key = new LinkKey("a key of this school, 32 bytes...".getBytes());

    @Test
    void a_token_names_its_link_and_renewal_and_is_the_same_every_time() {
        String token = key.token(new Link(17, 2));

        assertThat(key.read(token)).contains(new Link(17, 2));
        assertThat(key.token(new Link(17, 2))).isEqualTo(token).hasSize(32);
    }

    @Test
    void every_changed_letter_and_every_other_key_is_refused() {
        String token = key.token(new Link(17, 2));
        for (int i = 0; i < token.length(); i++) {
            char other = token.charAt(i) == 'A' ? 'B' : 'A';
            assertThat(key.read(token.substring(0, i) + other + token.substring(i + 1)))
                    .isEmpty();
        }

        assertThat(key.read("")).isEmpty();
        assertThat(key.read("not a token!")).isEmpty();
        assertThat(key.read(token + "A")).isEmpty();
        assertThat(new LinkKey("another school's key, 32 bytes..".getBytes()).read(token))
                .isEmpty();
    }

    @Test
    void a_join_word_is_new_easy_to_type_and_forgiving() {
        var taken = new HashSet<JoinWord>();
        for (int i = 0; i < 500; i++) {
            assertThat(taken.add(JoinWord.choose(new Random(i), taken))).isTrue();
        }

        var word = new JoinWord("amber-kelp-47");
        assertThat(word.isSaidBy(" Amber Kelp 47 ")).isTrue();
        assertThat(word.isSaidBy("amberkelp47")).isTrue();
        assertThat(word.isSaidBy("amber-kelp-46")).isFalse();
        assertThat(word.isSaidBy("")).isFalse();
    }
}
