package juricast.server;

import java.time.Clock;
import juricast.server.data.SteadyClock;
import juricast.server.upkeep.Commands;
import juricast.server.upkeep.Restarting;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnMissingBean;
import org.springframework.boot.jdbc.autoconfigure.DataSourceAutoConfiguration;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application: one process, one database file. */
@SpringBootApplication(exclude = {DataSourceAutoConfiguration.class, UserDetailsServiceAutoConfiguration.class})
@EnableScheduling
public class Juricast {
    public static void main(String[] args) throws InterruptedException {
        if (Commands.isOne(args)) {
            System.exit(new Commands(System.out).run(args));
        }
        boolean again = true;
        while (again) {
            ConfigurableApplicationContext running = SpringApplication.run(Juricast.class, args);
            again = running.getBean(Restarting.class).await();
            running.close();
        }
    }

    /** The only clock. Tests put their own in its place. */
    @Bean
    @ConditionalOnMissingBean
    Clock clock() {
        return new SteadyClock(Clock.systemUTC(), System::nanoTime);
    }
}
