package juricast.core.recording;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Layer;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/** Recording: required, optional or forbidden, announced, paused, and never of those who may not be recorded (needs I1 to I3, H5). */
public final class RecordingPart implements Part<RecordingState, RecordingOrder, RecordingEvent> {
    public static final RecordingPart RECORDING = new RecordingPart();

    private RecordingPart() {}

    @Override
    public String name() {
        return "recording";
    }

    @Override
    public Class<RecordingOrder> orders() {
        return RecordingOrder.class;
    }

    @Override
    public Class<RecordingEvent> events() {
        return RecordingEvent.class;
    }

    @Override
    public RecordingState begin() {
        return RecordingState.NEW;
    }

    @Override
    public RecordingState after(RecordingState was, RecordingEvent event, int number) {
        return event.match(new RecordingFold(was));
    }

    @Override
    public Decision decide(RecordingState is, RecordingOrder order, Room room) {
        return order.match(new RecordingRules(is, room));
    }

    /**
     * Voice and camera of those who may not be recorded are closed while something is: as what the room imposes, so that no pass
     * goes beyond it.
     */
    @Override
    public List<Setting> lent(RecordingState is, PersonId to) {
        return is.isRecording() && is.closed().contains(to)
                ? List.of(closed(Catalogue.SPEAK, is), closed(Catalogue.CAMERA, is))
                : List.of();
    }

    private static Setting closed(Rule<Permission> right, RecordingState is) {
        return Setting.of(
                        new RuleValue(right, Permission.CLOSED),
                        Role.PUPIL,
                        Layer.LIVE_ORDER,
                        Setting.Force.BINDING,
                        PersonId.RULES,
                        is.since())
                .noted("not to be recorded, and a recording runs");
    }

    @Override
    public Situation situation(RecordingState is, PlaceId in, Situation before) {
        boolean isHere = in.equals(PlaceId.LESSON) || in.equals(PlaceId.TOGETHER);
        return before.with(Fact.RECORDING, isHere && is.isRecording());
    }

    @Override
    public List<LessonEvent> follows(RecordingState is, Room room, News news) {
        return new ByItself(is, room).all();
    }

    @Override
    public Optional<Instant> due(RecordingState is, Room room) {
        return new ByItself(is, room).due();
    }
}
