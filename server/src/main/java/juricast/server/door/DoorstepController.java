package juricast.server.door;

import static juricast.core.door.DoorPart.DOOR;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import juricast.core.consent.Consent;
import juricast.core.consent.Standing;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Arrival;
import juricast.core.entry.Doorstep;
import juricast.core.identity.DeviceId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.identity.VisitId;
import juricast.core.limits.Limits;
import juricast.core.live.WhoIsThere;
import juricast.core.recording.RecordingRules;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import juricast.server.access.Cookies;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.JoinLinks;
import juricast.server.consent.KeptConsents;
import juricast.server.data.Ids;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.SeatOrders;
import juricast.server.notices.NoticesJson;
import juricast.server.outside.OutsideAccounts;
import juricast.server.words.HouseRules;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a link leads to, and knocking. What is asked of whom, in which order, is decided in {@link Doorstep}. */
@RestController
@RequestMapping("/api/doorsteps/{token}")
class DoorstepController {
    private static final Duration LOOK_BACK = Duration.ofHours(12);
    private static final Duration LOOK_AHEAD = Duration.ofDays(21);
    private static final Pattern NUMBER = Pattern.compile("\\+?[0-9][0-9 ]{3,20}[0-9]");

    private final LiveLessons lessons;
    private final SeatOrders orders;
    private final Classes classes;
    private final JoinLinks links;
    private final HouseRules houseRules;
    private final KeptConsents consents;
    private final KnockLimits limits;
    private final OutsideAccounts accounts;
    private final DoorstepWords words;

    DoorstepController(
            LiveLessons lessons,
            SeatOrders orders,
            Classes classes,
            JoinLinks links,
            HouseRules houseRules,
            KeptConsents consents,
            KnockLimits limits,
            OutsideAccounts accounts,
            DoorstepWords words) {
        this.words = words;
        this.lessons = lessons;
        this.orders = orders;
        this.classes = classes;
        this.links = links;
        this.houseRules = houseRules;
        this.consents = consents;
        this.limits = limits;
        this.accounts = accounts;
    }

    /**
     * What a link leads to, before anyone knocks: the least that is needed.
     *
     * @param kind whom the link is for
     * @param desk where an adult in charge of the lesson goes instead of knocking
     * @param lesson none if no lesson is near
     * @param next when the next lesson is, if none is near
     * @param recording whether the lesson is, or may be, recorded, as the rules have it
     * @param welcome how who arrives is greeted
     * @param asksConsent whether a visitor is asked who has not said yet if they may be recorded
     * @param needsWord whether the join word is asked for; not of those who are signed in and on the list
     */
    record DoorstepPage(
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
            RecordingRules.Mode recording,
            boolean asksConsent,
            List<String> houseRules,
            NoticesJson.@Nullable NoticeLine welcome) {}

    /**
     * @param agreed whether the house rules were read and agreed to
     * @param mayBeRecorded what a visitor says who was asked; nothing of those who were not
     * @param outsideTicket of who is signed in at another place
     */
    record KnockRequest(
            String name,
            @Nullable String word,
            @Nullable Boolean agreed,
            @Nullable Boolean mayBeRecorded,
            @Nullable String outsideTicket) {}

    /** @param agreed whether the caller has heard the house rules and agreed to them */
    record RingRequest(String number, @Nullable Boolean agreed) {}

    record Knocked(String visit) {}

    /** What stands at the door of a link, before anybody has knocked. */
    @GetMapping
    @For(anyone = true)
    DoorstepPage doorstep(
            @PathVariable String token,
            @AuthenticationPrincipal @Nullable SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        JoinLinks.Led led = led(token);
        Classes.SchoolClass found = led.ofClass();
        DeviceId device = Cookies.deviceOrNew(request, response);
        List<Classes.Planned> near = near(led);
        Optional<Classes.Planned> lesson = current(near);
        Optional<String> visit = lesson.flatMap(
                        one -> lessons.look(one.id()).state().of(DOOR).visitOf(device))
                .filter(one -> SeatOrders.isOf(one, device, Optional.ofNullable(caller)))
                .map(one -> one.id().value());
        return new DoorstepPage(
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
                next(near).orElse(null),
                Doorstep.Comer.needsWord(link(led), member(found, caller).isPresent()),
                led.invited()
                        .map(one -> one.visitor().name())
                        .orElse(caller == null || caller.position() != Position.PUPIL ? null : caller.name()),
                visit.orElse(null),
                mode(lesson),
                led.invited()
                                .filter(invited ->
                                        consents.all().of(invited.visitor().person(), lessons.now())
                                                == Standing.UNKNOWN)
                                .isPresent()
                        && mode(lesson) != RecordingRules.Mode.FORBIDDEN,
                lesson.map(one -> houseRules.of(
                                lessons.look(one.id()).rules().book(),
                                one.time().from()))
                        .orElse(List.of()),
                lesson.map(one -> NoticesJson.of(lessons.look(one.id())).welcome())
                        .orElse(null));
    }

