package juricast.core.lesson;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.material.MaterialPart.MATERIAL;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.rules.Catalogue.*;
import static juricast.core.signals.SignalsPart.SIGNALS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.audience.RightsSeat;
import juricast.core.audience.SeatView;
import juricast.core.board.BoardOrder;
import juricast.core.board.BoardRefusal;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.ChatRefusal;
import juricast.core.chat.HeldWords;
import juricast.core.chat.Hold;
import juricast.core.chat.Readers;
import juricast.core.chat.SentFile;
import juricast.core.chat.Words;
import juricast.core.door.DoorOrder;
import juricast.core.drawing.Drawing;
import juricast.core.drawing.Mark;
import juricast.core.groups.GroupsOrder;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.limits.Limits;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.RunningOrder;
import juricast.core.live.Stance;
import juricast.core.live.WhoIsWhere;
import juricast.core.material.Caption;
import juricast.core.material.Material;
import juricast.core.material.MaterialOrder;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rights.RightsPart;
import juricast.core.rights.RightsRefusal;
import juricast.core.rules.Condition;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsOrder;
import juricast.core.supervision.SupervisionOrder;
import juricast.core.supervision.SupervisionRefusal;
import org.junit.jupiter.api.Test;

/** What a teacher does while teaching: stances, stop, signals, material, words that wait, the board. */
class TeachingTest {
    private static final SentFile PICTURE = new SentFile("1", "tide.png", "pictures", 4000);

    private static final Stance EXPLAINING = stance("explaining", "voice.speak=on-request", "chat.class=closed");
    private static final Stance DISCUSSION = stance("discussion", "voice.speak=open", "chat.class=open");

    @Test
    void a_stance_is_one_order_and_the_next_one_takes_its_place() {
        var lesson = open().present(INES).order(new RightsOrder.SwitchStance(DISCUSSION, true, ORLA));
        assertThat(value(lesson, SPEAK)).isEqualTo(Permission.OPEN);

        lesson.order(new RightsOrder.TurnOn(visitOf(INES), Appliance.MICROPHONE))
                .order(new RightsOrder.SwitchStance(EXPLAINING, true, ORLA));
        assertThat(value(lesson, SPEAK)).isEqualTo(Permission.ON_REQUEST);
        assertThat(lesson.state().of(RIGHTS).on(INES))
                .as("switched off by the rules" + lesson)
                .isEmpty();
        assertThat(lesson.state().of(RIGHTS).stance()).contains(EXPLAINING);
    }

    @Test
    void a_live_order_on_top_is_kept_or_dropped_knowingly() {
        var opened = new RightsOrder.SetLive(new RuleValue(CLASS_CHAT, Permission.OPEN), ORLA);
        var shut = new RightsOrder.SetLive(RuleValue.parse("entry.door=shut"), ORLA);

        var kept = open().present(INES).order(opened).order(new RightsOrder.SwitchStance(EXPLAINING, true, ORLA));
        var dropped = open().present(INES)
                .order(opened)
                .order(shut)
                .order(new RightsOrder.SwitchStance(EXPLAINING, false, ORLA));

        assertThat(value(kept, CLASS_CHAT)).isEqualTo(Permission.OPEN);
        assertThat(value(dropped, CLASS_CHAT)).isEqualTo(Permission.CLOSED);
        assertThat(dropped.state().of(RIGHTS).liveOrders())
                .as("what the stance does not speak of stays")
                .allMatch(one -> one.set().rule().equals(DOOR))
                .isNotEmpty();
    }

    @Test
    void what_was_closed_for_some_minutes_comes_back_after_a_stance_that_says_nothing_of_it() {
        var lesson = open().present(INES)
                .order(new RightsOrder.SetLive(new RuleValue(PRIVATE_CHAT, Permission.ON_REQUEST), ORLA))
                .order(new RightsOrder.SetLive(
                        new RuleValue(PRIVATE_CHAT, Permission.CLOSED), Optional.of(minutes(5)), ORLA))
                .order(new RightsOrder.SwitchStance(DISCUSSION, false, ORLA))
                .time("10:05")
                .order(new LessonOrder.Tick());

        assertThat(lesson.state().of(RIGHTS).liveOrders()).isNotEmpty().allSatisfy(one -> assertThat(one.set())
                .isEqualTo(new RuleValue(PRIVATE_CHAT, Permission.ON_REQUEST)));
    }

