package juricast.core.groups;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.lesson.LiveLesson.INES;
import static juricast.core.lesson.LiveLesson.JORY;
import static juricast.core.lesson.LiveLesson.KESTER;
import static juricast.core.lesson.LiveLesson.ORLA;
import static juricast.core.lesson.LiveLesson.TAM;
import static juricast.core.lesson.LiveLesson.at;
import static juricast.core.lesson.LiveLesson.minutes;
import static juricast.core.lesson.LiveLesson.open;
import static juricast.core.lesson.LiveLesson.pupil;
import static juricast.core.lesson.LiveLesson.visitOf;
import static juricast.core.rights.RightsPart.RIGHTS;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.audience.CorridorView;
import juricast.core.audience.GroupsDesk;
import juricast.core.audience.GroupsSeat;
import juricast.core.audience.Need;
import juricast.core.board.BoardOrder;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.ChatRefusal;
import juricast.core.chat.Readers;
import juricast.core.chat.Words;
import juricast.core.door.DoorOrder;
import juricast.core.drawing.Drawing;
import juricast.core.drawing.Mark;
import juricast.core.ending.ClosingStep;
import juricast.core.ending.EndingEvent;
import juricast.core.ending.EndingOrder;
import juricast.core.grouping.Prepared;
import juricast.core.grouping.Wish;
import juricast.core.grouping.Wishes;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.RunningOrder;
import juricast.core.live.Stance;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.Setting.Force;
import juricast.core.supervision.SupervisionOrder;
import org.junit.jupiter.api.Test;

/** A lesson in several places. */
class GroupsTest {
    private static final PlaceId REEF = new PlaceId("g1");
    private static final PlaceId SKERRY = new PlaceId("g2");

    /** Six pupils in the room: Ines, Jory and p1 for the Reef, Kester, p2 and p3 for the Skerry. */
    private static LiveLesson drawnUp() {
        LiveLesson lesson = open().ofMore(4);
        for (PersonId one : List.of(INES, JORY, KESTER, pupil(1), pupil(2), pupil(3))) {
            lesson.present(one);
        }
        return lesson.order(new GroupsOrder.DrawUp(
                List.of(
                        new GroupsOrder.Wanted("Reef", List.of(INES, JORY, pupil(1))),
                        new GroupsOrder.Wanted("Skerry", List.of(KESTER, pupil(2), pupil(3)))),
                "by hand",
                0,
                ORLA));
    }

    private static GroupsOrder.SendOut send() {
        return new GroupsOrder.SendOut(Optional.of(minutes(10)), false, ORLA);
    }

    private static LiveLesson out() {
        return drawnUp().order(send());
    }

    private static PlaceId place(LiveLesson lesson, PersonId person) {
        return lesson.state().where().placeOf(person);
    }

    private static Wishes apart(boolean binding, PersonId... people) {
        return new Wishes(
                List.of(new Wish(Wish.Kind.APART, Set.of(people), binding, "a quarrel", ORLA)), Map.of(), Set.of());
    }

    @Test
    void all_go_at_once_and_are_together_again_when_the_time_is_over() {
        LiveLesson lesson = out();
        assertThat(place(lesson, INES)).isEqualTo(REEF);
        assertThat(place(lesson, KESTER)).isEqualTo(SKERRY);
        assertThat(place(lesson, ORLA)).isEqualTo(PlaceId.TOGETHER);
        assertThat(lesson.rules().nextTick()).isEqualTo(at("10:10"));

        lesson.time("10:10").order(new LessonOrder.Tick());
        assertThat(place(lesson, INES)).isEqualTo(PlaceId.TOGETHER);
        assertThat(lesson.state().where().isApart()).isFalse();
        assertThat(lesson.order(send()).state().where().placeOf(INES))
                .as("sent again as they were")
                .isEqualTo(REEF);
    }

