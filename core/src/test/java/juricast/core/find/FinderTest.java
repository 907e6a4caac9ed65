package juricast.core.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.find.Findable.Kind;
import juricast.core.find.Findable.When;
import juricast.core.find.Finder.Found;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Reader;
import juricast.core.reading.Reader.Post;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;

class FinderTest {
    private static final ClassId TIDAL = new ClassId("tidal");
    private static final ClassId LAW = new ClassId("law");
    private static final Findable TIDAL_CLASS = of(Kind.CLASS, "tidal", "Tidal Navigation 8", TIDAL, 0);
    private static final Findable TIDAL_NOW = of(Kind.LESSON, "now", "Tidal Navigation 8", TIDAL, 0);
    private static final Findable TIDAL_LATER = of(Kind.LESSON, "later", "Tidal Navigation 8", TIDAL, 600);
    private static final Findable LAW_CLASS = of(Kind.CLASS, "law", "Harbour Law 9", LAW, 0);
    private static final Findable INES = of(Kind.PUPIL, "ines", "Ínes Carrow", TIDAL, 0);
    private static final Findable CARO = of(Kind.PUPIL, "caro", "Caro Write", LAW, 0);
    private static final Findable WRITE = new Findable(
            Kind.RULE,
            "chat.class",
            "Write to the whole class",
            "chat message",
            When.ANY,
            Duration.ZERO,
            Matter.CHARTER,
            About.SCHOOL);
    private static final Findable SHARE = new Findable(
            Kind.RULE,
            "share.screen",
            "Share a screen",
            "present",
            When.ANY,
            Duration.ZERO,
            Matter.CHARTER,
            About.SCHOOL);
    private static final List<Findable> ALL =
            List.of(TIDAL_LATER, SHARE, WRITE, CARO, INES, LAW_CLASS, TIDAL_CLASS, TIDAL_NOW);

    private static final Reader LEAD = new Reader(new PersonId("maren"), Post.LEAD, Set.of(), Set.of(), Set.of());
    private static final Reader ORLA = new Reader(new PersonId("orla"), Post.STAFF, Set.of(TIDAL), Set.of(), Set.of());

    private static Findable of(Kind kind, String id, String name, ClassId ofClass, int minutesAway) {
        return new Findable(
                kind,
                id,
                name,
                "",
                kind != Kind.LESSON ? When.ANY : minutesAway == 0 ? When.NOW : When.TO_COME,
                Duration.ofMinutes(minutesAway),
                Matter.CLASS,
                About.ofClass(ofClass));
    }

    private static Found first(String typed) {
        return Finder.of(typed, ALL, LEAD, 8).get(0);
    }

    @Test
    void a_name_is_found_by_the_beginnings_of_its_words_in_any_order_and_without_accents() {
        assertThat(first("nav tid").what()).isEqualTo(TIDAL_NOW);
        assertThat(first("ines").what()).isEqualTo(INES);
        assertThat(first("harbour 9").what()).isEqualTo(LAW_CLASS);
        assertThat(first("whole cl").what()).isEqualTo(WRITE);
        assertThat(Finder.of("harbour 8", ALL, LEAD, 8))
                .as("every word must fit")
                .isEmpty();
        assertThat(Finder.of("  ", ALL, LEAD, 8)).isEmpty();
    }

    @Test
    void an_act_before_the_name_is_done_with_the_nearest_lesson_with_which_it_can_be() {
        Found cover = first("cover Tidal Navigation");
        assertThat(cover.act()).isEqualTo(Act.COVER);
        assertThat(cover.what()).as("nobody takes over what runs").isEqualTo(TIDAL_LATER);
        assertThat(first("desk tidal").what()).isEqualTo(TIDAL_NOW);
        assertThat(Finder.of("register tidal", ALL, LEAD, 8))
                .extracting(Found::what)
                .doesNotContain(TIDAL_LATER);
        assertThat(first("link to tidal"))
                .extracting(Found::act, Found::what)
                .containsExactly(Act.JOINING, TIDAL_CLASS);
        assertThat(first("reg tidal").act()).isEqualTo(Act.REGISTER);
        assertThat(first("rules of harbour").act()).isEqualTo(Act.RULES);
    }

    @Test
    void a_question_finds_the_person_and_the_rule_of_which_every_word_belongs_to_one() {
        Found why = first("why may Ines not write");
        assertThat(why.act()).isEqualTo(Act.WHY);
        assertThat(why.what()).isEqualTo(INES);
        assertThat(why.rule()).isEqualTo(Optional.of(WRITE));
        assertThat(first("why can ines present").rule()).contains(SHARE);
        assertThat(Finder.of("why may ines fly", ALL, LEAD, 8)).isEmpty();
    }

    @Test
    void other_words_for_a_thing_find_it_after_those_that_have_it_in_their_name() {
        Findable talk = of(Kind.CLASS, "talk", "Message Talk", TIDAL, 0);
        List<Found> found = Finder.of("message", List.of(WRITE, talk), LEAD, 8);
        assertThat(found).extracting(Found::what).containsExactly(talk, WRITE);
    }

    @Property(tries = 300)
    void what_somebody_may_not_read_is_never_found_and_never_more_than_asked_for(
            @ForAll @AlphaChars @StringLength(max = 4) String typed, @ForAll boolean asks) {
        String line = asks ? "why may " + typed + " write" : typed;
        List<Found> found = Finder.of(line, ALL, ORLA, 3);
        assertThat(found).hasSizeLessThanOrEqualTo(3).allMatch(one -> one.what().isFor(ORLA));
        assertThat(found)
                .noneMatch(one -> one.what().equals(LAW_CLASS) || one.what().equals(CARO));
    }
}
