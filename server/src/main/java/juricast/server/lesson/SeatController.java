package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import juricast.core.board.BoardOrder;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Arrival;
import juricast.core.identity.DeviceId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.identity.VisitId;
import juricast.core.limits.Limits;
import juricast.core.live.Visit;
import juricast.core.live.WhoIsThere;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsOrder;
import juricast.core.time.Span;
import juricast.server.access.Cookies;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.Sessions;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.JoinLinks;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import juricast.server.words.HouseRules;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** What arrivals and pupils do. A visit belongs to the device that knocked: nobody else can see it or act for it. */
@RestController
@RequestMapping("/api")
class SeatController {
    /** How long before its planned start a lesson is the one that a link leads to. */
    private static final Duration LINK_LEADS_FROM = Duration.ofMinutes(60);

    private static final Duration LINK_LEADS_UNTIL = Duration.ofMinutes(30);
    private static final Duration LOOK_AHEAD = Duration.ofDays(21);

    private final LiveLessons lessons;
    private final Viewers viewers;
    private final SeatJson seats;
    private final SeatOrders orders;
    private final RuleWords words;
    private final Classes classes;
    private final JoinLinks links;
    private final HouseRules houseRules;
    private final KnockLimits limits;
    private final Sessions sessions;

    SeatController(
            LiveLessons lessons,
            Viewers viewers,
            SeatJson seats,
            SeatOrders orders,
            RuleWords words,
            Classes classes,
            JoinLinks links,
            HouseRules houseRules,
            KnockLimits limits,
            Sessions sessions) {
        this.lessons = lessons;
        this.viewers = viewers;
        this.seats = seats;
        this.orders = orders;
        this.words = words;
        this.classes = classes;
        this.links = links;
        this.houseRules = houseRules;
        this.limits = limits;
        this.sessions = sessions;
    }

    /**
     * What a link leads to, before anyone knocks: the least that is needed. @param lesson none if no lesson is near
     *
     * @param kind whom the link is for
     * @param desk where an adult in charge of the lesson goes instead of knocking
     * @param next when the next lesson is, if none is near
     * @param needsWord whether the join word is asked for; not of those who are signed in and on the list
     */
    record Doorstep(
            JoinLinks.Kind kind,
            @Nullable String desk,
            String title,
            List<String> adults,
            @Nullable String lesson,
            @Nullable Instant starts,
            @Nullable Instant ends,
            @Nullable Instant next,
            boolean needsWord,
            @Nullable String name,
            @Nullable String visit,
            List<String> houseRules) {}

    /** @param agreed whether the house rules were read and agreed to */
    record KnockRequest(String name, @Nullable String word, @Nullable Boolean agreed) {}

    record Knocked(String visit) {}

    record SaySeatRequest(Readers.Kind to, @Nullable String person, String text) {}

    record NameRequest(String name) {}

    @GetMapping("/doorsteps/{token}")
    @For(anyone = true)
    Doorstep doorstep(
            @PathVariable String token,
            @AuthenticationPrincipal @Nullable SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        JoinLinks.Led led = led(token);
        Classes.SchoolClass found = led.ofClass();
        DeviceId device = Cookies.deviceOrNew(request, response);
        List<Classes.Planned> near = near(led);
        Optional<Classes.Planned> lesson = current(near);
        boolean isMember = caller != null && isListed(found, caller.person());
        Optional<String> visit = lesson.flatMap(
                        one -> lessons.look(one.id()).state().of(DOOR).visitOf(device))
                .filter(one -> SeatOrders.isOf(one, device, Optional.ofNullable(caller)))
                .map(one -> one.id().value());
        return new Doorstep(
                led.kind(),
                lesson.filter(one -> caller != null && classes.isInCharge(caller.person(), one, lessons.now()))
                        .map(one -> "/lessons/" + one.id().value() + "/desk")
                        .orElse(null),
                found.title(),
                classes.members(found.id(), lessons.now()).stream()
                        .filter(one -> one.role().isAdultInCharge())
                        .map(Member::name)
                        .toList(),
                lesson.map(one -> one.id().value()).orElse(null),
                lesson.map(one -> one.time().from()).orElse(null),
                lesson.map(one -> one.time().until()).orElse(null),
                near.stream()
                        // One that was dismissed before its time is over, and not the next.
                        .filter(one -> one.time().from().isAfter(lessons.now()) && !is(one, WhoIsThere::isOver))
                        .map(one -> one.time().from())
                        .findFirst()
                        .orElse(null),
                !isMember && led.kind() == JoinLinks.Kind.PUPILS,
                led.invited()
                        .map(one -> one.visitor().name())
                        .orElse(caller == null || caller.position() != Position.PUPIL ? null : caller.name()),
                visit.orElse(null),
                lesson.map(one -> houseRules.of(
                                lessons.look(one.id()).rules().book(),
                                one.time().from()))
                        .orElse(List.of()));
    }

