package juricast.server.classes;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import juricast.core.charter.PlannedLesson;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.core.rules.Fact;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.data.Addresses;
import juricast.server.data.School;
import juricast.server.editing.Edited;
import juricast.server.editing.Editions;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** What is planned to be so in one lesson: who visits, whether it is recorded, whether the class works in groups. */
@RestController
@RequestMapping("/api/lessons/{lesson}/plan")
class PlanController {
    private final Editions editions;
    /** Visitors invited to one lesson. */
    private static final int VISITORS = 20;

    private final Planning planning;
    private final Classes classes;
    private final JoinLinks links;
    private final Reading reading;
    private final AccessToClasses access;
    private final School school;
    private final Addresses addresses;

    PlanController(
            Editions editions,
            Planning planning,
            Classes classes,
            JoinLinks links,
            Reading reading,
            AccessToClasses access,
            School school,
            Addresses addresses) {
        this.editions = editions;
        this.addresses = addresses;
        this.planning = planning;
        this.classes = classes;
        this.links = links;
        this.reading = reading;
        this.access = access;
        this.school = school;
    }

    /**
     * @param visitors who is invited, by name
     * @param invited the same with the link of each, which makes them a visitor of this lesson and never more
     */
    record LessonPlanPage(
            String lesson,
            String title,
            String ofClass,
            String day,
            String starts,
            boolean editable,
            List<String> visitors,
            List<InvitedVisitor> invited,
            boolean recording,
            boolean groups) {}

    record InvitedVisitor(String person, String name, String link) {}

    record PlanRequest(@Nullable List<String> visitors, boolean recording, boolean groups) {}

    /** What is planned for one lesson: visitors, recording, groups. */
    @GetMapping
    @For({LEAD, TEACHER})
    @Edited
    LessonPlanPage plan(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = reading.ofLesson(caller, Matter.PLAN, lesson);
        PlannedLesson known = planning.lesson(planned.id());
        return new LessonPlanPage(
                lesson,
                planned.title(),
                planned.ofClass().value(),
                school.day(planned.time().from()),
                school.clockTime(planned.time().from()),
                access.runs(caller, planned.ofClass()),
                planning.invited(planned.id()).stream().map(Member::name).toList(),
                planning.invited(planned.id()).stream()
                        .map(one -> new InvitedVisitor(
                                one.person().value(),
                                one.name(),
                                addresses.of(links.ofVisitor(planned.id(), one.person()))))
                        .toList(),
                known.expected().contains(Fact.RECORDING),
                known.expected().contains(Fact.IN_GROUPS));
    }

    /** Gives a visitor another link; the old one counts no more. */
    @PostMapping("/visitors/{person}/renew")
    @For({TEACHER, LEAD})
    LessonPlanPage renewLink(
            @PathVariable String lesson, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = known(lesson);
        access.runBy(caller, planned.ofClass().value());
        links.renewVisitor(planned.id(), new PersonId(person));
        return plan(lesson, caller);
    }

    /** Plans visitors, recording and groups of one lesson. */
    @PutMapping
    @For({TEACHER, LEAD})
    @Edited
    LessonPlanPage change(
            @PathVariable String lesson, @RequestBody PlanRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        editions.mustBe(plan(lesson, caller));
        Classes.Planned planned = known(lesson);
        access.runBy(caller, planned.ofClass().value());
        var names = new ArrayList<String>();
        if (wanted.visitors != null) {
            wanted.visitors.stream()
                    .map(one -> one.length() > Limits.MESSAGE ? one : PlainName.of(one))
                    .filter(name -> !name.isEmpty())
                    .forEach(names::add);
        }
        if (names.size() > VISITORS || names.stream().anyMatch(name -> name.length() > Limits.NAME)) {
            throw Problem.notReadable(
                    "Too many visitors, or too long a name",
                    "Nothing was changed.",
                    "Invite at most %d, with names of at most %d characters.".formatted(VISITORS, Limits.NAME),
                    List.of(new Problem.Wrong("visitors", "too many or too long")));
        }
        var expected = EnumSet.noneOf(Fact.class);
        if (wanted.recording) {
            expected.add(Fact.RECORDING);
        }
        if (wanted.groups) {
            expected.add(Fact.IN_GROUPS);
        }
        if (planning.lesson(planned.id()).expected().contains(Fact.HELP_HOUR)) {
            expected.add(Fact.HELP_HOUR);
        }
        planning.plan(planned.id(), names, expected);
        return plan(lesson, caller);
    }

    private Classes.Planned known(String lesson) {
        return classes.lesson(new LessonId(lesson)).orElseThrow(() -> Problem.notThere("This lesson"));
    }
}