    @Test
    void no_stance_goes_beyond_what_the_charter_binds() {
        var lesson = open().school("voice.speak", "closed", Force.BINDING)
                .present(INES)
                .order(new RightsOrder.SwitchStance(DISCUSSION, true, ORLA));

        assertThat(value(lesson, SPEAK)).isEqualTo(Permission.CLOSED);
    }

    @Test
    void the_running_order_proposes_or_switches_by_itself_and_a_switch_by_hand_stands_until_the_next_step() {
        var order = List.of(new RunningOrder.Step(EXPLAINING, 15), new RunningOrder.Step(DISCUSSION, 10));
        var proposed = open().planned(new RunningOrder(order, false)).present(INES);
        assertThat(dueStance(proposed)).get().satisfies(due -> assertThat(due.stance())
                .isEqualTo(EXPLAINING));
        assertThat(proposed.order(new LessonOrder.Tick()).state().of(RIGHTS).stance())
                .isEmpty();

        var lesson = open().planned(new RunningOrder(order, true)).present(INES);
        assertThat(lesson.order(new LessonOrder.Tick()).state().of(RIGHTS).stance())
                .contains(EXPLAINING);
        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:15"));
        lesson.time("10:05").order(new RightsOrder.SwitchStance(DISCUSSION, true, ORLA));
        assertThat(lesson.time("10:06")
                        .order(new LessonOrder.Tick())
                        .state()
                        .of(RIGHTS)
                        .stance())
                .contains(DISCUSSION);
        lesson.time("10:07").order(new RightsOrder.SwitchStance(EXPLAINING, true, ORLA));
        assertThat(lesson.time("10:15")
                        .order(new LessonOrder.Tick())
                        .state()
                        .of(RIGHTS)
                        .stance())
                .contains(DISCUSSION);
        assertThat(dueStance(lesson)).isEmpty();
    }