    @Test
    void who_is_invited_goes_when_they_accept_and_is_on_the_way_until_then() {
        LiveLesson lesson = drawnUp().order(new GroupsOrder.SendOut(Optional.empty(), true, ORLA));
        assertThat(place(lesson, INES)).isEqualTo(PlaceId.TOGETHER);
        assertThat(lesson.desk().groups().tables().get(0).mates())
                .extracting(GroupsDesk.Mate::where)
                .containsOnly(GroupsDesk.Where.ON_THE_WAY);
        assertThat(lesson.seat("ines").groups().flatMap(GroupsSeat::asked).map(GroupsSeat.Asked::name))
                .contains("Reef");

        lesson.order(new GroupsOrder.Accept(visitOf(INES)));
        assertThat(place(lesson, INES)).isEqualTo(REEF);
        assertThat(lesson.state().of(GROUPS).out().map(TimeOut::until))
                .as("without minutes: as long as the rule lets")
                .contains(at("10:20"));
        assertThat(lesson.order(new GroupsOrder.CallBack(minutes(1), ORLA))
                        .order(new GroupsOrder.Accept(visitOf(JORY)))
                        .refused())
                .contains(GroupsRefusal.CALLED_BACK);
    }

    @Test
    void a_lost_line_comes_back_to_the_same_group_and_a_removed_pupil_to_none() {
        LiveLesson lesson = out().order(new DoorOrder.LoseConnection(visitOf(INES)));
        assertThat(lesson.desk().groups().tables().get(0).mates().get(0).where())
                .isEqualTo(GroupsDesk.Where.LOST);
        assertThat(place(lesson.order(new DoorOrder.ComeBack(visitOf(INES))), INES))
                .isEqualTo(REEF);

        lesson.order(new DoorOrder.Remove(JORY, "shouting", ORLA));
        assertThat(place(lesson, JORY)).isEqualTo(PlaceId.TOGETHER);
        assertThat(lesson.state().of(GROUPS).standing(REEF).pupils()).isEqualTo(2);
    }

    @Test
    void everybody_is_called_back_with_a_count_down_and_nobody_is_sent_meanwhile() {
        LiveLesson lesson = out().time("10:02").order(new GroupsOrder.CallBack(Duration.ofSeconds(60), ORLA));
        assertThat(lesson.seat("ines").groups().orElseThrow().calledBack()).isTrue();
        assertThat(lesson.order(send()).refused()).contains(GroupsRefusal.CALLED_BACK);
        lesson.order(new GroupsOrder.ComeBack(visitOf(INES)));
        assertThat(place(lesson, INES)).isEqualTo(PlaceId.TOGETHER);
        assertThat(place(lesson, JORY)).isEqualTo(REEF);

        lesson.time("10:03").order(new LessonOrder.Tick());
        assertThat(lesson.state().where().isApart()).isFalse();
    }

    @Test
    void the_time_is_made_longer_as_far_as_the_rule_lets_and_a_call_back_is_taken_back() {
        LiveLesson lesson = out().order(new GroupsOrder.StayLonger(minutes(2), ORLA));
        assertThat(lesson.state().of(GROUPS).out().map(TimeOut::ends)).contains(at("10:12"));
        assertThat(lesson.order(new GroupsOrder.StayLonger(minutes(9), ORLA)).refused())
                .contains(GroupsRefusal.TOO_LONG);
        lesson.order(new GroupsOrder.CallBack(minutes(1), ORLA)).order(new GroupsOrder.StayLonger(Duration.ZERO, ORLA));
        assertThat(lesson.state().of(GROUPS).out().map(TimeOut::ends)).contains(at("10:12"));
        assertThat(lesson.order(new GroupsOrder.StayLonger(Duration.ZERO, ORLA)).refused())
                .contains(GroupsRefusal.WRONG_LENGTH);
    }

    @Test
    void coming_back_by_oneself_is_as_the_rule_says_and_always_possible_once_called_back() {
        LiveLesson lesson = out();
        lesson.school("groups.return", "on-request", Force.USUAL);
        assertThat(lesson.order(new GroupsOrder.ComeBack(visitOf(INES))).refused())
                .contains(Refusal.Common.RULE_ON_REQUEST);
        lesson.order(new GroupsOrder.CallBack(minutes(1), ORLA)).order(new GroupsOrder.ComeBack(visitOf(INES)));
        assertThat(place(lesson, INES)).isEqualTo(PlaceId.TOGETHER);
    }

