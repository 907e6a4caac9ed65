package juricast.server.tell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class OutboxTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final Member INES = new Member(new PersonId("ines-carrow"), "Ines Carrow", Role.PUPIL);

    private static List<String> told() {
        SERVER.bean(Rounds.class).go();
        var all = new ArrayList<String>();
        long before = Long.MAX_VALUE;
        TestBrowser maren = SERVER.signedIn("maren-oddlund");
        while (true) {
            var page = maren.get("/api/outbox?before=" + before).json();
            for (var one : page.get("messages")) {
                all.add(one.get("kind").asString() + " " + one.get("name").asString() + " "
                        + one.get("subject").asString());
                before = one.get("id").asLong();
            }
            if (!page.get("more").asBoolean()) {
                return all;
            }
        }
    }

    @Test
    void what_was_told_is_not_told_again_after_a_restart() {
        List<String> before = told();
        assertThat(before).isNotEmpty();
        SERVER.restart();
        assertThat(told()).isEqualTo(before);
    }

    @Test
    void two_rounds_at_once_tell_everybody_once() throws InterruptedException {
        Outbox outbox = SERVER.bean(Outbox.class);
        var wanted = List.of(new Outbox.Wanted(
                MessageKind.NEW_LINK,
                "twice",
                Optional.of("c"),
                Optional.empty(),
                INES,
                Map.of("class", "{name} & Co")));
        var sent = new int[2];
        var threads = List.of(
                new Thread(() -> sent[0] = outbox.send(wanted)), new Thread(() -> sent[1] = outbox.send(wanted)));
        threads.forEach(Thread::start);
        for (Thread one : threads) {
            one.join();
        }
        assertThat(sent[0] + sent[1]).isEqualTo(1);
        assertThat(told()).contains("NEW_LINK Ines Carrow {name} & Co has a new link");
    }

    @Test
    void who_is_missing_is_nudged_by_hand_and_nobody_twice_in_ten_minutes() {
        String nudges = "/api/lessons/tidal-navigation-8-1.3-2/nudges";
        var orla = SERVER.signedIn("orla-venn");
        var first = orla.post(nudges, "{}").json();
        assertThat(first.get("missing").asInt()).isPositive();
        assertThat(orla.post(nudges, "{}").json().get("nudged").asInt()).isZero();
        assertThat(told().stream()
                        .filter(one -> one.startsWith("NUDGE ") && one.endsWith("Tidal Navigation 8 has begun"))
                        .distinct())
                .as("each of them by hand or by the clock before")
                .hasSize(first.get("missing").asInt());

        SERVER.advance(java.time.Duration.ofMinutes(11));
        assertThat(orla.post(nudges, "{}").json().get("nudged").asInt()).isPositive();
        assertThat(SERVER.signedIn("anton-prowse").post(nudges, "{}").status()).isEqualTo(403);
        assertThat(orla.post("/api/lessons/weather-lab-8-1.6-2/nudges", "{}").status())
                .as("not open")
                .isEqualTo(409);
    }
}
