package juricast.core.watching;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.board.BoardPart;
import juricast.core.chat.ChatEvent;
import juricast.core.chat.ChatPart;
import juricast.core.chat.Readers;
import juricast.core.consent.Standing;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.material.MaterialEvent;
import juricast.core.questions.AskedQuestion;
import juricast.core.questions.QuestionsEvent;
import juricast.core.questions.QuestionsPart;
import juricast.core.questions.Results;
import juricast.core.recording.Coverage;
import juricast.core.recording.RecordingPart;
import juricast.core.recording.WhoMay.Without;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsPart;
import juricast.core.rules.Catalogue;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;
import juricast.core.time.Span;

/**
 * Makes a {@link Playback} of a lesson's record. The record is folded once from its beginning; at each event it is asked whether
 * something is recorded and whether its author may be, by the rules and the consent of that moment and by what is said about them
 * at the moment of watching.
 */
public final class PlaybackMaker {
    private final LessonPlan plan;
    private final PlannedRules rules;
    private final Instant watchedAt;
    private final Timeline line;
    private final Instant over;
    private final List<LessonEvent> record;
    private final Set<PersonId> unnamed = new HashSet<>();
    private final Unnamed without;

    private final Map<PersonId, List<Piece>> heard = new LinkedHashMap<>();
    private final Map<PersonId, Instant> speaksSince = new HashMap<>();
    private final List<Playback.Text> captions = new ArrayList<>();
    private final List<Playback.Text> words = new ArrayList<>();
    private final List<Playback.Handout> handouts = new ArrayList<>();
    private final List<Playback.Poll> polls = new ArrayList<>();
    private final List<Playback.Stage> stances = new ArrayList<>();
    private final BoardStory board;

    private PlaybackMaker(LessonPlan plan, List<LessonEvent> record, PlannedRules rules, Instant watchedAt) {
        this.plan = plan;
        this.rules = rules;
        this.watchedAt = watchedAt;
        this.record = record;
        LessonState end = Parts.NEW.after(record);
        over = end.there().dismissedAt().orElse(watchedAt);
        line = new Timeline(end.of(RecordingPart.RECORDING).segments(over));
        board = new BoardStory(line, this::isIn);
        people().filter(one -> !mayBe(one.person(), one.role(), over)).forEach(one -> unnamed.add(one.person()));
        without = new Unnamed(people().filter(one -> unnamed.contains(one.person()))
                .map(Member::name)
                .toList());
    }

    /**
     * @param plan with all that was said about recording its people until now
     * @param rules those of the lesson
     * @param watchedAt when it is watched
     */
    public static Playback of(LessonPlan plan, List<LessonEvent> record, PlannedRules rules, Instant watchedAt) {
        return new PlaybackMaker(plan, record, rules, watchedAt).make();
    }

    private Stream<Member> people() {
        return Stream.concat(plan.members().stream(), plan.beside().former().stream());
    }

    private Playback make() {
        LessonState state = Parts.NEW;
        for (LessonEvent event : record) {
            LessonState before = state;
            state = state.after(event);
            boolean isRecorded = state.of(RecordingPart.RECORDING).running().isPresent()
                    && line.at(event.at()).isPresent();
            if (!state.isSame(before, BoardPart.BOARD)) {
                board.changed(before.of(BoardPart.BOARD), state.of(BoardPart.BOARD), isRecorded, event.at());
            }
            if (isRecorded) {
                take(event, before);
            } else if (event instanceof RightsEvent.StanceSwitched switched) {
                stances.add(stage(switched));
            }
            if (!state.isSame(before, RightsPart.RIGHTS)) {
                voices(state, event.at());
            }
        }
        voices(Parts.NEW, over);
        boolean isAlone = rules.value(Catalogue.RECORDING_ALONE, Rule.ANSWERS, over) == YesNo.YES;
        return new Playback(
                line,
                heard.entrySet().stream()
                        .filter(one -> !one.getValue().isEmpty())
                        .map(one -> new Playback.Voice(
                                one.getKey(), shown(one.getKey()), roleOf(one.getKey()), Piece.united(one.getValue())))
                        .toList(),
                captions,
                isAlone ? List.of() : words,
                isAlone ? List.of() : board.pages(),
                handouts,
                isAlone ? List.of() : polls,
                stances,
                Coverage.of(record, over).gaps(),
                unnamed.size());
    }

