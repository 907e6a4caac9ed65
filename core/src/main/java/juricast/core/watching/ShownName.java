package juricast.core.watching;

import juricast.core.rules.Choice;

/** A name as the rule "names.shown" wants it to be written. */
final class ShownName {
    private ShownName() {}

    /** "Ines Carrow" as "Ines", "Ines C." or as it is. */
    static String of(String name, Choice how) {
        String[] parts = name.strip().split("\\s+");
        return switch (how.text()) {
            case "first-name" -> parts[0];
            case "first-name-and-initial" -> parts.length == 1
                    ? parts[0]
                    : parts[0] + " "
                            + parts[parts.length - 1].substring(0, parts[parts.length - 1].offsetByCodePoints(0, 1))
                            + ".";
            default -> name;
        };
    }
}
