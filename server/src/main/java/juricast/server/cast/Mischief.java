package juricast.server.cast;

import java.util.Locale;

/** What the cast can be told to do wrong, each a readable script in {@code demo/mischief}. */
public enum Mischief {
    OPEN_MICROPHONES("Microphones left open", "Six pupils forget to mute; some of them again after they were muted."),
    SHOUTING("Shouting", "One pupil speaks without being asked and writes in capitals."),
    FLOODING("Flooding the chat", "One pupil writes faster than anyone can read, another joins in."),
    LINKS_AND_FILES("Links and forbidden files", "A link among pupils, and a program that calls itself homework."),
    SHARING("Sharing unasked", "Two pupils try to show their screens, one of them a whole one."),
    SCRIBBLING("Scribbling on the board", "Two pupils draw over what the teacher drew."),
    BAD_WEATHER("Bad weather", "Lines are lost and come back, some of them twice; others are weak for some minutes."),
    STRANGERS("Strangers at the door", "A device name, a nickname, a double and somebody unknown knock."),
    FAILING_RECORDER("A failing recorder", "The recorder's disk is full, a minute later its line is lost."),
    INTRUDER("An intruder", "The same stranger tries every open lesson, one door after the other.");

    private final String title;
    private final String about;

    Mischief(String title, String about) {
        this.title = title;
        this.about = about;
    }

    public String title() {
        return title;
    }

    public String about() {
        return about;
    }

    String file() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-') + ".csv";
    }

    boolean isEverywhere() {
        return this == INTRUDER;
    }
}
