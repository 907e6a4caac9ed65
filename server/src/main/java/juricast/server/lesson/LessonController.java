package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.Readers;
import juricast.core.door.DoorOrder;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.limits.Limits;
import juricast.core.live.Visit;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.signals.SignalsOrder;
import juricast.server.access.Cookies;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Sessions;
import juricast.server.access.SignedIn;
import juricast.server.classes.Planning;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** What adults do in a lesson. Each order answers with the desk as it is afterwards, or with why it was refused. */
@RestController
@RequestMapping("/api/lessons/{lesson}")
class LessonController {
    private final LiveLessons lessons;
    private final Viewers viewers;
    private final DeskOrders desk;
    private final RuleWords words;
    private final Planning planning;
    private final Sessions sessions;

    LessonController(
            LiveLessons lessons,
            Viewers viewers,
            DeskOrders desk,
            RuleWords words,
            Planning planning,
            Sessions sessions) {
        this.lessons = lessons;
        this.viewers = viewers;
        this.desk = desk;
        this.words = words;
        this.planning = planning;
        this.sessions = sessions;
    }

    /** Under whose name to let somebody in; none where the door knows who it is. */
    record AdmitRequest(@Nullable String as) {}

    /** @param note for the safeguarding lead: who it is, and why they are let in */
    record GuestRequest(String name, String note) {}

    record MuteRequest(boolean keepMuted) {}

    record SettingRequest(String rule, String value) {}

    record LoanRequest(String person, String rule, int minutes) {}

    record RemoveRequest(String why) {}

    /** @param person to whom, for one; none otherwise */
    record SayRequest(Readers.Kind to, @Nullable String person, String text) {}

    /** The lesson as this adult sees it; looking never opens it (need D1). */
    @GetMapping("/desk")
    @Noted("the desk")
    @For({TEACHER, LEAD})
    DeskJson.Desk desk(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.seen(desk.known(lesson, caller), caller, 0);
    }

    @GetMapping(path = "/desk/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @For({TEACHER, LEAD})
    void stream(
            @PathVariable String lesson,
            @RequestHeader(name = "Last-Event-ID", defaultValue = "0") int last,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        LessonId id = desk.known(lesson, caller);
        DeviceId device = Cookies.deviceOrNew(request, response);
        Viewer.Mine mine = state -> state.of(DOOR).visitsOf(caller.person()).stream()
                .filter(visit -> visit.arrival().device().equals(device)
                        && visit.person().equals(Optional.of(caller.person())))
                .toList();
        viewers.open(
                id,
                caller.session(),
                Viewer.Audience.DESK,
                mine,
                last,
                after -> desk.shown(id, caller, after),
                () -> sessions.named(caller.session()).isPresent() && desk.mayLook(id, caller.person()),
                new EventLine(request, response));
    }

    /** Opens the lesson and comes in. */
    @PostMapping("/open")
    @For({TEACHER, LEAD})
    DeskJson.Desk open(
            @PathVariable String lesson,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        desk.refuseCancelled(desk.known(lesson, caller));
        desk.order(lesson, caller, new DoorOrder.Open(caller.person()));
        return join(lesson, caller, request, response);
    }

    /** Comes in as an adult, to help or again. */
    @PostMapping("/join")
    @For({TEACHER, LEAD})
    DeskJson.Desk join(
            @PathVariable String lesson,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        LessonId id = desk.known(lesson, caller);
        DeviceId device = Cookies.deviceOrNew(request, response);
        Optional<Visit> before = lessons.look(id)
                .state()
                .of(DOOR)
                .visitOf(device)
                .filter(one -> one.person().equals(Optional.of(caller.person())));
        return before.isPresent()
                ? desk.order(lesson, caller, new DoorOrder.ComeBack(before.get().id()))
                : desk.order(lesson, caller, new DoorOrder.Join(new VisitId(Ids.next()), device, caller.person()));
    }

    @PostMapping("/leave")
    @For({TEACHER, LEAD})
    DeskJson.Desk leave(
            @PathVariable String lesson, @AuthenticationPrincipal SignedIn caller, HttpServletRequest request) {
        LessonId id = desk.known(lesson, caller);
        return Cookies.device(request)
                .flatMap(device -> lessons.look(id).state().of(DOOR).visitOf(device))
                .filter(one -> one.person().equals(Optional.of(caller.person())))
                .map(visit -> desk.order(lesson, caller, new DoorOrder.Leave(visit.id())))
                .orElseGet(() -> desk.seen(id, caller, 0));
    }

    @PostMapping("/visits/{visit}/admit")
    @For({TEACHER, LEAD})
    DeskJson.Desk admit(
            @PathVariable String lesson,
            @PathVariable String visit,
            @RequestBody AdmitRequest request,
            @AuthenticationPrincipal SignedIn caller) {
        Optional<PersonId> as = Optional.ofNullable(request.as).map(PersonId::new);
        return desk.order(lesson, caller, new DoorOrder.Admit(new VisitId(visit), as, caller.person()));
    }

    @PostMapping("/admit-all-listed")
    @For({TEACHER, LEAD})
    DeskJson.Desk admitAllListed(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new DoorOrder.AdmitAllListed(caller.person()));
    }

