package juricast.server.casebook;

import static juricast.core.recording.RecordingPart.RECORDING;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import juricast.core.board.BoardEvent;
import juricast.core.casebook.CaseEvent;
import juricast.core.casebook.CasePart;
import juricast.core.casebook.Evidence;
import juricast.core.casebook.Incident;
import juricast.core.chat.ChatEvent;
import juricast.core.drawing.Drawing;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.presence.Presence;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.time.Span;
import juricast.server.chat.LessonFiles;
import juricast.server.data.School;
import juricast.server.drawing.SheetSvg;
import juricast.server.evidence.PackWriter;
import juricast.server.files.Paper;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.people.People;
import juricast.server.record.IncidentRecord;
import juricast.server.record.Journal;
import juricast.server.record.SchoolSignature;
import juricast.server.register.Attendances;
import juricast.server.watching.HeardMinutes;
import juricast.server.words.RuleWords;
import org.springframework.stereotype.Component;

/** Puts an incident and all that it rests on into an evidence pack (need G5). */
@Component
class PackMaker {
    private final Casebook casebook;
    private final CaseStory story;
    private final IncidentRecord incidents;
    private final Journal journal;
    private final LiveLessons lessons;
    private final LessonFiles files;
    private final HeardMinutes minutesHeard;
    private final Attendances registers;
    private final RuleWords rules;
    private final People people;
    private final School school;
    private final SchoolSignature signature;

    PackMaker(
            Casebook casebook,
            CaseStory story,
            IncidentRecord incidents,
            Journal journal,
            LiveLessons lessons,
            LessonFiles files,
            HeardMinutes minutesHeard,
            Attendances registers,
            RuleWords rules,
            People people,
            School school,
            SchoolSignature signature) {
        this.casebook = casebook;
        this.story = story;
        this.incidents = incidents;
        this.journal = journal;
        this.lessons = lessons;
        this.files = files;
        this.minutesHeard = minutesHeard;
        this.registers = registers;
        this.rules = rules;
        this.people = people;
        this.school = school;
        this.signature = signature;
    }

    /** @param coveredFor the pupil for whose parents it is, who alone of all pupils is named in it; nothing for all */
    byte[] make(Incident incident, Optional<PersonId> coveredFor, PersonId by, Instant now) {
        var pack =
                new PackWriter(coveredFor.map(pupil -> others(incident, pupil)).orElse(Set.of()));
        UnaryOperator<String> covering = pack.covering();
        List<Casebook.Numbered> events = casebook.events(incident.id());
        Set<Integer> forLeads = new HashSet<>();
        events.stream()
                .filter(one -> one.event() instanceof CaseEvent.Noted note && note.leadOnly())
                .forEach(one -> forLeads.add(one.number()));
        pack.record(
                "incident.json",
                "the incident, event by event, as it was written",
                incidents.excerpt(incident.id().number()),
                number -> coveredFor.isPresent() && forLeads.contains(number));
        List<CaseStory.StoryLine> lines = story.of(
                incident, events, coveredFor.isEmpty(), coveredFor.map(Set::of).orElseGet(incident::about));
        pack.text(
                "story.json",
                "the incident in sentences",
                lines.stream().map(PackMaker::told).toList());
        int number = 0;
        for (Map.Entry<LessonId, Stretch> one : stretches(incident).entrySet()) {
            number++;
            lesson(pack, number, one.getKey(), one.getValue(), incident, coveredFor);
        }
        pack.file("incident.pdf", "the incident to be read and printed", paper(incident, lines, covering), true);
        pack.file("how-to-check.txt", "how this pack is checked", HOW.getBytes(StandardCharsets.UTF_8), true);
        return pack.signed(
                signature,
                school.identity().map(School.Identity::name).orElse(""),
                incident.id().number(),
                incident.opened().title(),
                now.toString(),
                people.nameOf(by),
                coveredFor.map(people::nameOf).orElse(""));
    }

    private static final String HOW =
            """
        This is an evidence pack of Juricast. Whether it is whole is told by

            ./juricast verify PACK.zip

        or on the page "Evidence packs" of the school, where one drops it. Both say what is missing, altered,
        moved or added, and which key it was signed with. The format is open: docs/evidence-pack.md.
        """;

    /** Events of one lesson from the first to the last that belong to it. */
    private record Stretch(int first, int last) {
        Stretch and(int from, int until) {
            return new Stretch(Math.min(first, from), Math.max(last, until));
        }
    }

    private static Map<LessonId, Stretch> stretches(Incident incident) {
        var all = new LinkedHashMap<LessonId, Stretch>();
        for (CaseEvent.EvidenceAdded one : incident.evidence()) {
            all.merge(
                    one.lesson(),
                    new Stretch(one.first(), one.last()),
                    (known, more) -> known.and(more.first, more.last));
        }
        return all;
    }