    /** Where no lesson is near, nothing is recorded. */
    private RecordingRules.Mode mode(Optional<Classes.Planned> lesson) {
        return lesson.map(one -> RecordingRules.mode(lessons.look(one.id())
                        .rules()
                        .value(
                                Catalogue.RECORDING_MODE,
                                Rule.ANSWERS,
                                one.time().from())))
                .orElse(RecordingRules.Mode.FORBIDDEN);
    }

    /** Knocks. The answer is a visit; what becomes of it comes on its stream. */
    @PostMapping("/knock")
    @For(anyone = true)
    Knocked knock(
            @PathVariable String token,
            @RequestBody KnockRequest wanted,
            @AuthenticationPrincipal @Nullable SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        return knock(token, wanted, outside(wanted), caller, request, response);
    }

    /** Calls by telephone, which is only simulated: a number, and no name. */
    @PostMapping("/ring")
    @For(anyone = true)
    Knocked ring(
            @PathVariable String token,
            @RequestBody RingRequest wanted,
            HttpServletRequest request,
            HttpServletResponse response) {
        String number = String.valueOf(wanted.number).strip();
        if (!NUMBER.matcher(number).matches()) {
            throw words.noNumber();
        }
        var asKnock = new KnockRequest(number, null, wanted.agreed, null, null);
        var outside = new Arrival.Outside(Arrival.Way.TELEPHONE, number.replace(" ", ""));
        return knock(token, asKnock, Optional.of(outside), null, request, response);
    }

    private Optional<Arrival.Outside> outside(KnockRequest wanted) {
        if (wanted.outsideTicket == null || wanted.outsideTicket.isEmpty()) {
            return Optional.empty();
        }
        String address = accounts.address(wanted.outsideTicket).orElseThrow(() -> words.refused("outside-ticket-over"));
        return Optional.of(new Arrival.Outside(Arrival.Way.ACCOUNT, address));
    }

    private Knocked knock(
            String token,
            KnockRequest wanted,
            Optional<Arrival.Outside> outside,
            @Nullable SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        JoinLinks.Led led = led(token);
        DeviceId device = Cookies.deviceOrNew(request, response);
        Optional<PersonId> member =
                led.kind() == JoinLinks.Kind.VISITOR ? Optional.empty() : member(led.ofClass(), caller);
        String word = wanted.word == null ? "" : wanted.word;
        KnockLimits.Comer counted = limits.comer(led.ofClass(), device, request.getRemoteAddr(), member);
        Optional<Classes.Planned> lesson = current(near(led));
        Doorstep.Answer answer = Doorstep.knock(
                new Doorstep.Comer(
                        link(led),
                        led.current(),
                        member,
                        led.invited().map(one -> one.visitor().person()),
                        name(wanted, led, member.isPresent() ? caller : null),
                        word,
                        Boolean.TRUE.equals(wanted.agreed),
                        outside,
                        device),
                lesson.isPresent(),
                lesson.flatMap(one -> before(one, device)),
                new VisitId(Ids.next()),
                new Doorstep.Counted(() -> limits.isRight(counted, word), () -> limits.takeKnock(counted)));
        answer.refusal().ifPresent(why -> {
            throw words.problem(why);
        });
        noteConsent(led, wanted);
        // Whoever used this device before them is out of the lesson by this knock.
        answer.knocks().ifPresent(arrival -> orders.order(lesson.orElseThrow().id(), new DoorOrder.Knock(arrival)));
        return new Knocked(answer.again()
                .or(() -> answer.knocks().map(one -> one.visit()))
                .map(VisitId::value)
                .orElseThrow());
    }

