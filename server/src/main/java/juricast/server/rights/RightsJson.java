package juricast.server.rights;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.audience.Company;
import juricast.core.audience.RightsDesk;
import juricast.core.audience.RightsSeat;
import juricast.core.audience.SharedRights;
import juricast.core.grouping.Prepared;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.PlaceId;
import juricast.core.live.RunningOrder;
import juricast.core.live.Stance;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsPart;
import juricast.core.rights.RightsRules;
import juricast.core.rights.RightsState;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.server.languages.Sentences;
import juricast.server.lesson.Snapshot;
import juricast.server.rules.Stances;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Rights on the wire. */
@Component
public class RightsJson {
    /** Which stances there are may be changed in between; what follows from the plan is worked out anew so often. */
    private static final Duration STANCES_KNOWN = Duration.ofMinutes(1);

    private final Stances stances;
    private final RuleWords words;

    RightsJson(Stances stances, RuleWords words) {
        this.stances = stances;
        this.words = words;
    }

    /**
     * What each may, what is on, and what the lesson as a whole is doing.
     *
     * @param pupils of each pupil, by id
     * @param helpers of each second adult who does not lead, by id: what they may do for who leads
     * @param help all rights to help, as columns
     * @param showing who shows something to everybody
     * @param seen what pupils see of each other
     * @param passedOn who passes the lesson on to people outside
     * @param mayShowAll whether the adults who lead may show a whole screen
     * @param mayPassOn whether the adults who lead may pass it on
     */
    public record DeskRights(
            List<Column> columns,
            Map<String, PupilRights> pupils,
            Map<String, List<Cell>> helpers,
            List<Column> help,
            int liveOrders,
            boolean light,
            @Nullable String showing,
            @Nullable String showingName,
            List<Column> seen,
            List<Classmate> passedOn,
            boolean mayShowAll,
            boolean mayPassOn) {}

    /** One right as a column. @param bound whether the charter or class binds it */
    /**
     * @param usualMinutes how long it is lent when nobody says for how long
     * @param until when what was ordered for the class is as before by itself
     */
    public record Column(
            String rule, String title, String value, boolean bound, int usualMinutes, @Nullable Instant until) {}

    /** @param cells what they may @param help what they help with now */
    public record PupilRights(
            boolean microphone, boolean camera, boolean screen, int timesSpoken, List<Cell> cells, List<Cell> help) {}

    /** A right of one person. @param loan pass, curb or none @param until when the pass or curb ends */
    public record Cell(String rule, String value, boolean bound, Loan loan, @Nullable Instant until) {}

    public enum Loan {
        NONE,
        PASS,
        CURB
    }

    /**
     * Stances, switched and planned.
     *
     * @param stances what may be switched on
     * @param order the planned stances at their times
     * @param written the same as they were written, each with its own minutes, whether or not the lesson is long enough
     * @param due the stance the running order proposes now
     */
    public record DeskCourse(
            @Nullable String stance,
            @Nullable Instant stanceSince,
            List<StanceChoice> stances,
            List<OrderStep> order,
            List<WrittenStep> written,
            boolean byTheClock,
            @Nullable String due) {}

    public record StanceChoice(String id, String name) {}

    public record WrittenStep(String stance, String name, int minutes, @Nullable String groups) {}

    public record OrderStep(String stance, String name, Instant from, Instant until, @Nullable String groups) {}

    /** What all with the same rights see alike of them. */
    public record SeatRights(
            List<Right> rights, @Nullable String showing, @Nullable String stance, @Nullable SeatHelp help) {}

    /** One right. @param line what to do or when it changes, in a few words @param until when a pass or curb ends */
    public record Right(
            String rule, String title, String value, boolean bound, Loan loan, @Nullable Instant until, String line) {}

    /** What a trusted pupil helps with. @param door who waits and is surely on the list @param hands whose hand is up */
    public record SeatHelp(List<Right> rights, List<AtDoor> door, List<Classmate> hands, boolean chatPaused) {}

    public record AtDoor(String visit, String name) {}

    public record Classmate(String id, String name) {}

    /**
     * Who is there too, as far as these people may see it.
     *
     * @param people those of the class who are in the same place, by name or by camera
     * @param passedOn by whom the lesson is passed on to people outside
     */
    public record SeatCompany(List<SeenPerson> people, List<String> passedOn) {}

    /** @param name empty where only cameras may be seen @param background whether a picture of their own is behind them */
    public record SeenPerson(String name, boolean camera, boolean background) {}