    /** Knocks. The answer is a visit; what becomes of it comes on its stream. */
    @PostMapping("/doorsteps/{token}/knock")
    @For(anyone = true)
    Knocked knock(
            @PathVariable String token,
            @RequestBody KnockRequest wanted,
            @AuthenticationPrincipal @Nullable SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        JoinLinks.Led led = led(token);
        Classes.SchoolClass found = led.ofClass();
        DeviceId device = Cookies.deviceOrNew(request, response);
        boolean isVisitor = led.kind() == JoinLinks.Kind.VISITOR;
        boolean isMember = !isVisitor && caller != null && isListed(found, caller.person());
        if (led.kind() == JoinLinks.Kind.STAFF) {
            throw Problem.refused(
                    "for-staff",
                    "This link is for the adults of the class",
                    "You have not knocked.",
                    "Sign in; it then leads to the desk. Pupils use the link in their joining note.");
        }
        String name = led.invited().map(one -> one.visitor().name()).orElseGet(() -> nameOf(wanted, caller, isMember));
        KnockLimits.Comer comer = limits.comer(
                found, device, request.getRemoteAddr(), isMember ? Optional.of(caller.person()) : Optional.empty());
        // A visitor's own link of 128 bits names who comes; a word that whole classes know adds nothing to it.
        if (!isMember && !isVisitor && !limits.isRight(comer, wanted.word == null ? "" : wanted.word)) {
            throw Problem.refused(
                    "wrong-word",
                    "That is not the join word of this class",
                    "You have not knocked yet. Your name is still here.",
                    "Look at your joining note again: two words and a number, such as amber-kelp-47.");
        }
        if (!Boolean.TRUE.equals(wanted.agreed)) {
            throw Problem.refused(
                    "house-rules",
                    "Please read the house rules first",
                    "You have not knocked yet. Your name is still here.",
                    "Tick that you have read them and keep to them.");
        }
        Classes.Planned lesson = current(near(led))
                .orElseThrow(() -> Problem.refused(
                        "no-lesson-now",
                        "There is no lesson now",
                        "Nobody is there to let you in.",
                        "Come back shortly before your lesson begins."));
        Arrival arrival = arrival(new VisitId(Ids.next()), device, name, led, isMember ? caller : null);
        Optional<Visit> before = lessons.look(lesson.id())
                .state()
                .of(DOOR)
                .visitOf(device)
                .filter(visit -> !visit.isWaiting() && isOfSame(visit.arrival(), arrival));
        if (before.isPresent()) {
            return new Knocked(before.get().id().value());
        }
        limits.takeKnock(comer);
        // Whoever used this device before them is out of the lesson by this knock.
        orders.carryOut(lesson.id(), new DoorOrder.Knock(arrival));
        return new Knocked(arrival.visit().value());
    }

    /** Whether the same person comes again: by the account, or by the name where there is none. */
    private static boolean isOfSame(Arrival before, Arrival now) {
        return before.account().equals(now.account())
                && (now.account().isPresent() || before.claimedName().equalsIgnoreCase(now.claimedName()));
    }

    private static Arrival arrival(
            VisitId visit, DeviceId device, String name, JoinLinks.Led led, @Nullable SignedIn member) {
        // An own link that counts no more names nobody.
        Optional<PersonId> who = led.invited()
                .filter(one -> led.current())
                .map(one -> one.visitor().person())
                .or(() -> Optional.ofNullable(member).map(SignedIn::person));
        Arrival.Link link = !led.current()
                ? Arrival.Link.RETIRED
                : led.kind() == JoinLinks.Kind.VISITOR ? Arrival.Link.OWN : Arrival.Link.CURRENT;
        return new Arrival(visit, device, name, who, link, true);
    }

