package juricast.server;

import org.springframework.boot.task.ThreadPoolTaskSchedulerCustomizer;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;
import org.springframework.stereotype.Component;

/** What the clock sets off stands back for what people do: rounds of messages and sums may come a moment later, an order may not. */
@Component
final class StandingBack implements ThreadPoolTaskSchedulerCustomizer {
    @Override
    public void customize(ThreadPoolTaskScheduler clock) {
        clock.setThreadPriority(Thread.MIN_PRIORITY);
    }
}
