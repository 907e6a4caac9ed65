package juricast.server.rules;

import juricast.core.charter.Place;
import juricast.core.identity.LessonId;
import juricast.core.reading.Matter;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** Who may read and who may change the rules of a place. */
@Component
class RulesAccess {
    private final Reading reading;
    private final AccessToClasses classes;
    private final Classes lessons;
    private final ReadyMadeSets sets;

    RulesAccess(Reading reading, AccessToClasses classes, Classes lessons, ReadyMadeSets sets) {
        this.reading = reading;
        this.classes = classes;
        this.lessons = lessons;
        this.sets = sets;
    }

    /** The place written so, if the caller may read it; a problem otherwise. */
    Place seen(SignedIn caller, String text) {
        Place place = Place.parse(text).orElseThrow(() -> Problem.notThere("This place"));
        switch (place.kind()) {
            case CLASS -> reading.ofClass(caller, Matter.RULES, place.id());
            case LESSON -> reading.ofLesson(caller, Matter.RULES, place.id());
            case SET -> sets.find(place.id()).orElseThrow(() -> Problem.notThere("This set"));
            case YEAR -> {
                if (!place.id().matches("[1-9]|1[0-3]")) {
                    throw Problem.notThere("This year group");
                }
            }
            case SCHOOL -> {
                // All adults read the charter.
            }
        }
        return place;
    }

    /** The same for a change. */
    Place changed(SignedIn caller, String text) {
        Place place = seen(caller, text);
        switch (place.kind()) {
            case CLASS -> classes.runBy(caller, place.id());
            case LESSON -> classes.runBy(caller, classOf(place));
            case SET -> {
                if (!mayChangeSet(caller, sets.find(place.id()).orElseThrow())) {
                    throw Problem.notYours(
                            "This set is not yours to change", "Make a copy of it and change that, or ask its owner.");
                }
            }
            case SCHOOL, YEAR -> {
                if (!caller.isLead()) {
                    throw Problem.notYours("The charter is not yours to change", "Ask the safeguarding lead.");
                }
            }
        }
        return place;
    }

    boolean mayChange(SignedIn caller, Place place) {
        try {
            changed(caller, place.text());
            return true;
        } catch (Problem no) {
            return false;
        }
    }

    /** The school's sets are the lead's; a teacher's own are the teacher's. */
    boolean mayChangeSet(SignedIn caller, ReadyMadeSets.Named set) {
        return set.isOf(caller.person()) || caller.isLead() && set.owner().isEmpty();
    }

    private String classOf(Place lesson) {
        return lessons.lesson(new LessonId(lesson.id()))
                .orElseThrow(() -> Problem.notThere("This lesson"))
                .ofClass()
                .value();
    }
}