    public static final SeatCompany ALONE = new SeatCompany(List.of(), List.of());

    /** One object for all who see the same of the same place. */
    public static SeatCompany company(Snapshot at, PersonId me, Role role, Instant now) {
        Company.Sight sight = Company.sight(at.state(), at.rights(now), me, role, now);
        return at.ruled("company", sight, List.of(DOOR, GROUPS, RIGHTS), now, () -> {
            Company company = Company.of(at.plan(), at.state(), sight);
            return new SeatCompany(
                    company.people().stream()
                            .map(one -> new SeenPerson(one.name(), one.camera(), one.background()))
                            .toList(),
                    company.passedOn());
        });
    }

    /**
     * What one person has switched on.
     *
     * @param screen whether they show something, a window or all of it
     * @param wholeScreen whether it is all of it
     * @param passingOn whether they pass the lesson on to people outside
     */
    public record SeatMineRights(
            boolean microphone,
            boolean camera,
            boolean screen,
            boolean wholeScreen,
            boolean background,
            boolean passingOn) {}

    public DeskRights desk(Snapshot at, Instant now) {
        return at.ruled("rights desk", "all", List.of(DOOR, GROUPS, RIGHTS, RECORDING), now, () -> make(at, now));
    }

    private DeskRights make(Snapshot at, Instant now) {
        RightsDesk seen = RightsDesk.of(at.plan(), at.state(), at.rights(now), now);
        RightsState rights = at.state().of(RIGHTS);
        var pupils = new LinkedHashMap<String, PupilRights>();
        seen.pupils().forEach((person, cells) -> pupils.put(person.value(), pupil(person, cells, rights, at)));
        var helpers = new LinkedHashMap<String, List<Cell>>();
        seen.helpers().forEach((person, cells) -> helpers.put(person.value(), cells(cells, at)));
        return new DeskRights(
                seen.columns().stream().map(right -> column(right, rights)).toList(),
                pupils,
                helpers,
                Catalogue.HELP.stream()
                        .map(rule -> new Column(rule.key(), rule.title(), "", false, usual(rule), null))
                        .toList(),
                rights.liveOrders().stream()
                        .map(one -> one.set().rule())
                        .filter(rule -> !rule.equals(Catalogue.DOOR))
                        .collect(Collectors.toSet())
                        .size(),
                rights.isLight(),
                shows(rights, at).map(PersonId::value).orElse(null),
                shows(rights, at).map(at.plan()::nameOf).orElse(null),
                seen.seen().stream().map(one -> column(one, rights)).toList(),
                Company.passesOn(at.plan(), at.state()).stream()
                        .map(one -> new Classmate(one.value(), at.plan().nameOf(one)))
                        .toList(),
                seen.mayShowAll(),
                seen.mayPassOn());
    }

    private static Column column(Ruling<?> right, RightsState rights) {
        return new Column(
                right.rule().key(),
                right.rule().title(),
                right.value().text(),
                right.floor().isPresent(),
                usual(right.rule()),
                rights.liveOrders().stream()
                        .filter(one -> one.set().rule().equals(right.rule()))
                        .map(Setting::until)
                        .filter(until -> until.isBefore(Setting.FOR_EVER))
                        .findFirst()
                        .orElse(null));
    }

    private static int usual(Rule<?> right) {
        return (int) RightsRules.usual(right).toMinutes();
    }

    private static Optional<PersonId> shows(RightsState rights, Snapshot at) {
        return rights.showing(at.state().where(), PlaceId.TOGETHER);
    }

    private static PupilRights pupil(PersonId person, RightsDesk.Cells cells, RightsState rights, Snapshot at) {
        SeatMineRights on = on(rights, person);
        return new PupilRights(
                on.microphone,
                on.camera,
                on.screen,
                rights.timesSpoken(person),
                cells(cells.rights(), at),
                cells(cells.help(), at));
    }

    /** Most rows have the same cells, one and the same object for all of them. */
    private static List<Cell> cells(List<RightsDesk.Cell> seen, Snapshot at) {
        return at.shared().once(seen, "on the wire", () -> seen.stream()
                .map(RightsJson::cell)
                .toList());
    }

    private static Cell cell(RightsDesk.Cell cell) {
        return new Cell(
                cell.ruling().rule().key(),
                cell.ruling().value().text(),
                cell.ruling().floor().isPresent(),
                loan(cell.loan()),
                cell.loan().map(Setting::until).orElse(null));
    }

