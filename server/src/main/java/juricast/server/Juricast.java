package juricast.server;

import java.time.Clock;
import juricast.server.data.SteadyClock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnMissingBean;
import org.springframework.boot.jdbc.autoconfigure.DataSourceAutoConfiguration;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application: one process, one database file. */
@SpringBootApplication(exclude = {DataSourceAutoConfiguration.class, UserDetailsServiceAutoConfiguration.class})
@EnableScheduling
public class Juricast {
    public static void main(String[] args) {
        SpringApplication.run(Juricast.class, args);
    }

    /** The only clock. Tests put their own in its place. */
    @Bean
    @ConditionalOnMissingBean
    Clock clock() {
        return new SteadyClock(Clock.systemUTC(), System::nanoTime);
    }
}
