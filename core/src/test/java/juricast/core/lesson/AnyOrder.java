package juricast.core.lesson;

import static juricast.core.lesson.LiveLesson.*;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.board.BoardEvent;
import juricast.core.board.BoardOrder;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.chat.SentFile;
import juricast.core.clocks.ClocksOrder;
import juricast.core.conduct.ConductOrder;
import juricast.core.conduct.Worry;
import juricast.core.door.DoorOrder;
import juricast.core.drawing.Drawing;
import juricast.core.ending.EndingOrder;
import juricast.core.entry.Arrival;
import juricast.core.entry.Sweep;
import juricast.core.groups.GroupsOrder;
import juricast.core.help.HelpOrder;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.lines.LinesOrder;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.live.Stance;
import juricast.core.material.MaterialOrder;
import juricast.core.merits.MeritsOrder;
import juricast.core.notices.NoticesOrder;
import juricast.core.questions.Answer;
import juricast.core.questions.Question;
import juricast.core.questions.QuestionsOrder;
import juricast.core.recording.Failure;
import juricast.core.recording.PauseReason;
import juricast.core.recording.RecordingOrder;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.RuleValue;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsOrder;
import juricast.core.slates.Ground;
import juricast.core.slates.SlatesOrder;
import juricast.core.supervision.SupervisionOrder;

/** One of each order there is, by whomever and about whomever, for tests that try them in any row. */
final class AnyOrder {
    private static final List<PersonId> PUPILS = List.of(INES, JORY, KESTER);
    private static final List<PersonId> GIVERS = List.of(ORLA, TAM, MAREN, INES);
    private static final Stance STANCE = new Stance(
            "discussion",
            "Discussion",
            List.of(
                    new Stance.Part(RuleValue.parse("voice.speak=open"), Role.PUPIL, Condition.ALWAYS),
                    new Stance.Part(RuleValue.parse("entry.door=open"), Role.PUPIL, Condition.ALWAYS)));

    private AnyOrder() {}

    /** How many kinds of orders are tried; as many as {@link #kinds} has. */
    static final int KINDS = kinds(0, 0).size();

    /** @param kind which order, from 0 @param pupil about which pupil @param giver by whom */
    static LessonOrder of(int kind, int pupil, int giver) {
        return List.copyOf(kinds(pupil, giver).values()).get(kind);
    }

    static Set<Class<?>> tried() {
        return kinds(0, 0).keySet();
    }

