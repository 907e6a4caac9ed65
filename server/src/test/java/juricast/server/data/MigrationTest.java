package juricast.server.data;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

class MigrationTest {
    @Test
    void settings_of_an_older_file_keep_their_place_their_author_and_their_days(@TempDir Path folder) {
        var file = new DriverManagerDataSource("jdbc:sqlite:" + folder.resolve("school.db"));
        Flyway.configure().dataSource(file).target("1").load().migrate();
        JdbcClient sql = JdbcClient.create(file);
        sql.sql(
                        """
                INSERT INTO setting (class, rule, value, role, binding, set_by, since, until) VALUES
                ('', 'chat.private', 'closed', 'PUPIL', 1, 'maren', 1000, 253370764800000),
                ('knots', 'voice.speak', 'open', 'PUPIL', 0, 'ilse', 2000, 3000)""")
                .update();

        Flyway.configure().dataSource(file).load().migrate();

        List<Map<String, Object>> kept = sql.sql(
                        "SELECT place, rule, value, binding, condition, set_by, set_at, since, until FROM rule_setting ORDER BY id")
                .query()
                .listOfRows();
        assertThat(kept).hasSize(2);
        assertThat(kept.get(0))
                .containsEntry("place", "school")
                .containsEntry("rule", "chat.private")
                .containsEntry("binding", 1)
                .containsEntry("condition", "")
                .containsEntry("set_by", "maren")
                .containsEntry("set_at", 1000);
        assertThat(kept.get(1))
                .containsEntry("place", "class:knots")
                .containsEntry("since", 2000)
                .containsEntry("until", 3000);
    }
}
