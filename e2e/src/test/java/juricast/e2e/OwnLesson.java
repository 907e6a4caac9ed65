package juricast.e2e;

import com.microsoft.playwright.options.ColorScheme;
import java.util.List;

/** A lesson that a test plans for itself: a class of its own pupils, at twenty past ten. */
record OwnLesson(String ofClass, String lesson, String token) {
    static OwnLesson plan(Screen lead, String title, String secondAdult, List<String> pupils) {
        String made = lead.sends(
                "POST",
                "/api/classes",
                "{\"title\":\"%s\",\"year\":8,\"secondAdult\":\"%s\"}".formatted(title, secondAdult));
        String ofClass = after(made, "\"id\":\"");
        for (String pupil : pupils) {
            lead.sends(
                    "POST",
                    "/api/classes/" + ofClass + "/pupils",
                    "{\"person\":\"%s\"}".formatted(pupil.toLowerCase().replace(' ', '-')));
        }
        lead.sends(
                "POST",
                "/api/classes/" + ofClass + "/series",
                "{\"first\":\"2026-09-14\",\"until\":\"2026-09-14\",\"days\":[\"MONDAY\"],\"start\":\"10:20\",\"minutes\":45}");
        String page = lead.sends("GET", "/api/classes/" + ofClass, "");
        return new OwnLesson(
                ofClass,
                after(page.substring(page.indexOf("\"lessons\"")), "\"id\":\""),
                after(lead.sends("GET", "/api/classes/" + ofClass + "/joining", ""), "/join/"));
    }

    private static String after(String json, String mark) {
        String rest = json.substring(json.indexOf(mark) + mark.length());
        return rest.substring(0, rest.indexOf('"'));
    }

    /** A pupil on a phone, at the door. */
    Screen knocks(RunningSchool school, String name) {
        Screen pupil = new Screen(school.newBrowser(390, 844, ColorScheme.LIGHT))
                .signInAs(name)
                .open("/join/" + token);
        pupil.agree().button("Knock").click();
        return pupil;
    }
}
