package juricast.server;

import org.springframework.boot.task.ThreadPoolTaskSchedulerBuilder;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;

/** What the clock sets off besides the usual: work that takes long stands in a line of its own. */
@Configuration(proxyBeanMethods = false)
public class Schedules {
    /**
     * For what is worked out of lessons that are over. After an upgrade, or a week without the server, there may be thousands of
     * them; signs of life to browsers, the cast and messages go on meanwhile.
     */
    public static final String WORKING_OUT = "workingOut";

    @Bean(name = WORKING_OUT, defaultCandidate = false)
    ThreadPoolTaskScheduler workingOut(ThreadPoolTaskSchedulerBuilder usual) {
        return usual.threadNamePrefix("working-out-").build();
    }
}
