package juricast.server.room;

import static juricast.core.door.DoorPart.DOOR;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import juricast.core.identity.PersonId;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.server.access.For;
import juricast.server.access.Sessions;
import juricast.server.languages.Language;
import juricast.server.languages.Sentences;
import juricast.server.lesson.EventLine;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.SeatOrders;
import juricast.server.lesson.Snapshot;
import juricast.server.lesson.Viewer;
import juricast.server.lesson.Viewers;
import juricast.server.problems.Problem;
import juricast.server.words.RuleWords;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.*;

/** A live lesson for who is at its door or in it. A visit belongs to the device that knocked: nobody else can see it or act for it. */
@RestController
@RequestMapping("/api")
class SeatController {
    private final LiveLessons lessons;
    private final Viewers viewers;
    private final SeatJson seats;
    private final SeatOrders orders;
    private final RuleWords words;
    private final Sessions sessions;

    SeatController(
            LiveLessons lessons,
            Viewers viewers,
            SeatJson seats,
            SeatOrders orders,
            RuleWords words,
            Sessions sessions) {
        this.lessons = lessons;
        this.viewers = viewers;
        this.seats = seats;
        this.orders = orders;
        this.words = words;
        this.sessions = sessions;
    }

    /** A lesson as one's own seat sees it, whole. */
    @GetMapping("/seats/{visit}")
    @For(anyone = true)
    SeatJson.Seat seat(@PathVariable String visit, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        return seats.of(lessons.look(mine.lesson()), mine.visit(), lessons.now());
    }

    /** The same as it changes: a stream of events, the first of them the whole. */
    @GetMapping(path = "/seats/{visit}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @For(anyone = true)
    void stream(
            @PathVariable String visit,
            @RequestHeader(name = "Last-Event-ID", defaultValue = "0") int last,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        SeatOrders.Mine mine = orders.mine(visit, request);
        Language language = Sentences.spoken();
        viewers.open(
                mine.lesson(),
                visit,
                Viewer.Audience.SEAT,
                state -> state.of(DOOR).visit(mine.visit()).stream().toList(),
                last,
                after -> Sentences.speaking(
                        language, () -> seats.shown(lessons.look(mine.lesson()), mine.visit(), after, lessons.now())),
                mine.goesOn(sessions),
                new EventLine(request, response));
    }

    /** Why one of one's own rights is as it is, in a pupil's words. */
    @GetMapping("/seats/{visit}/why/{rule}")
    @For(anyone = true)
    RuleWords.Why why(@PathVariable String visit, @PathVariable String rule, HttpServletRequest request) {
        SeatOrders.Mine mine = orders.mine(visit, request);
        Snapshot live = lessons.look(mine.lesson());
        PersonId me = mine.person();
        Rule<?> asked = Catalogue.shownAtSeatByKey(rule).orElseThrow(() -> Problem.notThere("This rule"));
        return words.forPupils(live.live().of(me), asked, live.plan().roleOf(me), lessons.now());
    }
}
