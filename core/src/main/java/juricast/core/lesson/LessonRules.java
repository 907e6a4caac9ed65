package juricast.core.lesson;

import static juricast.core.lesson.Decision.done;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import juricast.core.entry.Entry;
import juricast.core.entry.Entry.Judgement;
import juricast.core.entry.Outcome;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.lesson.Refusal.Code;
import juricast.core.limits.Limits;
import juricast.core.rules.Area;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Choice;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.ReEntry;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.rules.YesNo;

/** Decides what an order does. Everything it knows comes in, the time too; nothing is changed or stored. */
public record LessonRules(LessonPlan plan, LessonState lesson, Rulebook rules, Instant now)
        implements LessonOrder.Cases<Decision> {

    /**
     * The events of an order and of what follows from it by itself: arrivals that wait are judged again, and what
     * somebody may not have on any more is switched off.
     */
    public Decision decide(LessonOrder order) {
        return order.match(this).either(events -> new Decision.Done(withConsequences(events)), Decision.Refused::new);
    }

    @Override
    public Decision open(LessonOrder.Open order) {
        if (!who().isAdult(order.by())) {
            return Refusal.of(Code.NOT_AN_ADULT_HERE);
        }
        if (lesson.isOver()) {
            return Refusal.of(Code.LESSON_OVER);
        }
        if (lesson.isOpen()) {
            return Refusal.of(
                    Code.ALREADY_OPEN,
                    lesson.opened().map(LessonEvent.Opened::by).orElseThrow());
        }
        var early = who().ruling(order.by(), Catalogue.EARLY_MINUTES);
        if (now.isBefore(plan.time().from().minus(early.value().length()))) {
            return Refusal.by(Code.TOO_EARLY_TO_OPEN, early);
        }
        return done(new LessonEvent.Opened(order.by(), now));
    }

    @Override
    public Decision join(LessonOrder.Join order) {
        boolean observes = plan.member(order.by())
                .filter(one -> one.role() == Role.OBSERVER)
                .isPresent();
        if (!who().isAdult(order.by()) && !observes) {
            return Refusal.of(Code.NOT_AN_ADULT_HERE);
        }
        if (!lesson.isOpen()) {
            return Refusal.of(lesson.isOver() ? Code.LESSON_OVER : Code.NOT_OPEN);
        }
        if (lesson.removal(order.by()).isPresent()) {
            return Refusal.of(Code.REMOVED_HERE, order.by());
        }
        return done(
                new LessonEvent.AdultJoined(order.visit(), order.device(), order.by(), who().roleOf(order.by()), now));
    }

    @Override
    public Decision knock(LessonOrder.Knock order) {
        // Those of the class who are signed in find a door that strangers have crowded.
        boolean isOfClass = order.arrival()
                .account()
                .filter(account ->
                        plan.classList().stream().anyMatch(one -> one.person().equals(account)))
                .isPresent();
        if (lesson.visits().size() >= (isOfClass ? 2 : 1) * Limits.ARRIVALS) {
            return Refusal.of(Code.TOO_MANY_ARRIVALS);
        }
        var events = new ArrayList<LessonEvent>();
        // Who waits and knocks again, with another name perhaps, stands at the door once, not twice.
        lesson.visitOf(order.arrival().device())
                .ifPresent(before -> events.add(new LessonEvent.Left(before.id(), now)));
        LessonState afterwards = lesson.after(events);
        Judgement judged = Entry.judge(order.arrival(), afterwards.doorway(plan, rules), now);
        Role role = judged.person().map(plan::roleOf).orElse(Role.PUPIL);
        events.add(new LessonEvent.Knocked(order.arrival(), judged.person(), role, judged.verdict(), now));
        if (judged.verdict().outcome() == Outcome.ADMIT) {
            events.addAll(admission(order.arrival().visit(), judged.person().orElseThrow(), PersonId.RULES));
        }
        return new Decision.Done(events);
    }

    @Override
    public Decision admit(LessonOrder.Admit order) {
        return who().helper(order.by(), Catalogue.HELP_DOOR)
                .orElseGet(() -> waiting(order.visit(), visit -> {
                    if (!who().isAdult(order.by())) {
                        return admittedByPupil(visit, order);
                    }
                    Optional<PersonId> as = order.as().or(visit::person);
                    return as.isEmpty() ? Refusal.of(Code.WHO_IS_IT) : admitted(visit, as.get(), order.by());
                }));
    }

    @Override
    public Decision admitGuest(LessonOrder.AdmitGuest order) {
        String note = order.note().strip();
        if (note.isEmpty()) {
            return Refusal.of(Code.EMPTY_TEXT);
        }
        if (note.length() > Limits.REASON) {
            return Refusal.of(Code.TEXT_TOO_LONG);
        }
        return who().adult(order.by(), Catalogue.HELP_DOOR)
                .orElseGet(() -> waiting(order.visit(), visit -> admitted(visit, order.as(), order.by())
                        .either(
                                events -> {
                                    var all = new ArrayList<LessonEvent>();
                                    all.add(new LessonEvent.GuestLetIn(
                                            visit.id(), order.as(), plan.nameOf(order.as()), note, order.by(), now));
                                    all.addAll(events);
                                    return new Decision.Done(all);
                                },
                                Decision.Refused::new)));
    }

    /** What an adult's word lets in, and what it does not. */
    private Decision admitted(Visit visit, PersonId as, PersonId by) {
        if (plan.classList().stream().noneMatch(one -> one.person().equals(as))) {
            return Refusal.of(Code.NOT_ON_LIST);
        }
        Rulebook here = atDoor(visit);
        Role role = plan.roleOf(as);
        var early = here.ruling(Catalogue.EARLY_MINUTES, role, now);
        if (now.isBefore(plan.time().from().minus(early.value().length()))) {
            return Refusal.by(Code.TOO_EARLY_TO_ADMIT, early);
        }
        var visitors = here.ruling(Catalogue.VISITORS, Role.VISITOR, now);
        if (role == Role.VISITOR && visitors.value() == Permission.CLOSED) {
            return Refusal.by(Code.RULE_CLOSED, visitors);
        }
        var room = here.ruling(Catalogue.CAPACITY, Rule.ANSWERS, now);
        if (lesson.occupants() >= room.value().number() && !lesson.isPresent(as)) {
            return Refusal.by(Code.ROOM_IS_FULL, room);
        }
        var second = here.with(lesson.loans(as)).ruling(Catalogue.SECOND_DEVICE, role, now);
        if (lesson.isPresent(as) && second.value() == Permission.CLOSED) {
            return Refusal.by(Code.RULE_CLOSED, second);
        }
        var events = new ArrayList<LessonEvent>();
        for (PersonId removed : removedBehind(visit, as)) {
            var reEntry = here.ruling(Catalogue.RE_ENTRY, plan.roleOf(removed), now);
            if (reEntry.value() == ReEntry.NEVER) {
                return Refusal.by(Code.RULE_CLOSED, reEntry);
            }
            events.add(new LessonEvent.AllowedBack(removed, by, now));
        }
        events.addAll(admission(visit.id(), as, by));
        return new Decision.Done(events);
    }

    /** The rules as they are just now for who stands at the door. */
    private Rulebook atDoor(Visit visit) {
        Rulebook live = liveRules();
        return live.in(
                live.situation().with(Fact.SCHOOL_ACCOUNT, visit.arrival().hasAccount()));
    }

    /** A trusted pupil lets in who is surely on the class list, under that name and no other. */
    private Decision admittedByPupil(Visit visit, LessonOrder.Admit order) {
        Judgement judged = Entry.judge(visit.arrival(), lesson.doorway(plan, rules), now);
        Optional<PersonId> person = judged.person()
                .filter(one -> visit.connected() && judged.verdict().onlyTheDoorIsBetween())
                .filter(one -> order.as().map(one::equals).orElse(true));
        return person.<Decision>map(one -> new Decision.Done(admission(visit.id(), one, order.by())))
                .orElseGet(() -> Refusal.of(Code.NOT_AN_ADULT_HERE));
    }

    @Override
    public Decision admitAllListed(LessonOrder.AdmitAllListed order) {
        return who().adult(order.by(), Catalogue.HELP_DOOR).orElseGet(() -> {
            var events = new ArrayList<LessonEvent>();
            for (Visit visit : lesson.waiting()) {
                // Judged now, not when they knocked, and after those before them in the row: nobody comes in twice.
                LessonState afterwards = lesson.after(events);
                Judgement judged = Entry.judge(visit.arrival(), afterwards.doorway(plan, rules), now);
                if (visit.connected() && judged.verdict().onlyTheDoorIsBetween()) {
                    events.addAll(admission(visit.id(), judged.person().orElseThrow(), order.by()));
                }
            }
            return new Decision.Done(events);
        });
    }

    @Override
    public Decision turnAway(LessonOrder.TurnAway order) {
        return who().adult(order.by(), Catalogue.HELP_DOOR)
                .orElseGet(() ->
                        waiting(order.visit(), visit -> done(new LessonEvent.TurnedAway(visit.id(), order.by(), now))));
    }

    @Override
    public Decision leave(LessonOrder.Leave order) {
        Optional<Visit> visit = lesson.visit(order.visit()).filter(Visit::goesOn);
        if (visit.isEmpty()) {
            return seenOut(order.visit());
        }
        if (visit.get().role().isAdultInCharge()
                && visit.get().isPresent()
                && adultsWithout(order.visit()) == 0
                && pupilsAreIn()) {
            return Refusal.of(Code.LAST_ADULT);
        }
        if (visit.get().role().isAdultInCharge() && lesson.lastWord().isPresent()) {
            Optional<Decision> alone = aloneWithOne(lesson.after(new LessonEvent.Left(order.visit(), now)));
            if (alone.isPresent()) {
                return alone.get();
            }
        }
        return done(new LessonEvent.Left(order.visit(), now));
    }

    /** Refuses a room in which one adult is alone with one pupil and nothing records, where the rule forbids it. */
    private Optional<Decision> aloneWithOne(LessonState room) {
        var ruling = room.rules(rules).ruling(Catalogue.NEVER_ALONE_WITH_ONE, Rule.ANSWERS, now);
        long adults = room.visits().stream()
                .filter(visit -> visit.isPresent() && (visit.role().isAdultInCharge() || visit.role() == Role.OBSERVER))
                .map(Visit::person)
                .distinct()
                .count();
        boolean isSeen = adults >= 2 || rules.situation().is(Fact.RECORDING);
        return isSeen || ruling.value() == YesNo.NO
                ? Optional.empty()
                : Optional.of(Refusal.by(Code.ALONE_WITH_ONE, ruling));
    }

    @Override
    public Decision keepBack(LessonOrder.KeepBack order) {
        return who().adult(order.by(), Catalogue.HELP_DISMISS).orElseGet(() -> {
            boolean isOfList =
                    plan.classList().stream().anyMatch(one -> one.person().equals(order.person()));
            if (!isOfList || !lesson.isPresent(order.person())) {
                return Refusal.of(Code.NOT_PRESENT, order.person());
            }
            if (lesson.lastWord().isPresent()) {
                return Refusal.of(Code.LAST_WORD);
            }
            List<VisitId> gone = lesson.visits().stream()
                    .filter(visit -> visit.goesOn()
                            && !visit.isOf(order.person())
                            && !visit.role().isAdultInCharge()
                            && visit.role() != Role.OBSERVER)
                    .map(Visit::id)
                    .toList();
            return aloneWithOne(lesson)
                    .orElseGet(() -> done(new LessonEvent.KeptBack(order.person(), gone, order.by(), now)));
        });
    }

    @Override
    public Decision loseConnection(LessonOrder.LoseConnection order) {
        boolean isNews = lesson.visit(order.visit())
                .filter(visit -> visit.goesOn() && visit.connected())
                .isPresent();
        return isNews ? done(new LessonEvent.ConnectionLost(order.visit(), now)) : seenOut(order.visit());
    }

    /** For whom the lesson is over, leaving means that they have really gone. */
    private Decision seenOut(VisitId id) {
        boolean isNews = lesson.visit(id)
                .filter(visit -> visit.status() == Visit.Status.DISMISSED && visit.connected())
                .isPresent();
        return isNews ? done(new LessonEvent.SeenOut(id, now)) : done();
    }

    @Override
    public Decision comeBack(LessonOrder.ComeBack order) {
        boolean isNews = lesson.visit(order.visit())
                .filter(visit -> visit.goesOn() && !visit.connected())
                .isPresent();
        return isNews ? done(new LessonEvent.CameBack(order.visit(), now)) : done();
    }

    @Override
    public Decision turnOn(LessonOrder.TurnOn order) {
        return present(order.visit(), person -> mayHaveOn(person, order.what())
                .orElseGet(() -> lesson.on(person).contains(order.what())
                        ? done()
                        : order.what().isShowing()
                                ? showing(person, order.what())
                                : done(new LessonEvent.TurnedOn(person, order.what(), now))));
    }

    /** A whole screen needs the right to share as well, so that whatever closes sharing ends it too. */
    private Optional<Decision> mayHaveOn(PersonId person, Appliance what) {
        return who().right(person, what.right())
                .or(() -> what == Appliance.WHOLE_SCREEN
                        ? who().right(person, Catalogue.SHARE_SCREEN)
                        : Optional.empty());
    }

    /** One person at a time shows something; whoever shows already is pushed out only by the right to do so. */
    private Decision showing(PersonId person, Appliance what) {
        Optional<PersonId> before = lesson.showing();
        if (before.isPresent()
                && !before.get().equals(person)
                && who().right(person, Catalogue.TAKE_OVER).isPresent()) {
            return new Decision.Refused(new Refusal(
                    Code.SOMEBODY_SHOWS,
                    List.of(before.get()),
                    Optional.of(who().ruling(person, Catalogue.TAKE_OVER))));
        }
        var events = new ArrayList<LessonEvent>();
        before.ifPresent(other -> lesson.on(other).stream()
                .filter(Appliance::isShowing)
                .forEach(shown -> events.add(new LessonEvent.TurnedOff(other, shown, person, now))));
        events.add(new LessonEvent.TurnedOn(person, what, now));
        return new Decision.Done(events);
    }

    @Override
    public Decision turnOff(LessonOrder.TurnOff order) {
        if (!order.by().equals(order.person())) {
            Optional<Decision> no = who().adult(order.by());
            if (no.isPresent()) {
                return no.get();
            }
        }
        // "Stop sharing" means whatever is shown, a window or a whole screen.
        return new Decision.Done(lesson.on(order.person()).stream()
                .filter(what ->
                        what == order.what() || what.isShowing() && order.what().isShowing())
                .<LessonEvent>map(what -> new LessonEvent.TurnedOff(order.person(), what, order.by(), now))
                .toList());
    }

    @Override
    public Decision muteAll(LessonOrder.MuteAll order) {
        return who().adult(order.by(), Catalogue.HELP_STEER).orElseGet(() -> {
            var events = new ArrayList<LessonEvent>();
            if (order.keepMuted() && liveRules().value(Catalogue.SPEAK, Role.PUPIL, now) == Permission.OPEN) {
                events.add(new LessonEvent.LiveSet(
                        new RuleValue(Catalogue.SPEAK, Permission.ON_REQUEST), order.by(), now));
            }
            plan.classList().stream()
                    .map(Member::person)
                    .filter(person -> lesson.on(person).contains(Appliance.MICROPHONE))
                    .forEach(person ->
                            events.add(new LessonEvent.TurnedOff(person, Appliance.MICROPHONE, order.by(), now)));
            // Who was called on a moment ago would unmute at once.
            lesson.loans().forEach((person, loans) -> loans.stream()
                    .filter(loan -> loan.set().rule().equals(Catalogue.SPEAK)
                            && loan.force() == Setting.Force.PASS
                            && loan.isInForce(now))
                    .forEach(loan -> events.add(new LessonEvent.LoanEnded(person, Catalogue.SPEAK, order.by(), now))));
            return new Decision.Done(events);
        });
    }

    @Override
    public Decision undoMuteAll(LessonOrder.UndoMuteAll order) {
        return who().adult(order.by(), Catalogue.HELP_STEER).orElseGet(() -> {
            List<LessonState.EndedPass> ended = lesson.passesEnded().stream()
                    .filter(one -> one.by().equals(order.by())
                            && now.isBefore(one.at().plus(MUTE_UNDONE_WITHIN))
                            && now.isBefore(one.pass().until())
                            && lesson.isPresent(one.person())
                            && loan(one.person(), Catalogue.SPEAK).isEmpty())
                    .toList();
            if (ended.isEmpty()) {
                return Refusal.of(Code.NOTHING_TO_UNDO);
            }
            return new Decision.Done(ended.stream()
                    .<LessonEvent>map(one -> new LessonEvent.PassGiven(
                            one.person(), Catalogue.SPEAK, one.pass().until(), order.by(), now))
                    .toList());
        });
    }

    /** How long passes that "mute all" ended can be given back by one action. */
    public static final Duration MUTE_UNDONE_WITHIN = Duration.ofSeconds(15);

    @Override
    public Decision raiseHand(LessonOrder.RaiseHand order) {
        return present(order.visit(), person -> who().right(person, Catalogue.HAND)
                .orElseGet(() ->
                        lesson.hands().containsKey(person) ? done() : done(new LessonEvent.HandRaised(person, now))));
    }

    @Override
    public Decision lowerHand(LessonOrder.LowerHand order) {
        if (!order.by().equals(order.person())) {
            Optional<Decision> no = who().helper(order.by(), Catalogue.HELP_HANDS);
            if (no.isPresent()) {
                return no.get();
            }
        }
        return lesson.hands().containsKey(order.person())
                ? done(new LessonEvent.HandLowered(order.person(), order.by(), now))
                : done();
    }

    @Override
    public Decision say(LessonOrder.Say order) {
        String text = order.text().strip();
        if (text.isEmpty()) {
            return Refusal.of(Code.EMPTY_TEXT);
        }
        if (text.length() > Limits.MESSAGE) {
            return Refusal.of(Code.TEXT_TOO_LONG);
        }
        return present(order.visit(), person -> mayWrite(person, order.to())
                .or(() -> tooFast(person))
                .orElseGet(() -> written(new Writing(person, order.to(), text, Optional.empty()))));
    }

    @Override
    public Decision sendFile(LessonOrder.SendFile order) {
        if (lesson.files() >= Limits.FILES) {
            return Refusal.of(Code.TOO_MANY_FILES);
        }
        SentFile file = order.file();
        return present(order.visit(), person -> mayWrite(person, order.to())
                .or(() -> tooFast(person))
                .or(() -> kindNotAllowed(person, file))
                .orElseGet(() -> written(new Writing(person, order.to(), file.name(), Optional.of(file)))));
    }

    private Optional<Decision> kindNotAllowed(PersonId from, SentFile file) {
        var kinds = who().ruling(from, Catalogue.FILE_KINDS);
        return kinds.value().names().contains(file.kind())
                ? Optional.empty()
                : Optional.of(Refusal.by(Code.RULE_CLOSED, kinds));
    }

    /** What somebody wants others to read. */
    private record Writing(PersonId from, Readers to, String text, Optional<SentFile> file) {}

    /**
     * Whether a file may go at all is ruled for everybody. All else is ruled only among pupils: adults answer for what they
     * write, and who asks an adult for help is heard at once.
     */
    private Decision written(Writing writing) {
        boolean amongPupils = !who().isAdult(writing.from)
                && (writing.to.kind() == Readers.Kind.CLASS
                        || writing.to.one().filter(one -> !who().isAdult(one)).isPresent());
        Optional<Decision> no = writing.file.isPresent()
                ? restrained(writing, Catalogue.CHAT_FILES, Hold.FILE, amongPupils)
                : Optional.empty();
        if (no.isEmpty() && amongPupils && plan.watched().isIn(writing.text)) {
            no = restrained(writing, Catalogue.CHAT_WORDS, Hold.WORD, true);
        }
        if (no.isEmpty() && amongPupils && Links.isIn(writing.text)) {
            no = restrained(writing, Catalogue.CHAT_LINKS, Hold.LINK, true);
        }
        if (no.isEmpty()
                && amongPupils
                && who().ruling(writing.from, Catalogue.CHAT_APPROVAL).value() == YesNo.YES) {
            no = Optional.of(held(writing, Hold.EVERY_MESSAGE));
        }
        return no.orElseGet(
                () -> done(new LessonEvent.Said(writing.from, writing.to, writing.text, writing.file, now)));
    }

    private Optional<Decision> restrained(Writing writing, Rule<Permission> by, Hold why, boolean holds) {
        var ruling = who().ruling(writing.from, by);
        return switch (ruling.value()) {
            case CLOSED -> Optional.of(Refusal.by(Code.RULE_CLOSED, ruling));
            case ON_REQUEST -> holds ? Optional.of(held(writing, why)) : Optional.empty();
            case OPEN -> Optional.empty();
        };
    }

    private Decision held(Writing writing, Hold why) {
        return done(new LessonEvent.Held(writing.from, writing.to, writing.text, writing.file, why, now));
    }

    private Optional<Decision> tooFast(PersonId from) {
        if (who().isAdult(from)) {
            return Optional.empty();
        }
        var rate = who().ruling(from, Catalogue.CHAT_RATE);
        Instant minuteAgo = now.minus(Duration.ofMinutes(1));
        long lately = lesson.words().stream()
                        .filter(one -> one.from().equals(from) && one.at().isAfter(minuteAgo))
                        .count()
                + lesson.held().stream()
                        .filter(one -> one.from().equals(from) && one.at().isAfter(minuteAgo))
                        .count();
        return lately < rate.value().number() ? Optional.empty() : Optional.of(Refusal.by(Code.TOO_FAST, rate));
    }

    @Override
    public Decision setLive(LessonOrder.SetLive order) {
        return mayTurn(order).orElseGet(() -> {
            Ruling<?> today = liveRules().ruling(order.set().rule(), Role.PUPIL, now);
            if (!today.allows(order.set().value())) {
                return Refusal.by(Code.RULE_BOUND, today);
            }
            return done(new LessonEvent.LiveSet(order.set(), order.by(), now));
        });
    }

    /** Each kind of live order is another help: the door, the chat, all else. A trusted pupil only pauses the class chat. */
    private Optional<Decision> mayTurn(LessonOrder.SetLive order) {
        Rule<?> rule = order.set().rule();
        if (rule.equals(Catalogue.DOOR)) {
            return who().adult(order.by(), Catalogue.HELP_DOOR);
        }
        boolean ownPause = lesson.liveOrders().stream()
                .filter(one -> one.set().rule().equals(rule))
                .allMatch(one -> one.by().equals(order.by()));
        if (rule.equals(Catalogue.CLASS_CHAT)
                && !who().isAdult(order.by())
                && (order.set().value() == Permission.CLOSED || ownPause)) {
            return who().helper(order.by(), Catalogue.HELP_CHAT);
        }
        return who().adult(order.by(), rule.area() == Area.CHAT ? Catalogue.HELP_CHAT : Catalogue.HELP_STEER);
    }

    @Override
    public Decision givePass(LessonOrder.GivePass order) {
        return mayLend(order).orElseGet(() -> {
            if (!lesson.isPresent(order.person())) {
                return Refusal.of(Code.NOT_PRESENT, order.person());
            }
            if (isWrongLength(order.length())) {
                return Refusal.of(Code.WRONG_LENGTH);
            }
            if (!order.right().speaksOf(who().roleOf(order.person()))) {
                return Refusal.of(Code.NOT_FOR_THEM, order.person());
            }
            var ruling = who().ruling(order.person(), order.right());
            if (ruling.isBoundClosed()) {
                return Refusal.by(Code.RULE_BOUND, ruling);
            }
            if (ruling.isOpen() && loan(order.person(), order.right()).isEmpty()) {
                return Refusal.by(Code.ALREADY_ALLOWED, ruling);
            }
            var events = new ArrayList<LessonEvent>();
            events.add(new LessonEvent.PassGiven(
                    order.person(), order.right(), now.plus(order.length()), order.by(), now));
            if (lesson.hands().containsKey(order.person())) {
                events.add(new LessonEvent.HandLowered(order.person(), order.by(), now));
            }
            return new Decision.Done(events);
        });
    }

    /** How long who only helps may let somebody speak whose hand is up. */
    private static final Duration CALLED_ON = Duration.ofMinutes(2);

    /** Rights to help are lent by who leads alone; whoever helps with hands calls on those whose hand is up. */
    private Optional<Decision> mayLend(LessonOrder.GivePass order) {
        if (Catalogue.HELP.contains(order.right())) {
            return who().leading(order.by());
        }
        boolean calls = order.right().equals(Catalogue.SPEAK)
                && lesson.hands().containsKey(order.person())
                && order.length().compareTo(CALLED_ON) <= 0;
        return who().adult(order.by(), Catalogue.LEND)
                .flatMap(no -> calls ? who().helper(order.by(), Catalogue.HELP_HANDS) : Optional.of(no));
    }

    @Override
    public Decision giveCurb(LessonOrder.GiveCurb order) {
        return (Catalogue.HELP.contains(order.right())
                        ? who().leading(order.by())
                        : who().adult(order.by(), Catalogue.LEND))
                .orElseGet(() -> {
                    if (!lesson.isPresent(order.person())) {
                        return Refusal.of(Code.NOT_PRESENT, order.person());
                    }
                    if (isWrongLength(order.length())) {
                        return Refusal.of(Code.WRONG_LENGTH);
                    }
                    if (!order.right().speaksOf(who().roleOf(order.person()))) {
                        return Refusal.of(Code.NOT_FOR_THEM, order.person());
                    }
                    return done(new LessonEvent.CurbGiven(
                            order.person(), order.right(), now.plus(order.length()), order.by(), now));
                });
    }

    @Override
    public Decision endLoan(LessonOrder.EndLoan order) {
        return (Catalogue.HELP.contains(order.right())
                        ? who().leading(order.by())
                        : who().adult(order.by(), Catalogue.LEND))
                .orElseGet(() -> loan(order.person(), order.right()).isEmpty()
                        ? done()
                        : done(new LessonEvent.LoanEnded(order.person(), order.right(), order.by(), now)));
    }

    @Override
    public Decision rename(LessonOrder.Rename order) {
        String name = order.name().length() > Limits.MESSAGE ? order.name() : PlainName.of(order.name());
        if (name.isEmpty()) {
            return Refusal.of(Code.EMPTY_TEXT);
        }
        if (name.length() > Limits.NAME) {
            return Refusal.of(Code.TEXT_TOO_LONG);
        }
        return present(order.visit(), person -> who().right(person, Catalogue.RENAME)
                .orElseGet(() -> done(new LessonEvent.Renamed(person, name, now))));
    }

    @Override
    public Decision remove(LessonOrder.Remove order) {
        return who().adult(order.by()).orElseGet(() -> {
            // Adults are not put out by each other; whoever keeps children safe puts out anybody.
            if (who().isAdult(order.person()) && (!plan.isLead(order.by()) || plan.isLead(order.person()))
                    || lesson.visits().stream()
                            .noneMatch(visit -> visit.status() == Visit.Status.IN && visit.isOf(order.person()))) {
                return Refusal.of(Code.NOT_PRESENT, order.person());
            }
            if (order.why().length() > Limits.REASON) {
                return Refusal.of(Code.TEXT_TOO_LONG);
            }
            return done(new LessonEvent.Removed(order.person(), order.why().strip(), order.by(), now));
        });
    }

    @Override
    public Decision allowBack(LessonOrder.AllowBack order) {
        return who().adult(order.by(), Catalogue.HELP_DOOR).orElseGet(() -> {
            if (lesson.removal(order.person()).isEmpty()) {
                return Refusal.of(Code.NOT_REMOVED, order.person());
            }
            var reEntry = who().ruling(order.person(), Catalogue.RE_ENTRY);
            if (reEntry.value() == ReEntry.NEVER) {
                return Refusal.by(Code.RULE_CLOSED, reEntry);
            }
            return done(new LessonEvent.AllowedBack(order.person(), order.by(), now));
        });
    }

    @Override
    public Decision switchStance(LessonOrder.SwitchStance order) {
        return who().adult(order.by(), Catalogue.HELP_STEER)
                .orElseGet(() -> lesson.stance().equals(Optional.of(order.to()))
                                && (order.keepLive() || lesson.liveOrders().isEmpty())
                        ? done()
                        : done(new LessonEvent.StanceSwitched(order.to(), order.keepLive(), order.by(), now)));
    }

    @Override
    public Decision stopEverything(LessonOrder.StopEverything order) {
        return who().adult(order.by()).orElseGet(() -> {
            if (order.why().length() > Limits.REASON) {
                return Refusal.of(Code.TEXT_TOO_LONG);
            }
            String why = order.why().strip();
            // First stop, then say why: the reason is added to a stop that lasts.
            if (lesson.stopped().isPresent()) {
                boolean isNews = !why.isEmpty() && !lesson.stopped().get().why().equals(why);
                return isNews ? done(new LessonEvent.StopExplained(why, order.by(), now)) : done();
            }
            return done(new LessonEvent.Stopped(why, order.by(), now));
        });
    }

    @Override
    public Decision resume(LessonOrder.Resume order) {
        return who().adult(order.by())
                .orElseGet(() -> lesson.stopped().isEmpty()
                        ? Refusal.of(Code.NOT_STOPPED)
                        : done(new LessonEvent.Resumed(order.by(), now)));
    }

    @Override
    public Decision takeCharge(LessonOrder.TakeCharge order) {
        if (plan.member(order.by()).filter(one -> one.role() == Role.OBSERVER).isEmpty()) {
            return Refusal.of(Code.NOT_AN_ADULT_HERE);
        }
        if (!lesson.isOpen()) {
            return Refusal.of(lesson.isOver() ? Code.LESSON_OVER : Code.NOT_OPEN);
        }
        if (lesson.anAdultIsIn()) {
            return Refusal.of(Code.AN_ADULT_IS_IN);
        }
        return done(new LessonEvent.ChargeTaken(order.by(), now));
    }

    @Override
    public Decision showSign(LessonOrder.ShowSign order) {
        return present(order.visit(), person -> who().right(person, Catalogue.REACTIONS)
                .orElseGet(() -> Optional.ofNullable(lesson.signs().get(person)).equals(order.sign())
                        ? done()
                        : done(new LessonEvent.SignShown(person, order.sign(), now))));
    }

    @Override
    public Decision clearSigns(LessonOrder.ClearSigns order) {
        return who().adult(order.by(), Catalogue.HELP_STEER)
                .orElseGet(
                        () -> lesson.signs().isEmpty() ? done() : done(new LessonEvent.SignsCleared(order.by(), now)));
    }

    @Override
    public Decision handOut(LessonOrder.HandOut order) {
        return acting(order.person(), Catalogue.HAND_OUT).orElseGet(() -> {
            String title = order.title().strip();
            if (title.isEmpty()) {
                return Refusal.of(Code.EMPTY_TEXT);
            }
            if (title.length() > Limits.TITLE || order.body().length() > Limits.MESSAGE) {
                return Refusal.of(Code.TEXT_TOO_LONG);
            }
            return lesson.materials().size() >= Limits.MATERIALS
                    ? Refusal.of(Code.TOO_MUCH)
                    : done(new LessonEvent.HandedOut(
                            order.person(), title, order.body().strip(), now));
        });
    }

    @Override
    public Decision takeBack(LessonOrder.TakeBack order) {
        return who().adult(order.by(), Catalogue.HELP_STEER)
                .orElseGet(() -> lesson.materials().stream().anyMatch(one -> one.number() == order.number())
                        ? done(new LessonEvent.TakenBack(order.number(), order.by(), now))
                        : done());
    }

    @Override
    public Decision focus(LessonOrder.Focus order) {
        return who().adult(order.by(), Catalogue.HELP_STEER).orElseGet(() -> {
            if (order.on().equals(lesson.focus())) {
                return done();
            }
            if (order.on().isPresent()) {
                PersonId person = order.on().get();
                if (!lesson.isPresent(person)) {
                    return Refusal.of(Code.NOT_PRESENT, person);
                }
                var ruling = who().ruling(person, Catalogue.FOCUS);
                if (ruling.value() == Permission.CLOSED) {
                    return Refusal.by(Code.RULE_CLOSED, ruling);
                }
            }
            return done(new LessonEvent.Focused(order.on(), order.by(), now));
        });
    }

    @Override
    public Decision lighten(LessonOrder.Lighten order) {
        return who().adult(order.by(), Catalogue.HELP_STEER)
                .orElseGet(() -> lesson.isLight() == order.on()
                        ? done()
                        : done(new LessonEvent.Lightened(order.on(), order.by(), now)));
    }

    @Override
    public Decision caption(LessonOrder.Caption order) {
        String text = order.text().strip();
        if (text.isEmpty()) {
            return Refusal.of(Code.EMPTY_TEXT);
        }
        if (text.length() > Limits.MESSAGE) {
            return Refusal.of(Code.TEXT_TOO_LONG);
        }
        return present(order.visit(), person -> who().right(person, Catalogue.WRITE_CAPTIONS)
                .orElseGet(() -> done(new LessonEvent.Captioned(person, text, now))));
    }

    @Override
    public Decision release(LessonOrder.Release order) {
        return who().adult(order.by(), Catalogue.HELP_CHAT)
                .orElseGet(() -> lesson.held().stream().anyMatch(one -> one.number() == order.number())
                        ? done(new LessonEvent.Released(order.number(), order.letThrough(), order.by(), now))
                        : Refusal.of(Code.NO_SUCH_WORDS));
    }

    @Override
    public Decision draw(LessonOrder.Draw order) {
        List<Integer> line = order.line();
        boolean isLine = line.size() >= 4
                && line.size() <= Limits.LINE
                && line.size() % 2 == 0
                && line.stream().allMatch(point -> point >= 0 && point <= 1000);
        if (!isLine) {
            return Refusal.of(Code.NOT_A_LINE);
        }
        return present(order.visit(), person -> who().right(person, Catalogue.DRAW)
                .orElseGet(() -> lesson.board().size() >= Limits.BOARD
                        ? Refusal.of(Code.TOO_MUCH)
                        : done(new LessonEvent.Drawn(person, List.copyOf(line), now))));
    }

    @Override
    public Decision wipe(LessonOrder.Wipe order) {
        boolean own = order.of().equals(Optional.of(order.by())) && lesson.isPresent(order.by());
        boolean isThere = lesson.board().stream()
                .anyMatch(line -> order.of().map(line.author()::equals).orElse(true));
        Decision wiped = isThere ? done(new LessonEvent.Wiped(order.of(), order.by(), now)) : done();
        return own ? wiped : who().adult(order.by(), Catalogue.HELP_STEER).orElse(wiped);
    }

    @Override
    public Decision noticeSweep(LessonOrder.NoticeSweep order) {
        var sweep = order.sweep();
        return !lesson.isOpen() || lesson.sweeps().containsKey(sweep.device())
                ? done()
                : done(new LessonEvent.SweepNoticed(
                        sweep.device(), sweep.name(), sweep.doors().size(), now));
    }

    @Override
    public Decision dismiss(LessonOrder.Dismiss order) {
        return who().adult(order.by(), Catalogue.HELP_DISMISS)
                .orElseGet(() -> done(new LessonEvent.Dismissed(order.by(), now)));
    }

    @Override
    public Decision tick(LessonOrder.Tick order) {
        var events = new ArrayList<LessonEvent>();
        lesson.loans().forEach((person, loans) -> loans.stream()
                .filter(loan -> !now.isBefore(loan.until()))
                .forEach(loan -> Catalogue.rightByKey(loan.set().rule().key())
                        .ifPresent(
                                right -> events.add(new LessonEvent.LoanEnded(person, right, PersonId.CLOCK, now)))));
        if (plan.order().byTheClock() && lesson.isOpen()) {
            dueStance()
                    .ifPresent(planned ->
                            events.add(new LessonEvent.StanceSwitched(planned.stance(), true, PersonId.CLOCK, now)));
        }
        return new Decision.Done(events);
    }

    /** The stance that the running order has for now, if the lesson has not been switched since that step began. */
    public Optional<RunningOrder.Planned> dueStance() {
        return plan.order()
                .at(now, plan.time())
                .filter(planned -> !now.isBefore(planned.time().from()))
                .filter(planned -> lesson.stanceSince()
                        .map(since -> since.isBefore(planned.time().from()))
                        .orElse(true));
    }

    /** When the clock should be asked again, or {@link Setting#FOR_EVER} if nothing ends by itself. */
    public Instant nextTick() {
        Instant soonest = liveRules().nextEdge(now);
        for (List<Setting> loans : lesson.loans().values()) {
            for (Setting loan : loans) {
                soonest = loan.until().isBefore(soonest) ? loan.until() : soonest;
            }
        }
        for (Visit visit : lesson.waiting()) {
            if (visit.verdict().has(ReasonCode.TOO_EARLY)) {
                Duration early = atDoor(visit)
                        .value(Catalogue.EARLY_MINUTES, visit.role(), now)
                        .length();
                Instant opens = plan.time().from().minus(early);
                soonest = opens.isBefore(soonest) ? opens : soonest;
            }
        }
        if (lesson.quietSince().isEmpty() && lesson.aloneSince().isPresent()) {
            soonest = earlier(soonest, goesQuietAt(lesson.aloneSince().get()));
        }
        if (lesson.isOpen()) {
            // By the clock it is switched then; else it is proposed then, and whoever looks on is told.
            for (RunningOrder.Planned step : plan.order().over(plan.time())) {
                if (now.isBefore(step.time().from())) {
                    soonest = earlier(soonest, step.time().from());
                }
            }
            soonest = plan.order().byTheClock() && dueStance().isPresent() ? now : soonest;
        }
        return soonest;
    }

    private static Instant earlier(Instant one, Instant other) {
        return one.isBefore(other) ? one : other;
    }

    /** How long pupils may be alone before the room goes quiet: a lost line is bridged, a step out is not possible. */
    private Instant goesQuietAt(Instant aloneSince) {
        return aloneSince.plus(
                liveRules().value(Catalogue.ALONE_MINUTES, Rule.ANSWERS, now).length());
    }

    /** Goes quiet without an adult, and is itself again as soon as one is there. */
    private List<LessonEvent> supervision() {
        if (lesson.quietSince().isEmpty()) {
            return lesson.aloneSince()
                    .filter(since -> !now.isBefore(goesQuietAt(since)))
                    .<List<LessonEvent>>map(since -> List.of(new LessonEvent.WentQuiet(since, now)))
                    .orElse(List.of());
        }
        return lesson.visits().stream()
                .filter(visit -> visit.isPresent() && visit.role().isAdultInCharge())
                .findFirst()
                .<List<LessonEvent>>map(visit ->
                        List.of(new LessonEvent.Supervised(visit.person().orElseThrow(), now)))
                .orElse(List.of());
    }

    /** Who was in charge here, or visited, and is neither any more, is out at once. */
    private List<LessonEvent> takenOff() {
        return lesson.visits().stream()
                .filter(visit ->
                        visit.goesOn() && visit.person().filter(plan::isFormer).isPresent())
                .<LessonEvent>map(visit ->
                        new LessonEvent.TakenOff(visit.id(), visit.person().orElseThrow(), now))
                .toList();
    }

    private List<LessonEvent> withConsequences(List<LessonEvent> events) {
        var all = new ArrayList<>(events);
        LessonState state = lesson.after(events);
        if (state.lastWord().isPresent() && at(state).aloneWithOne(state).isPresent()) {
            // The second adult was lost: what must not be is ended at once.
            all.add(new LessonEvent.Dismissed(PersonId.RULES, now));
            state = lesson.after(all);
        }
        if (state.isOver()) {
            if (!lesson.isOver()) {
                all.addAll(at(state).closing());
            }
            return all;
        }
        List<LessonEvent> takenOff = at(state).takenOff();
        all.addAll(takenOff);
        state = state.after(takenOff);
        List<LessonEvent> supervision = at(state).supervision();
        all.addAll(supervision);
        state = state.after(supervision);
        boolean byTheClock =
                lesson.waiting().stream().anyMatch(visit -> visit.verdict().has(ReasonCode.TOO_EARLY));
        if (byTheClock || all.stream().anyMatch(LessonEvent::changesTheDoorway)) {
            for (Visit visit : state.waiting()) {
                var next = at(state).judgedAgain(visit);
                all.addAll(next);
                state = state.after(next);
            }
        }
        all.addAll(at(state).switchedOffByTheRules());
        return all;
    }

    /** The closing steps, so that nobody has to think of them (need K2). */
    private List<LessonEvent> closing() {
        var steps = new ArrayList<LessonEvent>();
        Choice renewal = liveRules().value(Catalogue.LINK_RENEWAL, Rule.ANSWERS, now);
        if (plan.sequel().endsTheLink(renewal, plan.time())) {
            steps.add(new LessonEvent.Closed(ClosingStep.LINK_RETIRED, 1, now));
        }
        steps.add(new LessonEvent.Closed(ClosingStep.CHAT_KEPT, lesson.words().size(), now));
        steps.add(new LessonEvent.Closed(ClosingStep.BOARD_KEPT, lesson.board().size(), now));
        int wereIn = (int) plan.classList().stream()
                .filter(one -> one.role() != Role.VISITOR && lesson.wasIn(one.person()))
                .count();
        steps.add(new LessonEvent.Closed(ClosingStep.REGISTER_DRAFTED, wereIn, now));
        return steps;
    }

    private Authority who() {
        return new Authority(plan, lesson, rules, now);
    }

    private LessonRules at(LessonState state) {
        return new LessonRules(plan, state, rules, now);
    }

    private List<LessonEvent> judgedAgain(Visit visit) {
        Judgement judged = Entry.judge(visit.arrival(), lesson.doorway(plan, rules), now);
        if (judged.verdict().equals(visit.verdict())) {
            return List.of();
        }
        var events = new ArrayList<LessonEvent>();
        events.add(new LessonEvent.Judged(visit.id(), judged.verdict(), now));
        if (judged.verdict().outcome() == Outcome.ADMIT) {
            events.addAll(admission(visit.id(), judged.person().orElseThrow(), PersonId.RULES));
        }
        return events;
    }

    private List<LessonEvent> switchedOffByTheRules() {
        var events = new ArrayList<LessonEvent>();
        for (PersonId person : lesson.withSomethingOn()) {
            for (Appliance what : lesson.on(person)) {
                if (mayHaveOn(person, what).isPresent()) {
                    events.add(new LessonEvent.TurnedOff(person, what, PersonId.RULES, now));
                }
            }
        }
        return events;
    }

    private List<LessonEvent> admission(VisitId visit, PersonId person, PersonId by) {
        Role role = plan.roleOf(person);
        var admitted = new LessonEvent.Admitted(visit, person, role, by, now);
        boolean muted = liveRules().value(Catalogue.ARRIVE_MUTED, role, now) == YesNo.YES;
        return muted || who().right(person, Catalogue.SPEAK).isPresent()
                ? List.of(admitted)
                : List.of(admitted, new LessonEvent.TurnedOn(person, Appliance.MICROPHONE, now));
    }

    /** Removed people whom this arrival may be: the one it is let in as, and any who used its device. */
    private List<PersonId> removedBehind(Visit visit, PersonId as) {
        return plan.members().stream()
                .map(Member::person)
                .filter(person -> lesson.removal(person)
                        .filter(removal -> person.equals(as)
                                || removal.devices().contains(visit.arrival().device()))
                        .isPresent())
                .toList();
    }

    private Optional<Decision> mayWrite(PersonId from, Readers to) {
        if (who().isAdult(from)) {
            return Optional.empty();
        }
        if (who().roleOf(from) == Role.OBSERVER) {
            return Optional.of(Refusal.of(Code.NOT_AN_ADULT_HERE));
        }
        if (to.kind() == Readers.Kind.ADULTS) {
            return who().right(from, Catalogue.ADULT_CHAT);
        }
        if (to.kind() == Readers.Kind.CLASS) {
            return who().right(from, Catalogue.CLASS_CHAT);
        }
        PersonId reader = to.one().orElseThrow();
        if (who().isAdult(reader)) {
            return Optional.empty();
        }
        if (!lesson.isPresent(reader)) {
            return Optional.of(Refusal.of(Code.NOT_PRESENT, reader));
        }
        boolean isWithOutside = who().roleOf(from) == Role.VISITOR || who().roleOf(reader) == Role.VISITOR;
        return who().right(from, Catalogue.PRIVATE_CHAT)
                .or(() -> isWithOutside && !lesson.anAdultIsIn()
                        ? Optional.of(Refusal.of(Code.NO_ADULT_READS, reader))
                        : Optional.empty());
    }

    /** Nothing if this person is present and may do it, otherwise the refusal. */
    private Optional<Decision> acting(PersonId person, Rule<Permission> right) {
        if (!lesson.isPresent(person)) {
            return Optional.of(Refusal.of(lesson.isOver() ? Code.LESSON_OVER : Code.NOT_PRESENT, person));
        }
        return who().right(person, right);
    }

    private static boolean isWrongLength(Duration length) {
        return length.isNegative() || length.isZero() || length.compareTo(Limits.LOAN) > 0;
    }

    private Optional<Setting> loan(PersonId person, Rule<Permission> right) {
        return lesson.loans(person).stream()
                .filter(one -> one.set().rule().equals(right))
                .findFirst();
    }

    private Rulebook rulesFor(PersonId person) {
        return lesson.rulesFor(person, rules);
    }

    /** The rules of the class with this lesson's live orders. */
    private Rulebook liveRules() {
        return lesson.rules(rules);
    }

    private long adultsWithout(VisitId visit) {
        return lesson.visits().stream()
                .filter(one -> one.isPresent()
                        && one.role().isAdultInCharge()
                        && !one.id().equals(visit))
                .count();
    }

    private boolean pupilsAreIn() {
        return lesson.visits().stream()
                .anyMatch(one -> one.isPresent() && !one.role().isAdultInCharge() && one.role() != Role.OBSERVER);
    }

    private Decision waiting(VisitId id, Function<Visit, Decision> decision) {
        Optional<Visit> visit = lesson.visit(id);
        if (visit.isEmpty()) {
            return Refusal.of(Code.NO_SUCH_VISIT);
        }
        return visit.get().isWaiting()
                ? decision.apply(visit.get())
                : Refusal.of(Code.NOT_WAITING, visit.get().person().stream().toArray(PersonId[]::new));
    }

    private Decision present(VisitId id, Function<PersonId, Decision> decision) {
        Optional<Visit> visit = lesson.visit(id).filter(one -> one.status() == Visit.Status.IN);
        if (visit.isEmpty()) {
            return Refusal.of(lesson.isOver() ? Code.LESSON_OVER : Code.NOT_PRESENT);
        }
        Decision decided = decision.apply(visit.get().person().orElseThrow());
        if (visit.get().connected()) {
            return decided;
        }
        // Who acts is heard of again, even if the own line has not come back yet.
        return decided.either(
                events -> {
                    var all = new ArrayList<LessonEvent>();
                    all.add(new LessonEvent.CameBack(id, now));
                    all.addAll(events);
                    return new Decision.Done(all);
                },
                Decision.Refused::new);
    }
}