    /** What happened while something was recorded. @param before the lesson before it, which knows what was held */
    private void take(LessonEvent event, LessonState before) {
        Duration place = line.from(event.at());
        if (event instanceof MaterialEvent.Captioned said && isIn(said.by(), said.at())) {
            captions.add(text(place, said.by(), said.text()));
        } else if (event instanceof MaterialEvent.HandedOut handed && isIn(handed.by(), handed.at())) {
            handouts.add(new Playback.Handout(place, without.of(handed.title()), without.of(handed.body())));
        } else if (event instanceof QuestionsEvent.Shown answers) {
            before.of(QuestionsPart.QUESTIONS)
                    .question(answers.question())
                    .ifPresent(asked -> polled(place, asked, answers));
        } else if (event instanceof RightsEvent.StanceSwitched switched) {
            stances.add(stage(switched));
        } else if (event instanceof ChatEvent.Said said) {
            written(place, said.from(), said.to(), said.text(), said.at());
        } else if (event instanceof ChatEvent.Released released && released.letThrough()) {
            before.of(ChatPart.CHAT).held().stream()
                    .filter(held -> held.number() == released.number())
                    .forEach(held -> written(place, held.from(), held.to(), held.text(), released.at()));
        }
    }

    /** As the class saw it, but for names that may stand in somebody's words. */
    private void polled(Duration place, AskedQuestion asked, QuestionsEvent.Shown answers) {
        asked.results()
                .forClass(asked.question(), answers.right())
                .ifPresent(seen -> polls.add(new Playback.Poll(
                        place,
                        without.of(asked.question().text()),
                        new Results(
                                seen.answers(),
                                seen.lines().stream()
                                        .map(one ->
                                                new Results.Line(without.of(one.words()), one.count(), one.isRight()))
                                        .toList(),
                                seen.right()))));
    }

    private Playback.Stage stage(RightsEvent.StanceSwitched switched) {
        return new Playback.Stage(line.from(switched.at()), switched.to().name());
    }

    /** Only what the class together was written is in it. */
    private void written(Duration place, PersonId from, Readers to, String text, Instant at) {
        boolean isForAll = to.kind() == Readers.Kind.CLASS || to.place().equals(Optional.of(PlaceId.TOGETHER));
        if (isForAll && isIn(from, at)) {
            words.add(text(place, from, text));
        }
    }

    private void voices(LessonState state, Instant now) {
        Set<PersonId> on = new HashSet<>();
        for (PersonId person : state.of(RightsPart.RIGHTS).withSomethingOn()) {
            if (state.of(RightsPart.RIGHTS).on(person).contains(Appliance.MICROPHONE)
                    && state.where().placeOf(person).equals(PlaceId.TOGETHER)) {
                on.add(person);
            }
        }
        for (PersonId person : Set.copyOf(speaksSince.keySet())) {
            if (!on.contains(person)) {
                Instant since = speaksSince.remove(person);
                if (isIn(person, since)) {
                    Span.between(since, now).ifPresent(time -> heard.computeIfAbsent(person, one -> new ArrayList<>())
                            .addAll(line.pieces(time)));
                }
            }
        }
        on.forEach(person -> speaksSince.putIfAbsent(person, now));
    }

    private Playback.Text text(Duration place, PersonId by, String text) {
        return new Playback.Text(place, shown(by), without.of(text));
    }

    /** Whether what this person did at an instant is in what is watched now. */
    private boolean isIn(PersonId person, Instant then) {
        return !unnamed.contains(person) && mayBe(person, roleOf(person), then);
    }

    private boolean mayBe(PersonId person, Role role, Instant then) {
        if (!Catalogue.CONSENT.speaksOf(role)) {
            return true;
        }
        Standing now = plan.consents().of(person, watchedAt);
        return !now.isNo()
                && (plan.consents().of(person, then) == Standing.GIVEN
                        || Without.of(rules.value(Catalogue.CONSENT, role, then)) == Without.NOT_ASKED);
    }

    /** Of whom nothing is known any more is treated as a pupil: nobody is heard by mistake. */
    private Role roleOf(PersonId person) {
        return plan.member(person).isPresent() || plan.isFormer(person) ? plan.roleOf(person) : Role.PUPIL;
    }

    /** As the rule wants a name to be written; adults are called by theirs. */
    private String shown(PersonId person) {
        Role role = roleOf(person);
        return Catalogue.SHOWN_NAME.speaksOf(role)
                ? ShownName.of(plan.nameOf(person), rules.value(Catalogue.SHOWN_NAME, role, over))
                : plan.nameOf(person);
    }
}
