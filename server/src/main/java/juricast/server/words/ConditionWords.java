package juricast.server.words;

import java.util.Locale;
import java.util.stream.Collectors;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.server.languages.Sentences;

/** Says when a setting counts. */
public final class ConditionWords {
    private ConditionWords() {}

    /** As the end of a sentence: "while a visitor is present, in the first 10 minutes"; empty for always. */
    public static String of(Condition condition) {
        return condition.all().stream().map(ConditionWords::of).collect(Collectors.joining(", "));
    }

    public static String of(Circumstance circumstance) {
        return circumstance.match(WORDS);
    }

    private static final Circumstance.Cases<String> WORDS = new Circumstance.Cases<>() {
        @Override
        public String is(Circumstance.Is is) {
            return fact(is.fact(), is.so());
        }

        @Override
        public String firstMinutes(Circumstance.FirstMinutes first) {
            return "in the first %d minutes".formatted(first.minutes());
        }

        @Override
        public String lastMinutes(Circumstance.LastMinutes last) {
            return "in the last %d minutes".formatted(last.minutes());
        }

        @Override
        public String years(Circumstance.Years of) {
            return (of.years().size() == 1 ? "for year " : "for years ")
                    + of.years().stream().map(String::valueOf).collect(Collectors.joining(", "));
        }

        @Override
        public String atLeast(Circumstance.AtLeast least) {
            return "with %d or more present".formatted(least.people());
        }

        @Override
        public String atMost(Circumstance.AtMost most) {
            return "with %d or fewer present".formatted(most.people());
        }
    };

    /** Where the other languages have the words for a circumstance, and what is put into them. */
    record Key(String name, Object... with) implements Circumstance.Cases<Key> {
        Key() {
            this("");
        }

        String of(Sentences sentences, String english) {
            return sentences.or(english, "when." + name, with);
        }

        @Override
        public Key is(Circumstance.Is is) {
            return new Key((is.so() ? "is." : "not.")
                    + is.fact().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        }

        @Override
        public Key firstMinutes(Circumstance.FirstMinutes first) {
            return new Key("first", first.minutes());
        }

        @Override
        public Key lastMinutes(Circumstance.LastMinutes last) {
            return new Key("last", last.minutes());
        }

        @Override
        public Key years(Circumstance.Years of) {
            return new Key("years", of.years().stream().map(String::valueOf).collect(Collectors.joining(", ")));
        }

        @Override
        public Key atLeast(Circumstance.AtLeast least) {
            return new Key("least", least.people());
        }

        @Override
        public Key atMost(Circumstance.AtMost most) {
            return new Key("most", most.people());
        }
    }

    /** A fact as a circumstance. */
    public static String fact(Fact fact, boolean so) {
        return switch (fact) {
            case VISITOR_PRESENT -> so ? "while a visitor is present" : "while no visitor is present";
            case RECORDING -> so ? "while recording" : "while not recording";
            case IN_GROUPS -> so ? "while in groups" : "while not in groups";
            case HELP_HOUR -> so ? "in a help hour" : "not in a help hour";
            case ADULT_PRESENT -> so ? "while an adult is present" : "while no adult is present";
            case SCHOOL_ACCOUNT -> so ? "signed in with a school account" : "without a school account";
        };
    }
}
