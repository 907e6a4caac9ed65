package juricast.server.record;

import java.time.Clock;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import juricast.server.data.School;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;

/** Does what is to be done at night, from one to five at the school, on a thread of its own. */
@Component
class Night implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Night.class);
    private static final LocalTime BEGINS = LocalTime.of(1, 0);
    private static final LocalTime ENDS = LocalTime.of(5, 0);

    private final ObjectProvider<AtNight> work;
    private final School school;
    private final Clock clock;
    private final ScheduledExecutorService thread =
            Executors.newSingleThreadScheduledExecutor(new CustomizableThreadFactory("night-"));

    Night(ObjectProvider<AtNight> work, School school, Clock clock) {
        this.work = work;
        this.school = school;
        this.clock = clock;
        thread.scheduleWithFixedDelay(this::step, 20_000, 200, TimeUnit.MILLISECONDS);
    }

    private void step() {
        ZonedDateTime now = clock.instant().atZone(school.zone());
        boolean isNight =
                !now.toLocalTime().isBefore(BEGINS) && now.toLocalTime().isBefore(ENDS);
        if (isNight) {
            work.forEach(one -> step(one, now));
        }
    }

    /** A fault would end all further turns. */
    private static void step(AtNight work, ZonedDateTime now) {
        try {
            work.step(now.with(BEGINS).toInstant());
        } catch (RuntimeException | Error failed) {
            LOG.error("{} could not be done; it is tried again", work.getClass().getSimpleName(), failed);
        }
    }

    @Override
    public void destroy() {
        thread.shutdownNow();
    }
}