    @Test
    void the_running_order_fills_the_lesson_and_no_more() {
        var order = new RunningOrder(
                List.of(
                        new RunningOrder.Step(EXPLAINING, 40),
                        new RunningOrder.Step(DISCUSSION, 40),
                        new RunningOrder.Step(EXPLAINING, 5)),
                false);
        var lesson = planned().plan().time();

        assertThat(order.over(lesson)).extracting(one -> one.time().until()).containsExactly(at("10:40"), at("10:50"));
        assertThat(order.at(at("09:50"), lesson))
                .get()
                .extracting(one -> one.place())
                .isEqualTo(0);
        assertThat(order.at(at("10:50"), lesson)).isEmpty();
        assertThatThrownBy(() -> new RunningOrder.Step(EXPLAINING, 0)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void stop_closes_everything_even_to_a_pass_and_one_order_brings_back_what_was() {
        var lesson = open().present(INES)
                .order(new RightsOrder.SetLive(new RuleValue(SPEAK, Permission.OPEN), ORLA))
                .order(new RightsOrder.GivePass(INES, SHARE_SCREEN, minutes(10), ORLA))
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.SCREEN))
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.MICROPHONE))
                .order(new SupervisionOrder.StopEverything("a stranger shows something", ORLA));

        assertThat(lesson.state().of(RIGHTS).on(INES)).isEmpty();
        assertThat(lesson.knock("Jory Pell", "jory").visit("jory").isWaiting()).isTrue();
        assertThat(say(lesson, INES, "what is it?").refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.order(new ChatOrder.Say(visitOf(INES), Readers.ADULTS, "help"))
                        .refused())
                .as("asking for help is never stopped")
                .isEmpty();
        assertThat(lesson.order(new RightsOrder.SetLive(new RuleValue(SPEAK, Permission.OPEN), ORLA))
                        .refused())
                .contains(Refusal.Common.RULE_BOUND);

        lesson.time("10:03").order(new SupervisionOrder.Resume(ORLA));
        assertThat(value(lesson, SPEAK)).isEqualTo(Permission.OPEN);
        assertThat(lesson.order(new RightsOrder.TurnOn(visitOf(INES), Appliance.SCREEN))
                        .refused())
                .as("the pass goes on")
                .isEmpty();
        assertThat(lesson.order(new SupervisionOrder.Resume(ORLA)).refused()).contains(SupervisionRefusal.NOT_STOPPED);
    }

    @Test
    void signals_are_one_each_and_gone_with_who_showed_them() {
        var lesson = open().present(INES)
                .present(JORY)
                .order(new SignalsOrder.ShowSign(visitOf(INES), Optional.of(Sign.SLOWER)))
                .order(new SignalsOrder.ShowSign(visitOf(JORY), Optional.of(Sign.AGREE)))
                .order(new SignalsOrder.ShowSign(visitOf(JORY), Optional.of(Sign.CANNOT_HEAR)));
        assertThat(lesson.state().of(SIGNALS).sign(INES)).contains(Sign.SLOWER);
        assertThat(lesson.state().of(SIGNALS).sign(JORY)).contains(Sign.CANNOT_HEAR);

        lesson.order(new DoorOrder.Leave(visitOf(JORY)))
                .order(new SignalsOrder.ShowSign(visitOf(INES), Optional.empty()));
        assertThat(lesson.state().of(SIGNALS).shown()).isEmpty();
    }

    @Test
    void material_is_found_by_latecomers_and_only_who_may_hands_it_out() {
        var lesson = open().order(new MaterialOrder.HandOut(ORLA, "Tide table", "page 4"))
                .present(INES)
                .order(new MaterialOrder.HandOut(INES, "my own", ""));
        assertThat(lesson.refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.seat("ines").handouts()).extracting(Material::title).containsExactly("Tide table");

        int number = lesson.state().of(MATERIAL).handouts().get(0).number();
        assertThat(lesson.order(new MaterialOrder.TakeBack(number, ORLA))
                        .seat("ines")
                        .handouts())
                .isEmpty();
    }

    @Test
    void links_wait_for_an_adult_and_nobody_else_reads_them_until_then() {
        for (String text :
                List.of("look: http://x.example/a", "www.tides", "see tides.example/now", "go to tides.com")) {
            var lesson = say(open().present(INES).present(JORY), INES, text);
            assertThat(lesson.state().of(CHAT).held()).as(text).hasSize(1);
            assertThat(lesson.seat("jory").words()).isEmpty();

            int number = lesson.state().of(CHAT).held().get(0).number();
            var let = lesson.order(new ChatOrder.Release(number, true, ORLA));
            assertThat(let.seat("jory").words()).extracting(Words::text).containsExactly(text);
            assertThat(let.order(new ChatOrder.Release(number, true, ORLA)).refused())
                    .contains(ChatRefusal.NO_SUCH_WORDS);
        }
        for (String text : List.of("is it 4.52 or 5.52?", "Yes.No.Maybe", "e.g. at high water", "page 4/5")) {
            assertThat(say(open().present(INES), INES, text).state().of(CHAT).words())
                    .as(text)
                    .hasSize(1);
        }
    }

    @Test
    void what_is_kept_back_is_shown_to_nobody_and_what_adults_are_asked_is_never_held() {
        var lesson = open().school("chat.approval", "yes", Force.BINDING)
                .present(INES)
                .present(JORY);
        int number = say(lesson, INES, "psst").state().of(CHAT).held().get(0).number();
        lesson.order(new ChatOrder.Release(number, false, ORLA));

        assertThat(lesson.seat("jory").words()).isEmpty();
        assertThat(lesson.order(new ChatOrder.Say(visitOf(INES), Readers.ADULTS, "http://help.example"))
                        .desk()
                        .words())
                .hasSize(1);
        assertThat(say(open().school("chat.links", "closed", Force.USUAL).present(INES), INES, "http://x.example")
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void a_watched_word_waits_for_an_adult_but_never_on_its_way_to_one() {
        var lesson = open().watching("loser").present(INES).present(JORY);

        say(lesson, INES, "you l0ser");
        assertThat(lesson.state().of(CHAT).held()).extracting(HeldWords::why).containsExactly(Hold.WORD);
        assertThat(lesson.seat("jory").words()).isEmpty();
        assertThat(lesson.order(new ChatOrder.Say(visitOf(INES), Readers.ADULTS, "he called me a loser"))
                        .desk()
                        .words())
                .hasSize(1);
        assertThat(say(
                                open().watching("loser")
                                        .school("chat.words", "closed", Force.USUAL)
                                        .present(INES),
                                INES,
                                "loser")
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void a_file_is_ruled_by_right_and_kind_waits_for_an_adult_and_reaches_the_readers_of_its_words() {
        var lesson = open().watching("loser")
                .school("chat.files", "on-request", Force.USUAL)
                .present(INES)
                .present(JORY);

        lesson.order(new ChatOrder.SendFile(visitOf(INES), Readers.CLASS, PICTURE));
        assertThat(lesson.state().of(CHAT).held()).extracting(HeldWords::file).containsExactly(Optional.of(PICTURE));
        assertThat(lesson.seat("jory").words()).isEmpty();
        lesson.order(new ChatOrder.Release(lesson.state().of(CHAT).held().get(0).number(), true, ORLA));
        assertThat(lesson.seat("jory").words()).extracting(Words::file).containsExactly(Optional.of(PICTURE));

        var film = new SentFile("2", "waves.mp4", "video", 900);
        assertThat(lesson.order(new ChatOrder.SendFile(visitOf(INES), Readers.ADULTS, film))
                        .refused())
                .as("pupils send documents and pictures")
                .contains(Refusal.Common.RULE_CLOSED);
        lesson.order(new ChatOrder.SendFile(visitOf(ORLA), Readers.CLASS, film));
        assertThat(lesson.seat("jory").words()).hasSize(2);

        lesson.school("chat.files", "closed", Force.BINDING);
        assertThat(lesson.order(new ChatOrder.SendFile(visitOf(INES), Readers.ADULTS, PICTURE))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
        var free = open().watching("loser")
                .school("chat.files", "open", Force.USUAL)
                .present(INES);
        var named = new SentFile("3", "loser.png", "pictures", 900);
        assertThat(free.order(new ChatOrder.SendFile(visitOf(INES), Readers.CLASS, named))
                        .state()
                        .of(CHAT)
                        .held())
                .extracting(HeldWords::why)
                .containsExactly(Hold.WORD);
    }

    @Test
    void where_every_message_is_read_first_files_are_too_and_a_lesson_keeps_only_so_many() {
        var lesson = open().school("chat.files", "open", Force.USUAL)
                .school("chat.approval", "yes", Force.USUAL)
                .present(INES);
        lesson.order(new ChatOrder.SendFile(visitOf(INES), Readers.CLASS, PICTURE));
        assertThat(lesson.state().of(CHAT).held()).extracting(HeldWords::why).containsExactly(Hold.EVERY_MESSAGE);

        for (int n = lesson.state().of(CHAT).files(); n < Limits.FILES; n++) {
            lesson.order(new ChatOrder.SendFile(visitOf(ORLA), Readers.CLASS, PICTURE));
            assertThat(lesson.refused()).isEmpty();
        }
        assertThat(lesson.order(new ChatOrder.SendFile(visitOf(ORLA), Readers.CLASS, PICTURE))
                        .refused())
                .contains(ChatRefusal.TOO_MANY_FILES);
    }

    @Test
    void a_file_has_a_name_and_a_size_within_limits() {
        assertThatIllegalArgumentException().isThrownBy(() -> new SentFile("1", " ", "pictures", 1));
        assertThatIllegalArgumentException().isThrownBy(() -> new SentFile("1", "a.png", "pictures", 0));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new SentFile("1", "a.png", "pictures", Limits.FILE_BYTES + 1));
    }

    @Test
    void a_flood_is_refused_and_ends_with_the_minute() {
        var lesson = open().school("chat.rate", "2", Force.USUAL).present(INES);
        say(say(lesson, INES, "one"), INES, "http://two.example");
        assertThat(say(lesson, INES, "three").refused()).contains(ChatRefusal.TOO_FAST);
        assertThat(say(lesson.time("10:01"), INES, "three").refused()).isEmpty();
    }

    @Test
    void one_shows_at_a_time_and_only_the_right_to_take_over_pushes_in() {
        var lesson = open().school("share.screen", "open", Force.USUAL)
                .present(INES)
                .present(JORY)
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.SCREEN))
                .order(new RightsOrder.TurnOn(visitOf(JORY), Appliance.SCREEN));
        assertThat(lesson.refused()).contains(RightsRefusal.SOMEBODY_SHOWS);

        lesson.order(new RightsOrder.TurnOn(visitOf(ORLA), Appliance.SCREEN));
        assertThat(lesson.state().of(RIGHTS).showing(WhoIsWhere.ALL_TOGETHER, PlaceId.TOGETHER))
                .contains(ORLA);
        assertThat(lesson.state().of(RIGHTS).on(INES)).isEmpty();
        assertThat(lesson.order(new RightsOrder.TurnOn(visitOf(INES), Appliance.WHOLE_SCREEN))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void whatever_closes_sharing_ends_a_whole_screen_too() {
        var lesson = open().school("share.screen", "open", Force.USUAL)
                .school("share.whole-screen", "open", Force.USUAL)
                .present(INES)
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.WHOLE_SCREEN));
        assertThat(lesson.state().of(RIGHTS).showing(WhoIsWhere.ALL_TOGETHER, PlaceId.TOGETHER))
                .contains(INES);
        assertThat(lesson.order(new RightsOrder.TurnOff(INES, Appliance.SCREEN, ORLA))
                        .state()
                        .of(RIGHTS)
                        .showing(WhoIsWhere.ALL_TOGETHER, PlaceId.TOGETHER))
                .as("stopped by its adult, whatever it was")
                .isEmpty();

        lesson.order(new RightsOrder.TurnOn(visitOf(INES), Appliance.WHOLE_SCREEN));
        assertThat(lesson.order(new SupervisionOrder.StopEverything("", ORLA))
                        .state()
                        .of(RIGHTS)
                        .showing(WhoIsWhere.ALL_TOGETHER, PlaceId.TOGETHER))
                .isEmpty();
    }

    @Test
    void every_mark_has_its_author_and_one_authors_marks_are_wiped_alone() {
        var line = List.of(0, 0, 500, 1000);
        var lesson = open().school("share.draw", "open", Force.USUAL)
                .present(INES)
                .present(JORY)
                .order(new BoardOrder.Draw(visitOf(INES), 0, Drawing.pen(line)))
                .order(new BoardOrder.Draw(visitOf(JORY), 0, Drawing.pen(line)));
        assertThat(lesson.order(new BoardOrder.Wipe(Optional.of(INES), Optional.empty(), JORY))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);

        lesson.order(new BoardOrder.Wipe(Optional.of(JORY), Optional.empty(), ORLA));
        assertThat(lesson.state().of(BOARD).marks()).extracting(Mark::author).containsExactly(INES);
        lesson.order(new BoardOrder.Wipe(Optional.of(INES), Optional.empty(), INES));
        assertThat(lesson.state().of(BOARD).marks()).isEmpty();
        for (List<Integer> wrong : List.of(
                List.of(0, 0),
                List.of(0, 0, 1),
                List.of(0, 0, 0, 1001),
                IntStream.range(0, 602).boxed().toList())) {
            assertThat(lesson.order(new BoardOrder.Draw(visitOf(INES), 0, Drawing.pen(wrong)))
                            .refused())
                    .contains(BoardRefusal.NOT_A_LINE);
        }
    }

    @Test
    void focus_needs_somebody_present_and_the_rule_and_ends_with_them() {
        var lesson = open().school("voice.focus", "open", Force.USUAL)
                .present(INES)
                .order(new SignalsOrder.Focus(Optional.of(INES), ORLA));
        assertThat(lesson.seat("ines").focus()).contains("Ines Carrow");
        assertThat(lesson.order(new DoorOrder.Leave(visitOf(INES)))
                        .state()
                        .of(SIGNALS)
                        .focus(lesson.state().there()))
                .isEmpty();
        assertThat(lesson.order(new SignalsOrder.Focus(Optional.of(JORY), ORLA)).refused())
                .contains(Refusal.Common.NOT_PRESENT);
        assertThat(open().school("voice.focus", "closed", Force.USUAL)
                        .present(INES)
                        .order(new SignalsOrder.Focus(Optional.of(INES), ORLA))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void where_focus_is_a_choice_the_person_is_asked_and_only_their_yes_shows_them() {
        var lesson = open().present(INES).present(JORY);
        var put = new SignalsOrder.Focus(Optional.of(INES), ORLA);
        lesson.order(put);
        assertThat(lesson.seat("ines").focus()).as("asked, not shown").isEmpty();
        assertThat(lesson.seat("ines").signals().asks()).contains(ORLA);
        assertThat(lesson.seat("jory").signals().asks()).isEmpty();
        int asked = lesson.events().size();
        assertThat(lesson.order(put).events()).as("asked once").hasSize(asked);
        lesson.order(new SignalsOrder.AnswerFocus(visitOf(JORY), true));
        assertThat(lesson.events()).as("nobody answers for another").hasSize(asked);

        lesson.order(new SignalsOrder.AnswerFocus(visitOf(INES), false));
        assertThat(lesson.seat("ines").focus()).isEmpty();
        assertThat(lesson.seat("ines").signals().asks())
                .as("a no is not asked away")
                .isEmpty();
        lesson.order(new SignalsOrder.AnswerFocus(visitOf(INES), true));
        assertThat(lesson.seat("ines").focus()).isEmpty();

        lesson.order(put).order(new SignalsOrder.AnswerFocus(visitOf(INES), true));
        assertThat(lesson.seat("jory").focus()).contains("Ines Carrow");
        lesson.order(new SignalsOrder.Focus(Optional.empty(), ORLA)).order(put);
        lesson.order(new SignalsOrder.Focus(Optional.empty(), ORLA));
        assertThat(lesson.seat("ines").signals().asks())
                .as("the question taken back")
                .isEmpty();
        lesson.order(put).school("voice.focus", "closed", Force.BINDING);
        assertThat(lesson.order(new SignalsOrder.AnswerFocus(visitOf(INES), true))
                        .refused())
                .as("closed since it was asked")
                .contains(Refusal.Common.RULE_CLOSED);
        lesson.order(new DoorOrder.Leave(visitOf(INES)));
        assertThat(lesson.state().of(SIGNALS).asked()).isEmpty();
    }

    @Test
    void a_light_lesson_closes_cameras_and_gives_them_back() {
        var lesson = open().present(INES)
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.CAMERA))
                .order(new RightsOrder.Lighten(true, ORLA));
        assertThat(lesson.state().of(RIGHTS).on(INES)).isEmpty();
        assertThat(lesson.order(new RightsOrder.Lighten(false, ORLA))
                        .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.CAMERA))
                        .refused())
                .isEmpty();
    }

    @Test
    void captions_come_from_who_is_appointed_and_reach_who_may_read_them() {
        var lesson = open().present(INES)
                .order(new MaterialOrder.Caption(visitOf(ORLA), "The tide turns at five."))
                .order(new MaterialOrder.Caption(visitOf(INES), "no it does not"));
        assertThat(lesson.refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.seat("ines").captions()).extracting(Caption::text).containsExactly("The tide turns at five.");

        var closed = lesson.school("signals.captions", "closed", Force.USUAL).seat("ines");
        assertThat(closed.captions()).isEmpty();
    }

    @Test
    void the_caption_service_writes_what_everybody_hears_and_nothing_else() {
        var lesson = open().present(INES)
                .order(new MaterialOrder.Heard(ORLA, "not yet"))
                .order(new MaterialOrder.LetServiceListen(true, ORLA))
                .order(new MaterialOrder.Heard(ORLA, "a microphone that is off"))
                .order(new RightsOrder.TurnOn(visitOf(ORLA), Appliance.MICROPHONE))
                .order(new MaterialOrder.Heard(ORLA, "  The tide turns at five. "))
                .order(new MaterialOrder.Heard(ORLA, " "))
                .order(new MaterialOrder.Heard(INES, "whispered"));
        assertThat(lesson.seat("ines").captions()).extracting(Caption::text).containsExactly("The tide turns at five.");
        assertThat(lesson.seat("ines").captions().get(0).heard()).isTrue();
        assertThat(lesson.order(new MaterialOrder.LetServiceListen(false, ORLA))
                        .order(new MaterialOrder.Heard(ORLA, "not any more"))
                        .seat("ines")
                        .captions())
                .hasSize(1);
        assertThat(lesson.order(new MaterialOrder.LetServiceListen(false, INES)).refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(lesson.school("signals.caption-service", "closed", Force.BINDING)
                        .order(new MaterialOrder.LetServiceListen(true, TAM))
                        .refused())
                .isPresent();
    }

    @Test
    void what_is_said_in_a_group_is_no_caption_of_the_class() {
        var lesson = open().school("groups.smallest", "2", Force.USUAL)
                .school("voice.speak", "open", Force.USUAL)
                .ofMore(1)
                .present(INES)
                .present(KESTER)
                .present(JORY)
                .present(pupil(1))
                .order(new MaterialOrder.LetServiceListen(true, ORLA))
                .order(new GroupsOrder.DrawUp(
                        List.of(
                                new GroupsOrder.Wanted("Reef", List.of(INES, pupil(1))),
                                new GroupsOrder.Wanted("Skerry", List.of(KESTER, JORY))),
                        "by hand",
                        0,
                        ORLA))
                .order(new GroupsOrder.SendOut(Optional.of(minutes(5)), false, ORLA))
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.MICROPHONE));
        assertThat(lesson.state().of(RIGHTS).on(INES)).contains(Appliance.MICROPHONE);
        assertThat(lesson.order(new MaterialOrder.Heard(INES, "only for us"))
                        .state()
                        .of(MATERIAL)
                        .captions())
                .isEmpty();
    }

    @Test
    void a_pupil_cannot_give_any_order_of_an_adult() {
        var lesson = open().present(INES);
        for (LessonOrder order : List.of(
                new RightsOrder.SwitchStance(DISCUSSION, true, INES),
                new SupervisionOrder.StopEverything("", INES),
                new SupervisionOrder.Resume(INES),
                new SupervisionOrder.TakeCharge(INES),
                new SignalsOrder.ClearSigns(INES),
                new MaterialOrder.TakeBack(1, INES),
                new SignalsOrder.Focus(Optional.of(INES), INES),
                new RightsOrder.Lighten(true, INES),
                new ChatOrder.Release(1, true, INES),
                new BoardOrder.Wipe(Optional.empty(), Optional.empty(), INES))) {
            assertThat(lesson.order(order).refused()).as(order.toString()).contains(Refusal.Common.NOT_AN_ADULT_HERE);
        }
    }

    private static Permission value(LiveLesson lesson, Rule<Permission> rule) {
        return seatRight(lesson.seat("ines"), rule).ruling().value();
    }

    private static RightsSeat.Right seatRight(SeatView seat, Rule<Permission> rule) {
        return seat.rights().rights().stream()
                .filter(one -> one.ruling().rule().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    private static LiveLesson say(LiveLesson lesson, PersonId from, String text) {
        return lesson.order(new ChatOrder.Say(visitOf(from), Readers.CLASS, text));
    }

    private static Stance stance(String id, String... values) {
        return new Stance(
                id,
                id,
                List.of(values).stream()
                        .map(RuleValue::parse)
                        .flatMap(value -> List.of(Role.PUPIL, Role.CLASS_MONITOR).stream()
                                .map(role -> new Stance.Part(value, role, Condition.ALWAYS)))
                        .collect(Collectors.toList()));
    }

    private static Optional<RunningOrder.Planned> dueStance(LiveLesson lesson) {
        return RightsPart.dueStance(lesson.state().of(RIGHTS), lesson.rules().room());
    }
}