    @GetMapping("/seats/{visit}")
    @For(anyone = true)
    SeatJson.Seat seat(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        return seats.of(lessons.look(mine.lesson()), mine.visit(), lessons.now());
    }

    @GetMapping(path = "/seats/{visit}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @For(anyone = true)
    void stream(
            @PathVariable String visit,
            @RequestHeader(name = "Last-Event-ID", defaultValue = "0") int last,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        SeatOrders.Mine mine = orders.mine(visit, request);
        viewers.open(
                mine.lesson(),
                visit,
                Viewer.Audience.SEAT,
                state -> state.of(DOOR).visit(mine.visit()).stream().toList(),
                last,
                after -> seats.shown(lessons.look(mine.lesson()), mine.visit(), after, lessons.now()),
                mine.goesOn(sessions),
                new EventLine(request, response));
    }

    @PostMapping("/seats/{visit}/on/{what}")
    @For(anyone = true)
    SeatJson.Seat turnOn(@PathVariable String visit, @PathVariable Appliance what, HttpServletRequest request) {
        return orders.order(orders.mine(visit, request), new RightsOrder.TurnOn(new VisitId(visit), what));
    }

    @PostMapping("/seats/{visit}/off/{what}")
    @For(anyone = true)
    SeatJson.Seat turnOff(@PathVariable String visit, @PathVariable Appliance what, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        PersonId me = mine.person();
        return orders.order(mine, new RightsOrder.TurnOff(me, what, me));
    }

    @PutMapping("/seats/{visit}/hand")
    @For(anyone = true)
    SeatJson.Seat raiseHand(@PathVariable String visit, HttpServletRequest request) {
        return orders.order(orders.mine(visit, request), new SignalsOrder.RaiseHand(new VisitId(visit)));
    }

    @DeleteMapping("/seats/{visit}/hand")
    @For(anyone = true)
    SeatJson.Seat lowerHand(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        PersonId me = mine.person();
        return orders.order(mine, new SignalsOrder.LowerHand(me, me));
    }

    @PostMapping("/seats/{visit}/words")
    @For(anyone = true)
    SeatJson.Seat say(@PathVariable String visit, @RequestBody SaySeatRequest said, HttpServletRequest request) {
        Readers to = LessonController.readers(said.to, said.person);
        return orders.order(
                orders.mine(visit, request),
                new ChatOrder.Say(new VisitId(visit), to, said.text == null ? "" : said.text));
    }

    @PutMapping("/seats/{visit}/name")
    @For(anyone = true)
    SeatJson.Seat rename(@PathVariable String visit, @RequestBody NameRequest wanted, HttpServletRequest request) {
        return orders.order(
                orders.mine(visit, request),
                new DoorOrder.Rename(new VisitId(visit), wanted.name == null ? "" : wanted.name));
    }

    @PostMapping("/seats/{visit}/leave")
    @For(anyone = true)
    SeatJson.Seat leave(@PathVariable String visit, HttpServletRequest request) {
        return orders.order(orders.mine(visit, request), new DoorOrder.Leave(new VisitId(visit)));
    }

    @PutMapping("/seats/{visit}/sign/{sign}")
    @For(anyone = true)
    SeatJson.Seat showSign(@PathVariable String visit, @PathVariable Sign sign, HttpServletRequest request) {
        return orders.order(
                orders.mine(visit, request), new SignalsOrder.ShowSign(new VisitId(visit), Optional.of(sign)));
    }

    @DeleteMapping("/seats/{visit}/sign")
    @For(anyone = true)
    SeatJson.Seat takeSignBack(@PathVariable String visit, HttpServletRequest request) {
        return orders.order(
                orders.mine(visit, request), new SignalsOrder.ShowSign(new VisitId(visit), Optional.empty()));
    }

    /** The board, for those who are in. */
    @GetMapping("/seats/{visit}/board")
    @For(anyone = true)
    TeachingController.Board board(@PathVariable String visit, HttpServletRequest request) {
        return boardOf(orders.mine(visit, request));
    }

    @PostMapping("/seats/{visit}/board/lines")
    @For(anyone = true)
    TeachingController.Board draw(
            @PathVariable String visit, @RequestBody TeachingController.LineRequest drawn, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        orders.carryOut(mine.lesson(), new BoardOrder.Draw(mine.visit(), TeachingController.line(drawn)));
        return boardOf(mine);
    }

    /** Wipes one's own marks. */
    @DeleteMapping("/seats/{visit}/board")
    @For(anyone = true)
    TeachingController.Board wipe(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        PersonId me = mine.person();
        orders.carryOut(mine.lesson(), new BoardOrder.Wipe(Optional.of(me), me));
        return boardOf(mine);
    }

    private TeachingController.Board boardOf(SeatOrders.Mine mine) {
        if (mine.now().status() != Visit.Status.IN) {
            throw Problem.notThere("Your seat");
        }
        return TeachingController.board(lessons.look(mine.lesson()), mine.person());
    }

    /** Why one of one's own rights is as it is, in a pupil's words. */
    @GetMapping("/seats/{visit}/why/{rule}")
    @For(anyone = true)
    RuleWords.Why why(@PathVariable String visit, @PathVariable String rule, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        Snapshot live = lessons.look(mine.lesson());
        PersonId me = mine.person();
        Rule<?> asked = Catalogue.rightByKey(rule).orElseThrow(() -> Problem.notThere("This rule"));
        return words.forPupils(live.live().of(me), asked, live.plan().roleOf(me), lessons.now());
    }

    private JoinLinks.Led led(String token) {
        return links.read(token)
                // Who comes with an old link of pupils or visitors is told at the door; staff need no door to be told
                // at.
                .filter(led -> led.current() || led.kind() != JoinLinks.Kind.STAFF)
                .orElseThrow(() -> Problem.refused(
                        "unknown-link",
                        "This link leads nowhere",
                        "A letter may be missing, or it is not a link of this school.",
                        "Open the link in your joining note again, or ask your teacher for it."));
    }

    private boolean isListed(Classes.SchoolClass found, PersonId person) {
        return classes.members(found.id(), lessons.now()).stream()
                .anyMatch(one -> one.person().equals(person) && !one.role().isAdultInCharge());
    }

    private static String nameOf(KnockRequest wanted, @Nullable SignedIn caller, boolean isMember) {
        if (isMember && caller != null) {
            return caller.name();
        }
        String name = wanted.name.length() > 4 * Limits.NAME ? "" : PlainName.of(wanted.name);
        if (name.isEmpty() || name.length() > Limits.NAME) {
            throw Problem.notReadable(
                    "Please give your name",
                    "You have not knocked yet.",
                    "First and last name, up to " + Limits.NAME + " characters.",
                    List.of(new Problem.Wrong("name", "1 to " + Limits.NAME + " characters")));
        }
        return name;
    }

    /** The lessons that a link may lead to: those of the class, or the one to which a visitor is invited. */
    private List<Classes.Planned> near(JoinLinks.Led led) {
        Instant now = lessons.now();
        var window = new Span(now.minus(Duration.ofHours(12)), now.plus(LOOK_AHEAD));
        return classes.lessonsOf(led.ofClass().id(), window).stream()
                .filter(one -> led.kind() != JoinLinks.Kind.VISITOR
                        || led.invited()
                                .filter(invited -> invited.lesson().equals(one.id()))
                                .isPresent())
                .toList();
    }

    /** The lesson that a link leads to now: one that is open goes first, then one whose time is near. */
    private Optional<Classes.Planned> current(List<Classes.Planned> near) {
        Instant now = lessons.now();
        return near.stream()
                .filter(one -> is(one, WhoIsThere::isOpen))
                .findFirst()
                .or(() -> near.stream()
                        .filter(one -> !now.isBefore(one.time().from().minus(LINK_LEADS_FROM))
                                && now.isBefore(one.time().until().plus(LINK_LEADS_UNTIL))
                                && !is(one, WhoIsThere::isOver))
                        .findFirst());
    }

    /** Of a lesson whose record is damaged nothing is so; it is said when it is the one that is wanted. */
    private boolean is(Classes.Planned lesson, Predicate<WhoIsThere> so) {
        return lessons.lookIfReadable(lesson.id())
                .map(seen -> seen.state().there())
                .filter(so)
                .isPresent();
    }
}