    /** Names, their parts and ids of everybody in it but one pupil and the adults who acted. */
    private Set<String> others(Incident incident, PersonId pupil) {
        var ids = new LinkedHashSet<PersonId>();
        incident.people().forEach((person, part) -> {
            if (part != CasePart.ACTED) {
                ids.add(person);
            }
        });
        stretches(incident).keySet().forEach(lesson -> lessons.look(lesson).plan().classList().stream()
                .map(one -> one.person())
                .forEach(ids::add));
        ids.remove(pupil);
        var names = new LinkedHashSet<String>();
        List<String> own = List.of(people.nameOf(pupil).split("[\\s-]+"));
        for (PersonId one : ids) {
            names.add(one.value());
            names.add(people.nameOf(one));
            Stream.of(people.nameOf(one).split("[\\s-]+"))
                    .filter(part -> part.length() >= 2 && !own.contains(part))
                    .forEach(names::add);
        }
        return names;
    }

    private static String told(CaseStory.StoryLine line) {
        return "%s  %s%s".formatted(line.at(), line.text(), line.quote() == null ? "" : " “" + line.quote() + "”");
    }

    private void lesson(
            PackWriter pack,
            int number,
            LessonId lesson,
            Stretch stretch,
            Incident incident,
            Optional<PersonId> coveredFor) {
        Snapshot at = lessons.look(lesson);
        String of = "lesson-%d".formatted(number);
        List<LessonEvent> record = at.events();
        // In a copy for one family stands what others wrote and drew only as something that happened.
        IntPredicate hides = event -> coveredFor
                .filter(pupil -> isOfOthers(event, record.get(event - 1), pupil))
                .isPresent();
        pack.record(
                of + "/record.json",
                "the record of %s from event %d to %d".formatted(at.plan().title(), stretch.first, stretch.last),
                journal.excerpt(lesson, stretch.first, stretch.last),
                hides);
        Instant from = record.get(stretch.first - 1).at();
        Instant until = record.get(stretch.last - 1).at();
        Evidence evidence = Evidence.of(at.plan(), record, at.rules(), incident.about(), from, until);
        marks(pack, of, evidence, coveredFor);
        sent(pack, of, evidence, coveredFor);
        pack.text(of + "/presence.json", "who was there, from when until when", presence(at, until));
        pack.text(of + "/register.json", "the register, as it stood when the pack was made", registered(lesson));
        pack.text(of + "/rules.json", "what those it is about might do, and why", ruled(at, evidence, until));
        List<String> recorded = recorded(at, from, until);
        if (!recorded.isEmpty()) {
            pack.text(of + "/recording.json", "what of it was recorded", recorded);
            heard(pack, of, lesson, minutes(incident, lesson, record), coveredFor.isEmpty());
        }
    }

    /** The minutes around each piece of evidence, and not all that lies between them. */
    private static List<Span> minutes(Incident incident, LessonId lesson, List<LessonEvent> record) {
        return incident.evidence().stream()
                .filter(one -> one.lesson().equals(lesson))
                .flatMap(
                        one -> Span.between(
                                record.get(one.first() - 1).at(),
                                record.get(one.last() - 1).at())
                                .stream())
                .toList();
    }

    /** In a copy for one family nobody else's voice is heard. */
    private void heard(PackWriter pack, String of, LessonId lesson, List<Span> minutes, boolean shown) {
        minutesHeard.of(lesson, minutes).ifPresent(one -> {
            pack.file(
                    "%s/sound.%s".formatted(of, one.ending()),
                    "the recording of the minutes around it",
                    one.sound(),
                    shown);
            if (shown && !one.captions().isEmpty()) {
                pack.text(
                        of + "/captions.json",
                        "what was said in that recording, in writing",
                        one.captions().stream()
                                .map(said -> "%d:%02d  %s: %s"
                                        .formatted(
                                                said.at().toMinutes(),
                                                said.at().toSecondsPart(),
                                                said.name(),
                                                said.text()))
                                .toList());
            }
        });
    }

    private List<String> registered(LessonId lesson) {
        return registers.register(lesson).lines().stream()
                .map(line -> "%s  %s%s, %d minutes in the room%s"
                        .formatted(
                                line.pupil().name(),
                                line.mark().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                                line.minutesLate() == 0 ? "" : " by %d min".formatted(line.minutesLate()),
                                line.minutes(),
                                line.correction()
                                        .map(one -> " (corrected: " + one.reason() + ")")
                                        .orElse("")))
                .toList();
    }

    private static boolean isOfOthers(int number, LessonEvent event, PersonId pupil) {
        boolean says = event instanceof ChatEvent.Written || event instanceof BoardEvent.Drawn;
        return says && Evidence.item(number, event, Set.of(pupil)).isEmpty();
    }