    @Test
    void who_comes_late_is_proposed_to_the_group_that_needs_them_and_sent_by_one_order_or_by_the_rule() {
        LiveLesson lesson = out().present(pupil(4));
        assertThat(lesson.desk().groups().late()).containsExactly(new GroupsDesk.Late(pupil(4), Optional.of(REEF)));
        assertThat(lesson.desk().needs()).anySatisfy(need -> {
            assertThat(need.kind()).isEqualTo(Need.Kind.GROUP_LATE);
            assertThat(need.about()).isEqualTo("g1");
        });
        lesson.order(new GroupsOrder.Move(pupil(4), Optional.of(SKERRY), ORLA));
        assertThat(place(lesson, pupil(4))).isEqualTo(SKERRY);

        LiveLesson byRule = drawnUp()
                .school("groups.late", "open", Force.USUAL)
                .order(send())
                .present(pupil(4));
        assertThat(place(byRule, pupil(4))).isEqualTo(REEF);

        LiveLesson kept = drawnUp()
                .wishing(apart(true, pupil(4), INES))
                .school("groups.late", "open", Force.USUAL)
                .order(send())
                .present(pupil(4));
        assertThat(place(kept, pupil(4))).as("whom the lead keeps apart").isEqualTo(SKERRY);
    }

    @Test
    void words_of_a_group_are_read_by_those_who_were_in_it_and_the_adults() {
        LiveLesson lesson = out().order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "our tide is high"));
        assertThat(lesson.desk().words()).extracting(Words::to).containsExactly(Readers.in(REEF));
        assertThat(lesson.seat("jory").words()).hasSize(1);
        assertThat(lesson.seat("kester").words()).isEmpty();

        lesson.order(new GroupsOrder.Move(KESTER, Optional.of(REEF), ORLA));
        assertThat(lesson.seat("kester").words())
                .as("not what was written before")
                .isEmpty();
        lesson.order(new ChatOrder.Say(visitOf(ORLA), Readers.CLASS, "five minutes"));
        assertThat(lesson.seat("kester").words()).extracting(Words::text).containsExactly("five minutes");
        lesson.order(new ChatOrder.Say(visitOf(ORLA), Readers.in(SKERRY), "well done"));
        assertThat(lesson.seat("p2").words()).extracting(Words::text).containsExactly("five minutes", "well done");
        assertThat(lesson.seat("jory").words())
                .extracting(Words::text)
                .containsExactly("our tide is high", "five minutes");

        lesson.order(new GroupsOrder.CallBack(Duration.ZERO, ORLA));
        assertThat(lesson.seat("kester").words()).extracting(Words::text).containsExactly("five minutes");
        assertThat(lesson.order(new ChatOrder.Say(visitOf(ORLA), Readers.in(SKERRY), "late"))
                        .refused())
                .contains(ChatRefusal.NO_SUCH_PLACE);
    }

    @Test
    void who_was_removed_from_a_group_and_is_back_reads_nothing_that_it_writes_without_them() {
        LiveLesson lesson = out().order(new DoorOrder.Remove(JORY, "shouting", ORLA))
                .order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "now he is gone"))
                .order(new DoorOrder.AllowBack(JORY, ORLA));
        lesson.knock("Jory Pell", "jory again")
                .order(new DoorOrder.Admit(new VisitId("jory again"), Optional.of(JORY), ORLA));
        assertThat(lesson.state().there().isPresent(JORY)).isTrue();
        assertThat(lesson.seat("jory again").words()).isEmpty();
        assertThat(lesson.desk().groups().late())
                .as("and is proposed to the group again, by an adult's word")
                .contains(new GroupsDesk.Late(JORY, Optional.of(REEF)));
    }

    @Test
    void what_is_held_in_a_group_reaches_it_also_when_the_group_is_back() {
        LiveLesson lesson = drawnUp()
                .watching("wreck")
                .order(send())
                .order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "the wreck lies here"));
        assertThat(lesson.desk().groups().tables().get(0).held()).isEqualTo(1);
        assertThat(lesson.desk().groups().next()).contains(new GroupsDesk.Next(REEF, GroupsDesk.Why.HELD));
        int number = lesson.state().number();
        lesson.order(new GroupsOrder.CallBack(Duration.ZERO, ORLA)).order(new ChatOrder.Release(number, true, ORLA));
        assertThat(lesson.seat("jory").words()).hasSize(1);
        assertThat(lesson.seat("kester").words()).isEmpty();
    }

    @Test
    void each_place_has_its_own_rules_by_what_is_so_in_it() {
        var alone = Condition.of(new juricast.core.rules.Circumstance.Is(Fact.ADULT_PRESENT, false));
        LiveLesson lesson = out().school("share.draw", "open", Force.USUAL)
                .school("chat.class", "closed", Force.USUAL, Condition.during(Fact.IN_GROUPS))
                .school("share.draw", "closed", Force.USUAL, alone);
        assertThat(value(lesson, INES, Catalogue.CLASS_CHAT)).isEqualTo(Permission.CLOSED);
        assertThat(value(lesson, INES, Catalogue.DRAW)).isEqualTo(Permission.CLOSED);

        lesson.order(new GroupsOrder.GoIn(REEF, ORLA));
        assertThat(value(lesson, INES, Catalogue.DRAW)).isEqualTo(Permission.OPEN);
        assertThat(value(lesson, KESTER, Catalogue.DRAW)).isEqualTo(Permission.CLOSED);
        assertThat(lesson.seat("ines").rights().rights()).anySatisfy(right -> {
            assertThat(right.ruling().rule()).isEqualTo(Catalogue.DRAW);
            assertThat(right.ruling().value()).isEqualTo(Permission.OPEN);
        });
        assertThat(lesson.rulebookNow().situation().is(Fact.ADULT_PRESENT))
                .as("the door is the lesson's, and an adult is in it")
                .isTrue();
    }

    private static Permission value(LiveLesson lesson, PersonId person, juricast.core.rules.Rule<Permission> rule) {
        return lesson.rulebookNow().of(person).value(rule, Role.PUPIL, lesson.now());
    }

    @Test
    void each_place_has_its_own_board_and_its_own_one_who_shows() {
        LiveLesson lesson = drawnUp()
                .school("share.draw", "open", Force.USUAL)
                .school("share.screen", "open", Force.USUAL)
                .order(new RightsOrder.TurnOn(visitOf(INES), Appliance.SCREEN))
                .order(send());
        assertThat(lesson.state().of(RIGHTS).on(INES))
                .as("what was shown to all is not shown in the group by going there")
                .isEmpty();
        lesson.order(new RightsOrder.TurnOn(visitOf(INES), Appliance.SCREEN))
                .order(new RightsOrder.TurnOn(visitOf(KESTER), Appliance.SCREEN))
                .order(new BoardOrder.Draw(visitOf(INES), 0, Drawing.pen(List.of(0, 0, 9, 9))))
                .order(new BoardOrder.Draw(visitOf(ORLA), 0, Drawing.pen(List.of(1, 1, 9, 9))));
        assertThat(lesson.state().of(RIGHTS).showing(lesson.state().where(), REEF))
                .contains(INES);
        assertThat(lesson.state().of(RIGHTS).showing(lesson.state().where(), SKERRY))
                .contains(KESTER);
        assertThat(lesson.state().of(BOARD).marks(REEF))
                .extracting(Mark::author)
                .containsExactly(INES);
        assertThat(lesson.seat("jory").boardChanged()).isPositive();
        assertThat(lesson.seat("kester").boardChanged()).isZero();

        lesson.order(new BoardOrder.Wipe(Optional.empty(), Optional.of(REEF), ORLA));
        assertThat(lesson.state().of(BOARD).marks()).extracting(Mark::author).containsExactly(ORLA);
    }

    @Test
    void minutes_without_an_adult_are_counted_by_looks_visits_and_lost_lines() {
        LiveLesson lesson = out().adult(TAM);
        lesson.time("10:02").order(new GroupsOrder.LookIn(REEF, ORLA));
        assertThat(standing(lesson, REEF).alone(at("10:02"))).isEqualTo(minutes(2));
        assertThat(standing(lesson, REEF).seen())
                .containsExactly(new Standing.Seen(Standing.Eye.LOOKS, at("10:02"), Optional.empty()));
        lesson.time("10:03").order(new GroupsOrder.GoIn(SKERRY, TAM));
        lesson.time("10:04").order(new DoorOrder.LoseConnection(visitOf(TAM)));
        lesson.time("10:06").order(new DoorOrder.ComeBack(visitOf(TAM)));
        assertThat(standing(lesson, SKERRY).alone(at("10:06")))
                .as("three minutes before, two while the line was lost")
                .isEqualTo(minutes(5));
        lesson.order(new GroupsOrder.LookAway(ORLA));
        assertThat(standing(lesson, REEF).aloneSince()).contains(at("10:06"));
        lesson.time("10:08").order(new DoorOrder.Leave(visitOf(ORLA)));
        lesson.time("10:09").order(new GroupsOrder.CallBack(Duration.ZERO, TAM));

        WhoWasWhere was = WhoWasWhere.of(lesson.events(), at("10:09"));
        assertThat(was.alone()).containsEntry(REEF, minutes(5)).containsEntry(SKERRY, minutes(5));
    }

    private static Standing standing(LiveLesson lesson, PlaceId place) {
        return lesson.state().of(GROUPS).standing(place);
    }

    @Test
    void a_group_too_long_alone_is_a_need_and_a_worry_and_goes_quiet_where_it_is_ruled() {
        LiveLesson lesson = out().time("10:04:59");
        assertThat(lesson.desk().needs()).isEmpty();
        lesson.time("10:05");
        assertThat(lesson.desk().needs())
                .extracting(Need::kind)
                .as("one thing to do, however many groups it is about")
                .containsExactly(Need.Kind.GROUP_ALONE);
        assertThat(worries(lesson)).containsExactly(CorridorView.Kind.GROUP_ALONE);
        lesson.order(new LessonOrder.Tick());
        assertThat(lesson.state().of(GROUPS).quiet()).isEmpty();

        LiveLesson ruled = drawnUp()
                .school("groups.quiet-alone", "yes", Force.USUAL)
                .school("chat.class", "open", Force.USUAL)
                .order(send());
        ruled.order(new GroupsOrder.LookIn(SKERRY, ORLA));
        assertThat(ruled.rules().nextTick()).isEqualTo(at("10:05"));
        ruled.time("10:05").order(new LessonOrder.Tick());
        assertThat(ruled.order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "hello?"))
                        .refused())
                .contains(Refusal.Common.RULE_CLOSED);
        assertThat(ruled.order(new ChatOrder.Say(visitOf(KESTER), Readers.CLASS, "hello!"))
                        .refused())
                .as("the other group is seen")
                .isEmpty();
        assertThat(ruled.seat("ines")
                        .groups()
                        .flatMap(GroupsSeat::here)
                        .orElseThrow()
                        .isQuiet())
                .isTrue();
        ruled.order(new GroupsOrder.LookIn(REEF, ORLA));
        assertThat(ruled.order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "there you are"))
                        .refused())
                .isEmpty();
    }

    private static List<CorridorView.Kind> worries(LiveLesson lesson) {
        return CorridorView.line(lesson.plan(), lesson.state(), lesson.rulebook(), lesson.now()).worries().stream()
                .map(CorridorView.Worry::kind)
                .toList();
    }

    @Test
    void the_only_adult_lost_in_a_group_leaves_the_lesson_alone_at_once() {
        LiveLesson lesson = out().order(new GroupsOrder.GoIn(REEF, ORLA));
        assertThat(standing(lesson, REEF).aloneSince()).isEmpty();
        lesson.time("10:03").order(new DoorOrder.LoseConnection(visitOf(ORLA)));
        assertThat(standing(lesson, REEF).aloneSince()).contains(at("10:03"));
        assertThat(lesson.state().there().aloneSince()).contains(at("10:03"));
    }

    @Test
    void a_call_for_help_stands_until_an_adult_comes_and_makes_the_group_the_next_to_visit() {
        LiveLesson lesson = out().time("10:01").order(new GroupsOrder.CallForHelp(visitOf(KESTER)));
        assertThat(lesson.desk().groups().next()).contains(new GroupsDesk.Next(SKERRY, GroupsDesk.Why.CALLS));
        assertThat(lesson.desk().needs()).extracting(Need::kind).containsExactly(Need.Kind.GROUP_CALLS);
        assertThat(worries(lesson)).containsExactly(CorridorView.Kind.GROUP_CALLS);
        assertThat(lesson.seat("p2")
                        .groups()
                        .flatMap(GroupsSeat::here)
                        .orElseThrow()
                        .helpSince())
                .contains(at("10:01"));
        assertThat(lesson.seat("ines")
                        .groups()
                        .flatMap(GroupsSeat::here)
                        .orElseThrow()
                        .helpSince())
                .as("other groups are not told")
                .isEmpty();

        lesson.order(new GroupsOrder.GoIn(SKERRY, ORLA));
        assertThat(lesson.state().of(GROUPS).calls()).isEmpty();
        assertThat(lesson.desk().groups().next()).contains(new GroupsDesk.Next(REEF, GroupsDesk.Why.LONGEST));
        assertThat(lesson.time("10:04").desk().groups().next())
                .contains(new GroupsDesk.Next(REEF, GroupsDesk.Why.SILENT));
    }

    @Test
    void looking_in_is_seen_as_the_rule_says() {
        LiveLesson lesson = out().order(new GroupsOrder.LookIn(REEF, ORLA));
        assertThat(lesson.seat("ines")
                        .groups()
                        .flatMap(GroupsSeat::here)
                        .orElseThrow()
                        .looking())
                .containsExactly("Orla Venn");
        lesson.school("supervision.see-observers", "no", Force.USUAL);
        assertThat(lesson.seat("ines")
                        .groups()
                        .flatMap(GroupsSeat::here)
                        .orElseThrow()
                        .looking())
                .isEmpty();
        lesson.school("names.see-list", "closed", Force.USUAL);
        assertThat(lesson.seat("ines")
                        .groups()
                        .flatMap(GroupsSeat::here)
                        .orElseThrow()
                        .with())
                .isEmpty();
    }

    @Test
    void nobody_is_sent_into_a_group_that_is_too_small_or_against_the_leads_word() {
        LiveLesson small = drawnUp().order(new GroupsOrder.Move(JORY, Optional.empty(), ORLA));
        assertThat(small.order(send()).refused()).contains(GroupsRefusal.TOO_SMALL);

        LiveLesson kept = drawnUp().wishing(apart(true, INES, JORY));
        assertThat(kept.order(send()).refused()).contains(GroupsRefusal.BINDING_WISH);
        kept.order(new GroupsOrder.Move(JORY, Optional.of(SKERRY), ORLA))
                .order(new GroupsOrder.Move(KESTER, Optional.of(REEF), ORLA));
        assertThat(kept.order(new GroupsOrder.Move(JORY, Optional.of(REEF), ORLA))
                        .refused())
                .contains(GroupsRefusal.BINDING_WISH);
        assertThat(kept.order(send()).refused()).isEmpty();
        assertThat(kept.order(new GroupsOrder.Move(JORY, Optional.of(REEF), ORLA))
                        .refused())
                .as("nor while they are out")
                .contains(GroupsRefusal.BINDING_WISH);

        LiveLesson wished = drawnUp().wishing(apart(false, INES, JORY));
        assertThat(wished.desk().groups().broken()).hasSize(1);
        assertThat(wished.order(send()).refused())
                .as("a teacher's own wish is told, and theirs to break")
                .isEmpty();
    }

    @Test
    void bad_orders_say_what_is_wrong() {
        LiveLesson lesson = drawnUp();
        assertThat(lesson.order(new GroupsOrder.Rename(REEF, "skerry", ORLA)).refused())
                .contains(GroupsRefusal.NAME_TAKEN);
        assertThat(lesson.order(new GroupsOrder.SendOut(Optional.of(Duration.ZERO), false, ORLA))
                        .refused())
                .contains(GroupsRefusal.WRONG_LENGTH);
        assertThat(lesson.order(new GroupsOrder.SendOut(Optional.of(minutes(21)), false, ORLA))
                        .refused())
                .contains(GroupsRefusal.TOO_LONG);
        assertThat(lesson.order(new GroupsOrder.GoIn(REEF, ORLA)).refused()).contains(GroupsRefusal.NOT_OUT);
        assertThat(lesson.order(new GroupsOrder.CallForHelp(visitOf(INES))).refused())
                .contains(GroupsRefusal.NOT_IN_A_GROUP);
        assertThat(lesson.order(new GroupsOrder.DrawUp(
                                List.of(
                                        new GroupsOrder.Wanted("A", List.of(INES)),
                                        new GroupsOrder.Wanted("B", List.of(INES))),
                                "by hand",
                                0,
                                ORLA))
                        .refused())
                .contains(GroupsRefusal.TWICE);
        assertThat(lesson.order(new GroupsOrder.SendOut(Optional.empty(), false, INES))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
        lesson.school("groups.make", "closed", Force.BINDING);
        assertThat(lesson.order(send()).refused()).contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void locked_groups_stay_and_a_place_is_never_used_twice() {
        LiveLesson lesson = drawnUp().order(new GroupsOrder.Lock(REEF, true, ORLA));
        lesson.order(new GroupsOrder.DrawUp(
                List.of(new GroupsOrder.Wanted("Holm", List.of(KESTER, pupil(2), pupil(3)))), "by chance", 4, ORLA));
        assertThat(lesson.state().of(GROUPS).groups())
                .extracting(group -> group.id().value() + " " + group.name())
                .containsExactly("g1 Reef", "g3 Holm");
    }

    @Test
    void dismissal_brings_everybody_together_and_says_that_it_did() {
        LiveLesson lesson = out().time("10:05").order(new EndingOrder.Dismiss(ORLA));
        assertThat(lesson.state().where().isApart()).isFalse();
        assertThat(LessonEvent.of(lesson.events(), EndingEvent.class)).anySatisfy(event -> assertThat(event)
                .isEqualTo(new EndingEvent.Closed(ClosingStep.GROUPS_CLOSED, 2, at("10:05"))));
    }

    @Test
    void stopping_everything_stops_every_place_and_brings_back_what_each_had() {
        LiveLesson lesson = out().school("chat.class", "open", Force.USUAL)
                .order(new SupervisionOrder.StopEverything("a fight", ORLA));
        for (PersonId one : List.of(INES, KESTER)) {
            assertThat(lesson.order(new ChatOrder.Say(visitOf(one), Readers.CLASS, "hello"))
                            .refused())
                    .as("in the place of " + one)
                    .contains(Refusal.Common.RULE_CLOSED);
        }
        assertThat(lesson.state().where().isApart())
                .as("they stay where they are, and are seen there")
                .isTrue();
        lesson.order(new SupervisionOrder.Resume(ORLA)).order(new ChatOrder.Say(visitOf(INES), Readers.CLASS, "go on"));
        assertThat(lesson.refused()).isEmpty();
    }

    @Test
    void a_stance_and_a_pass_count_in_a_group_as_they_do_together() {
        LiveLesson lesson = out().order(
                        new RightsOrder.SetLive(juricast.core.rules.RuleValue.parse("chat.class=closed"), ORLA))
                .order(new RightsOrder.GivePass(INES, Catalogue.SPEAK, minutes(2), ORLA));
        assertThat(value(lesson, JORY, Catalogue.CLASS_CHAT)).isEqualTo(Permission.CLOSED);
        assertThat(value(lesson, INES, Catalogue.SPEAK)).isEqualTo(Permission.OPEN);
        assertThat(lesson.seat("ines").rights().rights())
                .filteredOn(right -> right.ruling().rule().equals(Catalogue.SPEAK))
                .allSatisfy(right -> assertThat(right.loan()).isPresent());
    }

    @Test
    void groups_in_which_all_is_alike_are_weighed_once() {
        LiveLesson lesson = out();
        var rules = lesson.rulebookNow();
        assertThat(rules.where(INES)).as("three here, three there, no adult").isSameAs(rules.where(KESTER));
        assertThat(rules.where(ORLA)).isNotSameAs(rules.where(INES));
        lesson.order(new GroupsOrder.GoIn(REEF, ORLA));
        assertThat(lesson.rulebookNow().where(INES))
                .isNotSameAs(lesson.rulebookNow().where(KESTER));
    }

    @Test
    void a_visitor_in_a_group_is_a_visitor_there_and_nowhere_else() {
        LiveLesson lesson = open().invited()
                .ofMore(4)
                .school("chat.class", "open", Force.USUAL)
                .school("chat.class", "closed", Force.USUAL, Condition.during(Fact.VISITOR_PRESENT));
        for (PersonId one : List.of(INES, JORY, KESTER, pupil(1), pupil(2), LiveLesson.TOVE)) {
            lesson.present(one);
        }
        lesson.order(new GroupsOrder.DrawUp(
                        List.of(
                                new GroupsOrder.Wanted("Reef", List.of(INES, JORY, LiveLesson.TOVE)),
                                new GroupsOrder.Wanted("Skerry", List.of(KESTER, pupil(1), pupil(2)))),
                        "by hand",
                        0,
                        ORLA))
                .order(send());
        assertThat(value(lesson, INES, Catalogue.CLASS_CHAT)).isEqualTo(Permission.CLOSED);
        assertThat(value(lesson, KESTER, Catalogue.CLASS_CHAT)).isEqualTo(Permission.OPEN);
    }

    @Test
    void a_last_word_needs_no_groups() {
        LiveLesson lesson = out().adult(TAM).order(new EndingOrder.KeepBack(INES, ORLA));
        assertThat(lesson.state().where().isApart()).isFalse();
        assertThat(lesson.state().there().isPresent(INES)).isTrue();
    }

    @Test
    void planned_groups_are_proposed_at_their_step_or_sent_by_the_clock() {
        var prepared = new Prepared(
                "tide-tables",
                "Tide tables",
                "Find high water",
                List.of(
                        new Prepared.Named("North", List.of(INES, JORY, pupil(1))),
                        new Prepared.Named("South", List.of(KESTER, pupil(2), pupil(3)))));
        var stance = new Stance("s", "Explaining", List.of());
        var steps = List.of(
                new RunningOrder.Step(stance, 10),
                new RunningOrder.Step(stance, 15, Optional.of(prepared)),
                new RunningOrder.Step(stance, 5));

        LiveLesson proposed = drawnUp().planned(new RunningOrder(steps, false)).time("10:10");
        assertThat(proposed.order(new LessonOrder.Tick()).state().where().isApart())
                .isFalse();
        assertThat(proposed.desk().needs()).anySatisfy(need -> {
            assertThat(need.kind()).isEqualTo(Need.Kind.GROUPS_PLANNED);
            assertThat(need.about()).isEqualTo("tide-tables");
        });

        LiveLesson byClock = drawnUp().planned(new RunningOrder(steps, true)).time("10:10");
        byClock.order(new LessonOrder.Tick());
        assertThat(byClock.seat("ines").groups().flatMap(GroupsSeat::here).orElseThrow())
                .satisfies(here -> {
                    assertThat(here.name()).isEqualTo("North");
                    assertThat(here.task()).isEqualTo("Find high water");
                });
        assertThat(byClock.state().of(GROUPS).out().map(TimeOut::until)).contains(at("10:25"));
        byClock.time("10:12")
                .order(new GroupsOrder.CallBack(Duration.ZERO, ORLA))
                .order(new LessonOrder.Tick());
        assertThat(byClock.state().where().isApart())
                .as("called back early, and not sent again by the clock")
                .isFalse();

        LiveLesson tooFew = drawnUp().planned(new RunningOrder(steps, true));
        List.of(INES, JORY).forEach(one -> tooFew.order(new DoorOrder.Leave(visitOf(one))));
        tooFew.time("10:10").order(new LessonOrder.Tick());
        assertThat(tooFew.state().where().isApart()).isFalse();
        assertThat(tooFew.desk().needs())
                .as("what the clock could not send is for an adult")
                .extracting(Need::kind)
                .contains(Need.Kind.GROUPS_PLANNED);
    }

    @Test
    void the_record_says_who_was_where_with_whom_and_when_people_met_who_are_kept_apart() {
        LiveLesson lesson = out().time("10:04").order(new GroupsOrder.Move(KESTER, Optional.of(REEF), ORLA));
        lesson.time("10:06").order(new DoorOrder.Leave(visitOf(JORY)));
        lesson.time("10:10").order(new LessonOrder.Tick());
        WhoWasWhere was = WhoWasWhere.of(lesson.events(), at("10:20"));

        assertThat(was.inGroups(KESTER))
                .extracting(stay -> stay.name() + " " + stay.time().length().toMinutes())
                .containsExactly("Skerry 4", "Reef 6");
        assertThat(was.meetings(Set.of(JORY, KESTER)))
                .singleElement()
                .satisfies(met -> assertThat(met.time().length()).isEqualTo(minutes(2)));
        assertThat(was.rounds()).hasSize(1);
        assertThat(was.rounds().get(0)).contains(Set.of(INES, JORY, pupil(1), KESTER));
    }

    @Test
    void a_second_device_of_one_pupil_is_in_the_same_place() {
        LiveLesson lesson = out().school("entry.second-device", "open", Force.USUAL);
        lesson.knock("Ines Carrow", "phone of ines")
                .order(new DoorOrder.Admit(new VisitId("phone of ines"), Optional.of(INES), ORLA));
        assertThat(new DeviceId("phone of ines").value()).isNotEmpty();
        assertThat(standing(lesson, REEF).pupils()).isEqualTo(3);
        assertThat(lesson.desk().groups().late()).isEmpty();
    }
}
