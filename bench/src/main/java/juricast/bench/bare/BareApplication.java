package juricast.bench.bare;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** As little as an application with web, security and JDBC can be: what every start is compared with. */
@SpringBootApplication
@RestController
public class BareApplication {
    public static void main(String[] args) {
        SpringApplication.run(BareApplication.class, args);
    }

    @Bean
    SecurityFilterChain open(HttpSecurity http) {
        return http.authorizeHttpRequests(all -> all.anyRequest().permitAll()).build();
    }

    /** Something that answers. */
    @GetMapping("/bare")
    String bare() {
        return "here";
    }
}
