package juricast.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import juricast.core.entry.NameMatch.Certainty;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import org.junit.jupiter.api.Test;

/** A made-up set of arrivals with known truth: what share of the clear ones is matched, and whether any goes wrong. */
class NameMatchQualityTest {
    private static final List<String> FIRST = List.of(
            "Ines", "Jory", "Kester", "Dagny", "Éloïse", "Mira", "Bo", "Hanne", "Viggo", "Tove", "Gethin", "Cato",
            "Rafe", "Lior", "Wen", "Oona", "Petra", "Quill", "Sefa", "Una", "Xanthe", "Yusra", "Zeb", "Anouk",
            "Caspian", "Desta", "Eske", "Fleur", "Idris", "Jón", "Søren", "Nils");
    private static final List<String> LAST = List.of(
            "Carrow",
            "Pell",
            "Tabb",
            "Høltmann",
            "d'Arrac",
            "Solberg",
            "Lindqvar",
            "Ruud",
            "Strand",
            "Arkin",
            "Oakes",
            "Everly",
            "Dunnock",
            "Asher",
            "Ostrander",
            "Tressick",
            "Vole",
            "Adeyo",
            "Mauri",
            "Castell",
            "Rowe",
            "Benn",
            "Corran",
            "Iverly",
            "Eastlake",
            "Marr-Quillan",
            "Drummle",
            "Haldane",
            "Birling",
            "Umber",
            "Farrow",
            "Łukasz");
    private static final List<String> STRANGERS = List.of(
            "Wulf Harrowgate",
            "kestrel-tab-4",
            "Orrin Blackadder",
            "tablet",
            "iris",
            "Ines Carver",
            "Peter Strandberg",
            "Hannah Ruddock",
            "Vigo Strandman",
            "guest",
            "the boat shed phone",
            "Marion Solberger",
            "Tovah Arkwright",
            "Bob");

    private final Random random = new Random(20260914);

    /** Somebody at the door. @param meant nobody for a stranger */
    private record Case(String kind, String claimed, Optional<Member> meant, List<Member> list) {}

    @Test
    void clear_cases_are_matched_and_nobody_is_ever_taken_for_somebody_else() {
        List<Case> cases = cases();
        long clear = cases.stream().filter(one -> one.meant.isPresent()).count();
        var missed = new ArrayList<Case>();
        var wrong = new ArrayList<String>();
        for (Case one : cases) {
            NameMatch match = NameMatch.find(one.claimed, one.list);
            boolean matched = match.certainty() == Certainty.EXACT || match.certainty() == Certainty.SIMILAR;
            if (matched && !one.meant.equals(Optional.of(match.candidates().get(0)))) {
                wrong.add(one + " was taken for " + match);
            }
            if (!matched && one.meant.isPresent()) {
                missed.add(one);
            }
        }

        assertThat(cases).hasSizeGreaterThan(500);
        assertThat(wrong).as("taken for somebody else").isEmpty();
        System.out.printf(
                "Name matching: %d arrivals, %d of %d clear ones matched (%.1f %%), none wrong%n",
                cases.size(), clear - missed.size(), clear, 100.0 * (clear - missed.size()) / clear);
        assertThat((double) missed.size() / clear)
                .as(
                        "share missed: %s",
                        missed.stream().map(one -> one.kind + " " + one.claimed).toList())
                .isLessThanOrEqualTo(0.02);
    }

    private List<Case> cases() {
        var cases = new ArrayList<Case>();
        for (int i = 0; i < 4; i++) {
            List<Member> list = list();
            for (Member member : list) {
                String first = member.name().substring(0, member.name().indexOf(' '));
                String last = member.name().substring(member.name().indexOf(' ') + 1);
                add(cases, list, member, "case", member.name().toUpperCase(Locale.ROOT));
                add(cases, list, member, "order", last + ", " + first);
                add(cases, list, member, "plain letters", plain(member.name()));
                add(cases, list, member, "device", first + " " + last + "’s tablet");
                add(cases, list, member, "slip", first + " " + slip(last));
                add(cases, list, member, "initial", first + " " + last.charAt(0) + ".");
                add(cases, list, member, "second name", first + " Maria " + last);
            }
            STRANGERS.forEach(name -> cases.add(new Case("stranger", name, Optional.empty(), list)));
        }
        return cases;
    }

    private static void add(List<Case> cases, List<Member> list, Member member, String kind, String claimed) {
        cases.add(new Case(kind, claimed, Optional.of(member), list));
    }

    /** Thirty of the class: every first and family name once, in a new pairing. */
    private List<Member> list() {
        var first = new ArrayList<>(FIRST);
        var last = new ArrayList<>(LAST);
        Collections.shuffle(first, random);
        Collections.shuffle(last, random);
        var list = new ArrayList<Member>();
        for (int i = 0; i < 30; i++) {
            String name = first.get(i) + " " + last.get(i);
            list.add(new Member(new PersonId(name), name, Role.PUPIL));
        }
        return list;
    }

    /** A letter missing, doubled, or changed with its neighbour; never the first. */
    private String slip(String word) {
        int at = 1 + random.nextInt(word.length() - 2);
        return switch (random.nextInt(3)) {
            case 0 -> word.substring(0, at) + word.substring(at + 1);
            case 1 -> word.substring(0, at) + word.charAt(at) + word.substring(at);
            default -> word.substring(0, at) + word.charAt(at + 1) + word.charAt(at) + word.substring(at + 2);
        };
    }

    private static String plain(String name) {
        return java.text.Normalizer.normalize(name, java.text.Normalizer.Form.NFKD)
                .replaceAll("\\p{M}+", "")
                .replace("ø", "o")
                .replace("Ł", "L");
    }
}