    /** A visitor's own word, given at the door; it counts for this visitor and from now on. */
    private void noteConsent(JoinLinks.Led led, KnockRequest wanted) {
        Boolean may = wanted.mayBeRecorded;
        if (may == null || led.invited().isEmpty()) {
            return;
        }
        PersonId visitor = led.invited().get().visitor().person();
        Instant now = lessons.now();
        consents.note(
                List.of(new Consent(
                        visitor,
                        may ? Consent.Said.GIVEN : Consent.Said.REFUSED,
                        Consent.Giver.VISITOR,
                        "at the door",
                        now,
                        Setting.FOR_EVER,
                        now)),
                visitor);
    }

    private Optional<Doorstep.Before> before(Classes.Planned lesson, DeviceId device) {
        return lessons.look(lesson.id())
                .state()
                .of(DOOR)
                .visitOf(device)
                .filter(visit -> !visit.isWaiting())
                .map(visit -> new Doorstep.Before(visit.id(), visit.arrival()));
    }

    private static Doorstep.Link link(JoinLinks.Led led) {
        return switch (led.kind()) {
            case PUPILS -> Doorstep.Link.PUPILS;
            case VISITOR -> Doorstep.Link.VISITOR;
            case STAFF -> Doorstep.Link.STAFF;
        };
    }

    private JoinLinks.Led led(String token) {
        return links.read(token)
                // Who comes with an old link of pupils or visitors is told at the door; staff need no door to be told
                // at.
                .filter(led -> led.current() || led.kind() != JoinLinks.Kind.STAFF)
                .orElseThrow(() -> words.refused("unknown-link"));
    }

    /** Who is signed in and comes in by the door of this class. */
    private Optional<PersonId> member(Classes.SchoolClass found, @Nullable SignedIn caller) {
        return Optional.ofNullable(caller)
                .map(SignedIn::person)
                .filter(person -> classes.members(found.id(), lessons.now()).stream()
                        .anyMatch(one ->
                                one.person().equals(person) && !one.role().isAdultInCharge()));
    }

    /** Empty where what they say is no name. */
    private static String name(KnockRequest wanted, JoinLinks.Led led, @Nullable SignedIn member) {
        if (led.invited().isPresent()) {
            return led.invited().get().visitor().name();
        }
        if (member != null) {
            return member.name();
        }
        String name = wanted.name.length() > 4 * Limits.NAME ? "" : PlainName.of(wanted.name);
        return name.length() > Limits.NAME ? "" : name;
    }

    /** The lessons that a link may lead to: those of the class, or the one to which a visitor is invited. */
    private List<Classes.Planned> near(JoinLinks.Led led) {
        Instant now = lessons.now();
        var window = new Span(now.minus(LOOK_BACK), now.plus(LOOK_AHEAD));
        return classes.lessonsOf(led.ofClass().id(), window).stream()
                .filter(one -> led.kind() != JoinLinks.Kind.VISITOR
                        || led.invited()
                                .filter(invited -> invited.lesson().equals(one.id()))
                                .isPresent())
                .toList();
    }

    private Optional<Classes.Planned> current(List<Classes.Planned> near) {
        return Doorstep.leadsTo(near.stream().map(this::near).toList(), lessons.now())
                .flatMap(lesson ->
                        near.stream().filter(one -> one.id().equals(lesson)).findFirst());
    }

    /** When the next begins: one that was dismissed before its time is over, and not the next. */
    private Optional<Instant> next(List<Classes.Planned> near) {
        return near.stream()
                .filter(one -> one.time().from().isAfter(lessons.now()))
                .filter(one -> !near(one).isOver())
                .map(one -> one.time().from())
                .findFirst();
    }

    /** Of a lesson whose record is damaged nothing is so; it is said when it is the one that is wanted. */
    private Doorstep.Near near(Classes.Planned lesson) {
        Optional<WhoIsThere> there =
                lessons.lookIfReadable(lesson.id()).map(seen -> seen.state().there());
        return new Doorstep.Near(
                lesson.id(),
                lesson.time(),
                there.filter(WhoIsThere::isOpen).isPresent(),
                there.filter(WhoIsThere::isOver).isPresent());
    }
}
