package juricast.server.rules;

import static org.assertj.core.api.Assertions.assertThat;

import juricast.server.TestBrowser;
import juricast.server.TestBrowser.Answer;

/** Changes rules as a screen does: into the draft, then in force. */
final class Writing {
    private Writing() {}

    static String edit(String rule, String value, boolean binding, String when) {
        return "{\"rule\":\"%s\",\"role\":\"PUPIL\",\"value\":\"%s\",\"binding\":%s,\"when\":\"%s\"}"
                .formatted(rule, value, binding, when);
    }

    static Answer draft(TestBrowser who, String place, String rule, String value, boolean binding, String when) {
        return who.put("/api/rules/" + place + "/draft", edit(rule, value, binding, when));
    }

    /** Puts one setting for pupils in force. @param from the day, or empty for now */
    static void inForce(
            TestBrowser who, String place, String rule, String value, boolean binding, String when, String from) {
        Answer drafted = draft(who, place, rule, value, binding, when);
        assertThat(drafted.status()).as(drafted.text()).isEqualTo(200);
        Answer done = apply(who, place, from);
        assertThat(done.status()).as(done.text()).isEqualTo(200);
    }

    static void inForce(TestBrowser who, String place, String rule, String value, boolean binding) {
        inForce(who, place, rule, value, binding, "", "");
    }

    static Answer apply(TestBrowser who, String place, String from) {
        return who.post("/api/rules/" + place + "/draft/in-force", "{\"from\":\"%s\"}".formatted(from));
    }

    static Answer why(TestBrowser who, String place, String rule, String more) {
        return who.get("/api/rules/%s/why?rule=%s&role=PUPIL%s".formatted(place, rule, more));
    }
}