    private void marks(PackWriter pack, String of, Evidence evidence, Optional<PersonId> coveredFor) {
        Map<PersonId, List<Drawing>> drawn = new LinkedHashMap<>();
        evidence.items().forEach(one -> {
            if (one.event() instanceof BoardEvent.Drawn mark) {
                drawn.computeIfAbsent(mark.person(), any -> new ArrayList<>()).add(mark.drawing());
            }
        });
        int place = 0;
        for (Map.Entry<PersonId, List<Drawing>> one : drawn.entrySet()) {
            place++;
            boolean shown = coveredFor.map(one.getKey()::equals).orElse(true);
            String who = shown ? people.nameOf(one.getKey()) : "somebody else";
            pack.file(
                    "%s/marks-%d.svg".formatted(of, place),
                    "what %s drew: %d marks".formatted(who, one.getValue().size()),
                    SheetSvg.of(one.getValue(), "Marks of " + who, Optional.empty())
                            .getBytes(StandardCharsets.UTF_8),
                    shown);
        }
    }

    private void sent(PackWriter pack, String of, Evidence evidence, Optional<PersonId> coveredFor) {
        int place = 0;
        for (Evidence.Item one : evidence.items()) {
            if (one.event() instanceof ChatEvent.Written written
                    && written.file().isPresent()) {
                place++;
                boolean shown = coveredFor.equals(one.of()) || coveredFor.isEmpty();
                String name = written.file().get().name();
                String ending = name.contains(".") ? name.substring(name.lastIndexOf('.') + 1) : "bin";
                pack.file(
                        "%s/file-%d.%s"
                                .formatted(
                                        of,
                                        place,
                                        ending.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "")),
                        "a file that was sent",
                        files.bytes(written.file().get()),
                        shown);
            }
        }
    }

    private static List<String> presence(Snapshot at, Instant until) {
        var lines = new ArrayList<String>();
        Presence.of(at.events(), until).forEach((person, attendance) -> attendance
                .stays()
                .forEach(stay -> lines.add(
                        "%s  in from %s until %s".formatted(at.plan().nameOf(person), stay.from(), stay.until()))));
        return lines;
    }

    private List<String> ruled(Snapshot at, Evidence evidence, Instant until) {
        var lines = new ArrayList<String>();
        for (Evidence.Right one : evidence.rights()) {
            Optional<Rule<Permission>> right = Catalogue.rightByKey(one.rule().key());
            right.ifPresent(rule -> {
                RuleWords.Why why =
                        rules.forAdults(at.rules().book(), rule, at.plan().roleOf(one.person()), until);
                lines.add("%s  %s: %s".formatted(at.plan().nameOf(one.person()), rule.title(), one.value()));
                why.chain().forEach(link -> lines.add("    %s: %s".formatted(link.text(), link.value())));
            });
        }
        evidence.stance().ifPresent(stance -> lines.add("The stance was " + stance));
        return lines;
    }

    private static List<String> recorded(Snapshot at, Instant from, Instant until) {
        var window = from.isBefore(until) ? Optional.of(new Span(from, until)) : Optional.<Span>empty();
        return window.stream()
                .flatMap(span ->
                        at.state().of(RECORDING).segments(until).stream().flatMap(one -> one.within(span).stream()))
                .map(one -> "recorded from %s until %s".formatted(one.from(), one.until()))
                .toList();
    }

    private byte[] paper(Incident incident, List<CaseStory.StoryLine> lines, UnaryOperator<String> covering) {
        String title = covering.apply(
                "%s: %s".formatted(incident.id(), incident.opened().title()));
        String foot = "%s, evidence pack"
                .formatted(school.identity().map(School.Identity::name).orElse("The school"));
        return Paper.portrait(title, foot, document -> {
            document.add(Paper.line(title, Paper.TITLE, 6));
            document.add(Paper.line(
                    "%s, %s; %s"
                            .formatted(
                                    school.dayAndYear(incident.where().moment()),
                                    school.clockTime(incident.where().moment()),
                                    incident.act().name()),
                    Paper.NOTE,
                    10));
            incident.people()
                    .forEach((person, part) -> document.add(Paper.line(
                            covering.apply("%s: %s"
                                    .formatted(
                                            people.nameOf(person), part.name().toLowerCase(Locale.ROOT))),
                            Paper.TEXT,
                            1)));
            document.add(Paper.line(" ", Paper.TEXT, 4));
            for (CaseStory.StoryLine line : lines) {
                document.add(Paper.line(
                        "%s %s".formatted(school.dayAndYear(line.at()), school.clockTime(line.at())), Paper.NOTE, 0));
                document.add(Paper.line(
                        covering.apply(line.text() + (line.quote() == null ? "" : " “" + line.quote() + "”")),
                        Paper.TEXT,
                        5));
            }
        });
    }
}