    @PostMapping("/visits/{visit}/turn-away")
    @For({TEACHER, LEAD})
    DeskJson.Desk turnAway(
            @PathVariable String lesson, @PathVariable String visit, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new DoorOrder.TurnAway(new VisitId(visit), caller.person()));
    }

    /** Gives passes to speak back that "mute all" has just ended. */
    @PostMapping("/mute-all/undo")
    @For({TEACHER, LEAD})
    DeskJson.Desk undoMuteAll(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.UndoMuteAll(caller.person()));
    }

    /** Lets in somebody on no list, as a guest of this lesson and of no other; the safeguarding lead is told the note. */
    @PostMapping("/visits/{visit}/admit-guest")
    @For({TEACHER, LEAD})
    DeskJson.Desk admitGuest(
            @PathVariable String lesson,
            @PathVariable String visit,
            @RequestBody GuestRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        String name = wanted.name.length() > Limits.MESSAGE ? "" : PlainName.of(wanted.name);
        if (name.isEmpty() || name.length() > Limits.NAME) {
            throw Problem.notReadable(
                    "Give the guest's name",
                    "Nobody was let in.",
                    "1 to %d characters.".formatted(Limits.NAME),
                    List.of(new Problem.Wrong("name", "1 to %d characters".formatted(Limits.NAME))));
        }
        PersonId guest = planning.inviteGuest(id, name);
        try {
            return desk.order(
                    lesson, caller, new DoorOrder.AdmitGuest(new VisitId(visit), guest, wanted.note, caller.person()));
        } catch (Problem refused) {
            planning.disinvite(id, guest);
            throw refused;
        }
    }

    @PostMapping("/mute-all")
    @For({TEACHER, LEAD})
    DeskJson.Desk muteAll(
            @PathVariable String lesson, @RequestBody MuteRequest request, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.MuteAll(request.keepMuted, caller.person()));
    }

    /** Switches something of a pupil off. There is no way to switch anything of somebody else's on. */
    @PostMapping("/people/{person}/off/{what}")
    @For({TEACHER, LEAD})
    DeskJson.Desk turnOff(
            @PathVariable String lesson,
            @PathVariable String person,
            @PathVariable Appliance what,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.TurnOff(new PersonId(person), what, caller.person()));
    }

    @PostMapping("/people/{person}/lower-hand")
    @For({TEACHER, LEAD})
    DeskJson.Desk lowerHand(
            @PathVariable String lesson, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new SignalsOrder.LowerHand(new PersonId(person), caller.person()));
    }

    /** The door or a right, for all pupils, while this lesson lasts. */
    @PutMapping("/live-setting")
    @For({TEACHER, LEAD})
    DeskJson.Desk setLive(
            @PathVariable String lesson,
            @RequestBody SettingRequest request,
            @AuthenticationPrincipal SignedIn caller) {
        RuleValue value = RuleValue.of(String.valueOf(request.rule), String.valueOf(request.value))
                .filter(one -> one.rule().equals(Catalogue.DOOR) || Catalogue.RIGHTS.contains(one.rule()))
                .orElseThrow(() -> Problem.notReadable(
                        "This cannot be set from the desk",
                        "“%s” cannot be “%s”. Nothing was changed.".formatted(request.rule, request.value),
                        "Choose one of the values shown.",
                        List.of()));
        return desk.order(lesson, caller, new RightsOrder.SetLive(value, caller.person()));
    }

    @PostMapping("/passes")
    @For({TEACHER, LEAD})
    DeskJson.Desk givePass(
            @PathVariable String lesson, @RequestBody LoanRequest request, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new RightsOrder.GivePass(
                        person(request.person), right(request.rule), minutes(request.minutes), caller.person()));
    }

    @PostMapping("/curbs")
    @For({TEACHER, LEAD})
    DeskJson.Desk giveCurb(
            @PathVariable String lesson, @RequestBody LoanRequest request, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(
                lesson,
                caller,
                new RightsOrder.GiveCurb(
                        person(request.person), right(request.rule), minutes(request.minutes), caller.person()));
    }

    @DeleteMapping("/people/{person}/loans/{rule}")
    @For({TEACHER, LEAD})
    DeskJson.Desk endLoan(
            @PathVariable String lesson,
            @PathVariable String person,
            @PathVariable String rule,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new RightsOrder.EndLoan(new PersonId(person), right(rule), caller.person()));
    }

    @PostMapping("/people/{person}/remove")
    @For({TEACHER, LEAD})
    DeskJson.Desk remove(
            @PathVariable String lesson,
            @PathVariable String person,
            @RequestBody RemoveRequest request,
            @AuthenticationPrincipal SignedIn caller) {
        String why = request.why == null ? "" : request.why;
        return desk.order(lesson, caller, new DoorOrder.Remove(new PersonId(person), why, caller.person()));
    }

    @PostMapping("/people/{person}/allow-back")
    @For({TEACHER, LEAD})
    DeskJson.Desk allowBack(
            @PathVariable String lesson, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new DoorOrder.AllowBack(new PersonId(person), caller.person()));
    }

    @PostMapping("/words")
    @For({TEACHER, LEAD})
    DeskJson.Desk say(
            @PathVariable String lesson, @RequestBody SayRequest request, @AuthenticationPrincipal SignedIn caller) {
        VisitId visit = desk.presence(desk.known(lesson, caller), caller);
        return desk.order(lesson, caller, new ChatOrder.Say(visit, readers(request.to, request.person), request.text));
    }

    @PostMapping("/dismiss")
    @For({TEACHER, LEAD})
    DeskJson.Desk dismiss(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new EndingOrder.Dismiss(caller.person()));
    }

    /** Why a right, or the door, is as it is. @param person one pupil; none for the whole class */
    @GetMapping("/why/{rule}")
    @For({TEACHER, LEAD})
    RuleWords.Why why(
            @PathVariable String lesson,
            @PathVariable String rule,
            @RequestParam(required = false) @Nullable String person,
            @AuthenticationPrincipal SignedIn caller) {
        Snapshot live = lessons.look(desk.known(lesson, caller));
        Rule<?> asked = Catalogue.byKey(rule).orElseThrow(() -> Problem.notThere("This rule"));
        if (person == null) {
            Role role = asked.roles().contains(Role.PUPIL)
                    ? Role.PUPIL
                    : asked.roles().iterator().next();
            return words.forAdults(live.live().all(), asked, role, lessons.now());
        }
        var pupil = live.plan().member(new PersonId(person)).orElseThrow(() -> Problem.notThere("This pupil"));
        return words.forAdults(live.live().of(pupil.person()), asked, pupil.role(), lessons.now());
    }

    static Readers readers(Readers.Kind kind, @Nullable String person) {
        return switch (kind) {
            case ONE -> Readers.only(person(person));
            case ADULTS -> Readers.ADULTS;
            case CLASS -> Readers.CLASS;
        };
    }

    private static PersonId person(@Nullable String id) {
        if (id == null || id.isBlank()) {
            throw Problem.notReadable("Nobody is named", "Nothing was changed.", "Choose a person.", List.of());
        }
        return new PersonId(id);
    }

    private static Rule<Permission> right(String key) {
        return Catalogue.rightByKey(String.valueOf(key)).orElseThrow(() -> Problem.notThere("This right"));
    }

    private static Duration minutes(int count) {
        return Duration.ofMinutes(count);
    }
}