    private static Loan loan(Optional<Setting> loan) {
        return loan.map(one -> one.force() == Force.PASS ? Loan.PASS : Loan.CURB)
                .orElse(Loan.NONE);
    }

    public DeskCourse course(Snapshot at, Instant now) {
        return at.timed(
                "course",
                "all",
                List.of(DOOR, GROUPS, RIGHTS, RECORDING),
                now,
                () -> make(at, now, at.state().of(RIGHTS)),
                made -> nextStep(at, now));
    }

    private static Instant nextStep(Snapshot at, Instant now) {
        Instant soon = now.plus(STANCES_KNOWN);
        return at.plan().order().over(at.plan().time()).stream()
                .map(step -> step.time().from())
                .filter(from -> from.isAfter(now) && from.isBefore(soon))
                .min(Instant::compareTo)
                .orElse(soon);
    }

    private DeskCourse make(Snapshot at, Instant now, RightsState rights) {
        RunningOrder order = at.plan().order();
        return new DeskCourse(
                rights.stance().map(Stance::name).orElse(null),
                rights.stanceSince().orElse(null),
                stances.of(at.plan(), now).stream()
                        .map(one -> new StanceChoice(one.id(), one.name()))
                        .toList(),
                order.over(at.plan().time()).stream()
                        .map(one -> new OrderStep(
                                one.stance().id(),
                                one.stance().name(),
                                one.time().from(),
                                one.time().until(),
                                one.groups().map(Prepared::name).orElse(null)))
                        .toList(),
                order.steps().stream()
                        .map(one -> new WrittenStep(
                                one.stance().id(),
                                one.stance().name(),
                                one.minutes(),
                                one.groups().map(Prepared::id).orElse(null)))
                        .toList(),
                order.byTheClock(),
                at.state().there().isOpen()
                        ? RightsPart.dueStance(rights, at.at(now).room())
                                .map(due -> due.stance().id())
                                .filter(due -> !rights.stance().map(Stance::id).equals(Optional.of(due)))
                                .orElse(null)
                        : null);
    }

    /** One object for all who have neither pass nor curb and are of one role, in all places in which all is alike. */
    public SeatRights seat(Snapshot at, PersonId me, Role role, Instant now) {
        SharedRights shared = at.rights(now);
        Optional<PersonId> shows = at.state()
                .of(RIGHTS)
                .showing(at.state().where(), at.state().where().placeOf(me));
        return at.ruled(
                "rights seat",
                List.of(shared.sameRightsAs(me, role), shows, Sentences.spoken()),
                List.of(DOOR, GROUPS, SIGNALS, RIGHTS, RECORDING),
                now,
                () -> seat(RightsSeat.of(at.plan(), at.state(), shared, me, role, now)));
    }

    public static final SeatRights FROM_OUTSIDE = new SeatRights(List.of(), null, null, null);

    private SeatRights seat(RightsSeat seen) {
        return new SeatRights(
                seen.rights().stream().map(this::right).toList(),
                seen.showing().orElse(null),
                seen.stance().orElse(null),
                seen.helping().map(this::help).orElse(null));
    }

    private SeatHelp help(RightsSeat.Helping helping) {
        return new SeatHelp(
                helping.rights().stream().map(this::right).toList(),
                helping.door().stream()
                        .map(one -> new AtDoor(one.visit().value(), one.name()))
                        .toList(),
                helping.hands().stream()
                        .map(one -> new Classmate(one.person().value(), one.name()))
                        .toList(),
                helping.chatPaused());
    }

    private Right right(RightsSeat.Right right) {
        return new Right(
                right.ruling().rule().key(),
                capitalised(words.pupilsCall(right.ruling().rule())),
                right.ruling().value().text(),
                right.ruling().floor().isPresent(),
                loan(right.loan()),
                right.loan().map(Setting::until).orElse(null),
                words.seatLine(right.ruling(), right.loan()));
    }

    private static String capitalised(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    public static SeatMineRights seatMine(Snapshot at, PersonId me) {
        return on(at.state().of(RIGHTS), me);
    }

    private static SeatMineRights on(RightsState rights, PersonId person) {
        var on = rights.on(person);
        return new SeatMineRights(
                on.contains(Appliance.MICROPHONE),
                on.contains(Appliance.CAMERA),
                on.stream().anyMatch(Appliance::isShowing),
                on.contains(Appliance.WHOLE_SCREEN),
                on.contains(Appliance.BACKGROUND),
                on.contains(Appliance.PASSING_ON));
    }
}
