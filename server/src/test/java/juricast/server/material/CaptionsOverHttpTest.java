package juricast.server.material;

import static org.assertj.core.api.Assertions.assertThat;

import juricast.core.material.MaterialOrder;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class CaptionsOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static JsonNode captions(TestBrowser browser, String path) {
        return browser.get(path).json().at("/material/captions");
    }

    @Test
    void the_service_writes_what_an_open_microphone_says_tells_everybody_that_it_listens_and_stops_when_told() {
        var small = new ASmallClass(SERVER);
        small.rule("voice.speak", "PUPIL", "open");
        small.open();
        small.thora.post(small.lesson + "/join", "{}");
        TestBrowser ines = SERVER.browser();
        String seat = small.sits(ines, "Ines Carrow");

        assertThat(small.thora
                        .put(small.lesson + "/captions/service", "{\"on\":true}")
                        .status())
                .isEqualTo(200);
        assertThat(ines.get(seat).json().at("/material/serviceListens").asBoolean())
                .as("who may be heard is told")
                .isTrue();
        var microphone = ines.post(seat + "/on/MICROPHONE", "{}");
        assertThat(microphone.status()).as(microphone.text()).isEqualTo(200);
        SERVER.bean(CaptionerStandIn.class).hear();
        JsonNode heard = captions(ines, seat).get(0);
        assertThat(heard.get("heard").asBoolean()).isTrue();
        assertThat(heard.get("by").asString()).isEqualTo("Ines Carrow");
        assertThat(small.thora.get(small.lesson + "/captions.vtt").text())
                .contains(heard.get("text").asString());

        small.thora.put(small.lesson + "/captions/service", "{\"on\":false}");
        int before = captions(small.thora, small.lesson + "/desk").size();
        SERVER.bean(juricast.server.lesson.LiveLessons.class)
                .carryOut(
                        small.id(),
                        new MaterialOrder.Heard(new juricast.core.identity.PersonId("ines-carrow"), "not any more"));
        assertThat(captions(small.thora, small.lesson + "/desk")).hasSize(before);
    }

    @Test
    void where_the_school_wants_no_service_to_listen_none_does() {
        var small = new ASmallClass(SERVER);
        small.rule("signals.caption-service", "SECOND_ADULT", "closed");
        small.open();
        small.anton.post(small.lesson + "/join", "{}");
        var refused = small.anton.put(small.lesson + "/captions/service", "{\"on\":true}");
        assertThat(refused.status()).as(refused.text()).isEqualTo(409);
        assertThat(SERVER.browser()
                        .put(small.lesson + "/captions/service", "{\"on\":true}")
                        .status())
                .isEqualTo(401);
    }
}