    private static Map<Class<?>, LessonOrder> kinds(int whom, int who) {
        PersonId pupil = PUPILS.get(whom % PUPILS.size());
        PersonId by = GIVERS.get(who % GIVERS.size());
        VisitId visit = visitOf(pupil);
        var group = new PlaceId("g" + (1 + (whom + who) % 3));
        var all = new LinkedHashMap<Class<?>, LessonOrder>();
        for (LessonOrder order : List.of(
                new LessonOrder.Tick(),
                new DoorOrder.Open(by),
                new DoorOrder.Join(visitOf(by), new DeviceId("desk of " + by), by),
                knock(pupil),
                new DoorOrder.Admit(visit, Optional.of(pupil), by),
                new DoorOrder.AdmitGuest(visit, new PersonId("guest-" + pupil), "her cousin", by),
                new DoorOrder.AdmitAllListed(by),
                new DoorOrder.TurnAway(visit, by),
                new DoorOrder.Leave(who % 3 == 0 ? visitOf(by) : visit),
                new DoorOrder.LoseConnection(who % 2 == 0 ? visit : visitOf(by)),
                new DoorOrder.ComeBack(who % 2 == 0 ? visit : visitOf(by)),
                new DoorOrder.Rename(visit, "Captain"),
                new DoorOrder.Remove(pupil, "shouting", by),
                new DoorOrder.AllowBack(pupil, by),
                new DoorOrder.NoticeSweep(
                        new Sweep(new DeviceId(pupil.value()), "wolf", Set.of(new LessonId("a"), new LessonId("b")))),
                new GroupsOrder.DrawUp(drawnUp(whom, who), "by chance", who, by),
                new GroupsOrder.WriteTask("find the tide", by),
                new GroupsOrder.Move(pupil, who == 3 ? Optional.empty() : Optional.of(group), by),
                new GroupsOrder.Rename(group, who % 2 == 0 ? "Reef" : "Group 1", by),
                new GroupsOrder.Lock(group, who % 2 == 0, by),
                new GroupsOrder.Add("Skerry " + who, by),
                new GroupsOrder.Empty(group, by),
                new GroupsOrder.SendOut(who == 1 ? Optional.of(minutes(1 + whom)) : Optional.empty(), whom == 2, by),
                new GroupsOrder.StayLonger(minutes(who), by),
                new GroupsOrder.CallBack(minutes(whom == 0 ? 0 : 1), by),
                new GroupsOrder.GoIn(group, by),
                new GroupsOrder.ComeOut(by),
                new GroupsOrder.LookIn(group, by),
                new GroupsOrder.LookAway(by),
                new GroupsOrder.Accept(visit),
                new GroupsOrder.ComeBack(visit),
                new GroupsOrder.CallForHelp(visit),
                new GroupsOrder.SettleHelp(group, by),
                new SignalsOrder.RaiseHand(visit),
                new SignalsOrder.LowerHand(pupil, by),
                new SignalsOrder.ShowSign(visit, Optional.of(Sign.values()[who % Sign.values().length])),
                new SignalsOrder.HandsDown(by),
                new SignalsOrder.ClearSigns(by),
                new LinesOrder.Tell(visit, who % 3 > 0),
                new LinesOrder.Leave(by),
                new SignalsOrder.AnswerFocus(visit, who % 2 == 0),
                new SignalsOrder.Focus(who % 2 == 0 ? Optional.of(pupil) : Optional.empty(), by),
                new RightsOrder.TurnOn(visit, Appliance.values()[who % Appliance.values().length]),
                new RightsOrder.TurnOff(pupil, Appliance.MICROPHONE, by),
                new RightsOrder.MuteAll(who % 2 == 0, by),
                new RightsOrder.UndoMuteAll(by),
                new RightsOrder.SetLive(RuleValue.parse(who % 2 == 0 ? "entry.door=open" : "voice.speak=open"), by),
                new RightsOrder.SetLive(
                        RuleValue.parse(who % 2 == 0 ? "chat.class=closed" : "voice.see-cameras=closed"),
                        Optional.of(minutes(1 + whom)),
                        by),
                new RightsOrder.GivePass(pupil, Catalogue.SHARE_SCREEN, minutes(1 + who), by),
                new RightsOrder.GiveCurb(pupil, Catalogue.SPEAK, minutes(1), by),
                new RightsOrder.EndLoan(pupil, Catalogue.SPEAK, by),
                new RightsOrder.SwitchStance(STANCE, who % 2 == 0, by),
                new RightsOrder.Lighten(who % 2 == 0, by),
                new ChatOrder.Say(visit, who % 2 == 0 ? Readers.CLASS : Readers.ADULTS, "see www.tides"),
                new ChatOrder.SendFile(visit, Readers.CLASS, new SentFile("f", "tide.png", "pictures", 100)),
                new ChatOrder.Release(1 + who * 7, who % 2 == 0, by),
                new BoardOrder.Draw(visit, 0, Drawing.pen(List.of(0, 0, 10, 10))),
                new BoardOrder.Erase(visit, 0, List.of(who, whom + 5, 20)),
                new BoardOrder.Undo(visit, 0),
                new BoardOrder.TakeAway(pupil, minutes(2), by),
                new BoardOrder.Point(visit, 0, List.of(0, 0, 10, 10)),
                new BoardOrder.AddPages(List.of(Optional.empty()), Optional.empty(), by),
                new BoardOrder.Turn(0, Optional.empty(), by),
                new BoardOrder.RemovePage(0, Optional.of(group), by),
                new BoardOrder.Bring(
                        new LessonId("a"),
                        List.of(new BoardEvent.BroughtPage(
                                Optional.empty(),
                                List.of(new BoardEvent.BroughtMark(pupil, Drawing.pen(List.of(1, 1, 2, 2)))))),
                        Optional.empty(),
                        by),
                new QuestionsOrder.Ask(
                        Question.of(Question.Kind.SINGLE, "Which tide?", List.of("spring", "neap"))
                                .right(0),
                        Optional.empty(),
                        who % 2 == 0,
                        whom == 1 ? Optional.of(Duration.ofSeconds(30)) : Optional.empty(),
                        who == 2 ? Optional.of(group) : Optional.empty(),
                        by),
                new QuestionsOrder.Give(1 + who * 11, visit, Answer.choosing(whom % 2)),
                new QuestionsOrder.Extend(1 + who * 11, Duration.ofSeconds(30), by),
                new QuestionsOrder.Nudge(1 + who * 11, by),
                new QuestionsOrder.Close(1 + who * 11, by),
                new QuestionsOrder.Show(1 + who * 11, true, by),
                new QuestionsOrder.PutAway(1 + who * 11, by),
                new ClocksOrder.Start("read", whom == 0 ? Optional.empty() : Optional.of(minutes(1)), true, by),
                new ClocksOrder.Pause(by),
                new ClocksOrder.GoOn(by),
                new ClocksOrder.Lengthen(minutes(1), by),
                new ClocksOrder.End(by),
                new ClocksOrder.Call("the capital", Duration.ofSeconds(who), by),
                new ClocksOrder.Press(visit, at("10:30:00"), Duration.ofMillis(whom * 90L)),
                new ClocksOrder.PassOn(by),
                new ClocksOrder.EndCall(by),
                new SlatesOrder.GiveOut("draw a tide", Ground.AXES, by),
                new SlatesOrder.Draw(visit, Drawing.pen(List.of(3, 3, 4, 4))),
                new SlatesOrder.Undo(visit),
                new SlatesOrder.Wipe(visit, List.of()),
                new SlatesOrder.HandIn(visit),
                new SlatesOrder.Collect(by),
                new SlatesOrder.GiveBack(who == 1 ? Optional.of(pupil) : Optional.empty(), by),
                new SlatesOrder.Show(List.of(pupil), who % 2 == 0, by),
                new SlatesOrder.Hide(by),
                new SlatesOrder.TakeAway(by),
                new HelpOrder.Stay(20, by),
                new NoticesOrder.Welcome("Good morning", by),
                new NoticesOrder.PutUp("Books on page 9", by),
                new NoticesOrder.TakeDown(1 + who * 9, by),
                new MeritsOrder.TakeBack(1 + who * 9, by),
                new DoorOrder.SendToDoor(pupil, by),
                new ConductOrder.TakeStep(
                        List.of(pupil),
                        "insult",
                        List.of("word", "curb", "door", "out", "series").get((whom + who) % 5),
                        ConductOrder.How.USUAL,
                        "again",
                        minutes(5),
                        1000,
                        by),
                new ConductOrder.Note(1 + who * 8, "was upset", by),
                new ConductOrder.Withdraw(1 + who * 8, "the wrong pupil", by),
                new ConductOrder.MarkMoment("look at this", by),
                new ConductOrder.RaiseWorry(visit, Worry.About.values()[who % 3], "something is wrong", whom % 2 == 0),
                new ConductOrder.SettleWorry(1 + who * 8, by),
                new BoardOrder.Wipe(who % 2 == 0 ? Optional.of(pupil) : Optional.empty(), Optional.empty(), by),
                new MaterialOrder.HandOut(by, "Chart", "page 4"),
                new MaterialOrder.TakeBack(1 + who * 5, by),
                new MaterialOrder.Caption(visitOf(by), "the tide turns"),
                new MaterialOrder.LetServiceListen(who % 2 == 0, by),
                new MaterialOrder.Heard(pupil, "it turns at five"),
                new RecordingOrder.Start(by),
                who == 3
                        ? new RecordingOrder.Answer(Optional.of(Failure.values()[whom]), Optional.of(at("10:00:30")))
                        : RecordingOrder.Answer.BEGUN,
                new RecordingOrder.Pause(
                        PauseReason.CONFIDES, who % 2 == 0 ? Optional.of(minutes(1)) : Optional.empty(), by),
                new RecordingOrder.GoOn(by),
                new RecordingOrder.End(by),
                new MeritsOrder.Give(List.of(pupil), "a good question", by),
                new SupervisionOrder.StopEverything("a fight", by),
                new SupervisionOrder.Resume(by),
                new SupervisionOrder.TakeCharge(by),
                new EndingOrder.KeepBack(pupil, by),
                new EndingOrder.Dismiss(by))) {
            all.put(order.getClass(), order);
        }
        return all;
    }

    /** Two groups, or three, with somebody left out now and then. */
    private static List<GroupsOrder.Wanted> drawnUp(int whom, int who) {
        return who % 2 == 0
                ? List.of(
                        new GroupsOrder.Wanted("Reef", List.of(INES, KESTER)),
                        new GroupsOrder.Wanted("Skerry", List.of(JORY)))
                : List.of(
                        new GroupsOrder.Wanted("Ness", List.of(PUPILS.get(whom % 3))),
                        new GroupsOrder.Wanted("Holm", List.of(PUPILS.get((whom + 1) % 3))),
                        new GroupsOrder.Wanted("Voe", List.of()));
    }

    private static LessonOrder knock(PersonId pupil) {
        String device = pupil.value();
        return new DoorOrder.Knock(Arrival.of(
                new VisitId(device),
                new DeviceId(device),
                pupil.equals(INES) ? "Ines Carrow" : pupil.equals(JORY) ? "Jory Pell" : "Somebody Else",
                Optional.empty(),
                Arrival.Link.CURRENT,
                true));
    }
}
