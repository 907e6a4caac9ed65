package juricast.core.exchange;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.time.Span;

/**
 * What taking a timetable would change: shown first, then carried out exactly so. Taking the same file again changes nothing.
 *
 * @param added lessons the school does not have yet
 * @param changed lessons that are at another time, called off or held again
 * @param missing lessons of the same series, or of classes the file speaks of, that came from a file before and are in this
 *     one no more; they stay as they are unless somebody wants them called off
 * @param unknown what no class is called, with how many lessons it has
 * @param same how many are as they are
 * @param past how many have begun or are over; what has happened is not planned anew
 * @param told what of the file cannot be done, or is done once only, with its line
 */
public record TimetableChange(
        List<Added> added,
        List<Changed> changed,
        List<Known> missing,
        Map<String, Integer> unknown,
        int same,
        int past,
        List<TimetableReading.Fault> told) {
    /** @param uid of the entry it is of @param slot as in {@link TimetableReading.Lesson} */
    public record Added(ClassId ofClass, String uid, LocalDateTime slot, Span time) {}

    /** @param time when it is to be @param cancelled whether it is not to be held */
    public record Changed(Known lesson, Span time, boolean cancelled) {}

    /**
     * A lesson the school has.
     *
     * @param uid of the entry it was taken from, empty if the school planned it itself
     * @param slot when its series has it
     */
    public record Known(
            LessonId id, ClassId ofClass, String uid, Optional<LocalDateTime> slot, Span time, boolean cancelled) {
        private boolean isAsIn(TimetableReading.Lesson lesson) {
            return cancelled == lesson.cancelled() && (cancelled || time.equals(lesson.time()));
        }
    }

    /** The names of things in a file that this school wrote itself. */
    public static String uidOf(LessonId lesson) {
        return "lesson-" + lesson.value();
    }

    private record Slot(String uid, LocalDateTime slot) {}

    private record Start(ClassId ofClass, Instant from) {}

    /**
     * Compares. A lesson is known again by the entry it came from and its slot, or else by beginning at the same time in the
     * same class.
     *
     * @param classes which class is meant by a title, as {@link #key} writes it
     * @param school every lesson the school has that has not begun
     */
    public static TimetableChange between(
            TimetableReading file, Map<String, ClassId> classes, List<Known> school, Instant now) {
        var bySlot = new HashMap<Slot, Known>();
        var byStart = new HashMap<Start, Known>();
        var byOwnName = new HashMap<String, Known>();
        for (Known one : school) {
            one.slot.ifPresent(slot -> bySlot.put(new Slot(one.uid, slot), one));
            byStart.put(new Start(one.ofClass, one.time.from()), one);
            byOwnName.put(uidOf(one.id), one);
        }
        var added = new ArrayList<Added>();
        var changed = new ArrayList<Changed>();
        var unknown = new TreeMap<String, Integer>();
        var met = new HashSet<LessonId>();
        var begins = new HashSet<Start>();
        var spoken = new HashSet<ClassId>();
        var uids = new HashSet<String>();
        var told = new ArrayList<TimetableReading.Fault>();
        var ofUid = new HashMap<String, ClassId>();
        school.stream().filter(one -> !one.uid.isEmpty()).forEach(one -> ofUid.put(one.uid, one.ofClass));
        int same = 0;
        int past = 0;
        for (TimetableReading.Entry entry : file.entries()) {
            // What is called off need not say what it is; the file that planned it did.
            ClassId of = entry.title().isEmpty() ? ofUid.get(entry.uid()) : classes.get(key(entry.title()));
            if (of == null) {
                unknown.merge(entry.title(), entry.lessons().size(), Integer::sum);
                continue;
            }
            spoken.add(of);
            uids.add(entry.uid());
            for (TimetableReading.Lesson lesson : entry.lessons()) {
                if (!lesson.time().from().isAfter(now)) {
                    past++;
                    continue;
                }
                Known own = byOwnName.get(entry.uid());
                if (own != null && !own.ofClass.equals(of)) {
                    told.add(new TimetableReading.Fault(
                            entry.line(), TimetableReading.Problem.ID_OF_ANOTHER_CLASS, entry.title()));
                    continue;
                }
                Known known = Optional.ofNullable(own)
                        .or(() -> Optional.ofNullable(bySlot.get(new Slot(entry.uid(), lesson.slot()))))
                        .or(() -> Optional.ofNullable(
                                byStart.get(new Start(of, lesson.time().from()))))
                        .orElse(null);
                boolean isNew = known == null && !lesson.cancelled();
                if (isNew && begins.add(new Start(of, lesson.time().from()))) {
                    added.add(new Added(of, entry.uid(), lesson.slot(), lesson.time()));
                } else if (isNew || known != null && !met.add(known.id)) {
                    told.add(new TimetableReading.Fault(
                            entry.line(), TimetableReading.Problem.TWICE_AT_ONE_TIME, entry.title()));
                } else if (known == null || known.isAsIn(lesson)) {
                    same++; // as it is; or called off and never planned here
                } else {
                    // When what is not held would have been does not matter, and files often say it shorter.
                    changed.add(
                            new Changed(known, lesson.cancelled() ? known.time : lesson.time(), lesson.cancelled()));
                }
            }
        }
        List<Known> missing = school.stream()
                .filter(one -> !one.cancelled && !one.uid.isEmpty() && !met.contains(one.id))
                .filter(one -> uids.contains(one.uid) || spoken.contains(one.ofClass))
                .toList();
        return new TimetableChange(added, changed, missing, unknown, same, past, told);
    }

    /** A title as it is compared: case, spaces and signs do not matter. */
    public static String key(String title) {
        return title.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
    }

    /** The same without what lies in other classes. @return nothing of it is lost: what was left out is counted by the caller */
    public TimetableChange only(Set<ClassId> allowed) {
        return new TimetableChange(
                added.stream().filter(one -> allowed.contains(one.ofClass)).toList(),
                changed.stream()
                        .filter(one -> allowed.contains(one.lesson.ofClass))
                        .toList(),
                missing.stream().filter(one -> allowed.contains(one.ofClass)).toList(),
                unknown,
                same,
                past,
                told);
    }

    /** Whether nothing would be different. */
    public boolean isEmpty() {
        return added.isEmpty() && changed.isEmpty() && missing.isEmpty();
    }

    public TimetableChange {
        added = List.copyOf(added);
        changed = List.copyOf(changed);
        missing = List.copyOf(missing);
        told = List.copyOf(told);
    }
}
