package juricast.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.reading.Reader.Post;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ReaderTest {
    private static final ClassId TIDAL = new ClassId("tidal");
    private static final ClassId ORCHARD = new ClassId("orchard");
    private static final LessonId MONDAY = new LessonId("tidal-monday");
    private static final LessonId TUESDAY = new LessonId("tidal-tuesday");
    private static final PersonId INES = new PersonId("ines");

    private static Reader staff(Set<ClassId> adultOf, Set<LessonId> covers) {
        return new Reader(new PersonId("orla"), Post.STAFF, adultOf, covers, Set.of());
    }

    @Test
    void who_covers_reads_that_lesson_and_nothing_else_of_the_class() {
        Reader cover = staff(Set.of(), Set.of(MONDAY));

        assertThat(cover.mayRead(Matter.REGISTER, About.ofLesson(MONDAY, TIDAL)))
                .isTrue();
        assertThat(cover.mayRead(Matter.REPLAY, About.ofLesson(MONDAY, TIDAL))).isTrue();
        assertThat(cover.mayRead(Matter.REGISTER, About.ofLesson(TUESDAY, TIDAL)))
                .isFalse();
        assertThat(cover.mayRead(Matter.ATTENDANCE, About.ofLesson(MONDAY, TIDAL)))
                .isFalse();
        assertThat(cover.mayRead(Matter.CLASS_LIST, About.ofClass(TIDAL))).isFalse();
    }

    @Test
    void an_adult_reads_of_a_pupil_what_was_in_the_own_classes() {
        Reader orla = staff(Set.of(TIDAL), Set.of());

        assertThat(orla.mayRead(Matter.ATTENDANCE, About.person(INES, Set.of(TIDAL, ORCHARD))))
                .isTrue();
        assertThat(orla.mayRead(Matter.ATTENDANCE, About.person(INES, Set.of(ORCHARD))))
                .isFalse();
    }

    @Test
    void the_words_of_an_invitation_are_kept_from_adults_of_the_class_and_told_to_whom_they_are_for() {
        Reader orla = staff(Set.of(TIDAL), Set.of());

        assertThat(orla.mayRead(Matter.MESSAGES, About.person(INES, Set.of(TIDAL))))
                .isTrue();
        assertThat(orla.mayRead(Matter.INVITATIONS, About.person(INES, Set.of(TIDAL))))
                .isFalse();
        assertThat(new Reader(INES, Post.PUPIL, Set.of(), Set.of(), Set.of())
                        .mayRead(Matter.INVITATIONS, About.person(INES, Set.of(TIDAL))))
                .isTrue();
    }

    @ParameterizedTest
    @EnumSource(Matter.class)
    void what_is_about_the_whole_school_is_never_opened_by_a_class_or_a_lesson(Matter matter) {
        Reader orla = staff(Set.of(TIDAL, ORCHARD), Set.of(MONDAY, TUESDAY));

        assertThat(orla.mayRead(matter, About.SCHOOL)).isEqualTo(matter.ties().contains(Tie.STAFF));
    }

    @Property
    void the_lead_reads_everything_but_what_is_only_somebodys_own(
            @ForAll Matter matter, @ForAll("abouts") About about, @ForAll("readers") Reader any) {
        var lead = new Reader(any.who(), Post.LEAD, any.adultOf(), any.covers(), Set.of());

        assertThat(lead.mayRead(matter, about))
                .isEqualTo((matter != Matter.OWN_PAGE || about.person().equals(Optional.of(lead.who())))
                        && !about.incident().concerned().contains(lead.who()));
    }

    @Property
    void a_pupil_reads_nothing_but_what_is_about_them(
            @ForAll Matter matter, @ForAll("abouts") About about, @ForAll("readers") Reader any) {
        // Also one who is kept as an adult of a class, or in a lesson, by some mistake.
        var pupil = new Reader(any.who(), Post.PUPIL, any.adultOf(), any.covers(), Set.of());

        if (pupil.mayRead(matter, about)) {
            assertThat(about.person()).contains(pupil.who());
        }
    }

    @Property
    void a_tie_that_ends_never_opens_anything_and_closes_what_only_it_opened(
            @ForAll Matter matter, @ForAll("abouts") About about, @ForAll("readers") Reader before) {
        var left = new HashSet<>(before.adultOf());
        left.removeAll(about.classes());
        var after = new Reader(before.who(), before.post(), left, Set.of(), Set.of());

        assertThat(after.mayRead(matter, about) && !before.mayRead(matter, about))
                .isFalse();
        if (after.post() == Post.STAFF
                && !matter.ties().contains(Tie.STAFF)
                && !about.person().equals(Optional.of(after.who()))
                && !about.incident().asked().contains(after.who())) {
            assertThat(after.mayRead(matter, about)).isFalse();
        }
    }

    @Property
    void nobody_reads_an_incident_about_themselves_and_what_the_table_does_not_give_is_not_read(
            @ForAll("abouts") About about, @ForAll("readers") Reader reader) {
        for (Matter matter : List.of(Matter.INCIDENT, Matter.INCIDENT_FOR_LEADS)) {
            if (reader.mayRead(matter, about)) {
                assertThat(about.incident().concerned()).doesNotContain(reader.who());
                assertThat(reader.ties(about)).containsAnyElementsOf(matter.ties());
                assertThat(reader.post()).isNotEqualTo(Post.PUPIL);
            }
        }
        boolean standsIn = about.incident().noLead() && !reader.headOf().isEmpty();
        assertThat(reader.mayRead(Matter.INCIDENT_FOR_LEADS, about) && reader.post() != Post.LEAD && !standsIn)
                .isFalse();
    }

    @Test
    void a_head_of_year_reads_incidents_of_that_year_and_who_is_asked_to_do_something_the_one_it_is_about() {
        var about = About.incident(
                Set.of(TIDAL),
                Optional.empty(),
                new About.OfIncident(Set.of(8), Set.of(INES), Set.of(new PersonId("tam")), false));
        var head = new Reader(new PersonId("orla"), Post.STAFF, Set.of(), Set.of(), Set.of(8));
        var asked = new Reader(new PersonId("tam"), Post.STAFF, Set.of(), Set.of(), Set.of());

        assertThat(head.mayRead(Matter.INCIDENT, about)).isTrue();
        assertThat(head.mayRead(Matter.INCIDENT_FOR_LEADS, about)).isFalse();
        assertThat(asked.mayRead(Matter.INCIDENT, about)).isTrue();
        assertThat(staff(Set.of(ORCHARD), Set.of(MONDAY)).mayRead(Matter.INCIDENT, about))
                .isFalse();
    }

    @Test
    void what_is_kept_from_every_lead_is_read_by_the_heads_of_years_and_by_nobody_it_is_about() {
        var only = new PersonId("maren");
        var kept = About.incident(
                Set.of(TIDAL), Optional.empty(), new About.OfIncident(Set.of(8), Set.of(only), Set.of(), true));
        var lead = new Reader(only, Post.LEAD, Set.of(TIDAL), Set.of(), Set.of(8));
        var head = new Reader(new PersonId("greta"), Post.STAFF, Set.of(), Set.of(), Set.of(11));

        assertThat(head.mayRead(Matter.INCIDENT_FOR_LEADS, kept)).isTrue();
        assertThat(head.ties(kept)).contains(Tie.LEAD);
        assertThat(lead.mayRead(Matter.INCIDENT_FOR_LEADS, kept)).isFalse();
        assertThat(staff(Set.of(TIDAL), Set.of(MONDAY)).mayRead(Matter.INCIDENT_FOR_LEADS, kept))
                .isFalse();
    }

    @Property
    void of_two_classes_those_may_read_who_may_of_one(@ForAll Matter matter, @ForAll("readers") Reader reader) {
        boolean one = reader.mayRead(matter, About.ofClass(TIDAL)) || reader.mayRead(matter, About.ofClass(ORCHARD));

        assertThat(reader.mayRead(matter, About.classes(Set.of(TIDAL, ORCHARD))))
                .isEqualTo(one);
    }

    @Provide
    Arbitrary<Reader> readers() {
        return Combinators.combine(
                        people(),
                        Arbitraries.of(Post.class),
                        classes(),
                        Arbitraries.of(MONDAY, TUESDAY).set(),
                        years())
                .as(Reader::new);
    }

    @Provide
    Arbitrary<About> abouts() {
        return Combinators.combine(
                        classes(), Arbitraries.of(MONDAY, TUESDAY).optional(), people().optional(), ofIncidents())
                .as((classes, lesson, person, incident) -> new About(
                        classes,
                        lesson,
                        person,
                        // What is about one person is no incident.
                        person.isPresent() ? About.OfIncident.NONE : incident));
    }

    private static Arbitrary<About.OfIncident> ofIncidents() {
        return Combinators.combine(years(), people().set(), people().set(), Arbitraries.of(true, false))
                .as(About.OfIncident::new);
    }

    private static Arbitrary<Set<Integer>> years() {
        return Arbitraries.integers().between(7, 9).set();
    }

    private static Arbitrary<PersonId> people() {
        return Arbitraries.of("orla", "ines", "jory").map(PersonId::new);
    }

    private static Arbitrary<Set<ClassId>> classes() {
        return Arbitraries.of(TIDAL, ORCHARD, new ClassId("choir")).set();
    }
}
