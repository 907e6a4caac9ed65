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
        return of(condition, IN_ENGLISH);
    }

    /** The same in the language of who reads it. */
    static String of(Condition condition, Sentences sentences) {
        return of(condition, new Words(sentences::or));
    }

    private static String of(Condition condition, Words words) {
        return condition.all().stream().map(one -> one.match(words)).collect(Collectors.joining(", "));
    }

    public static String of(Circumstance circumstance) {
        return circumstance.match(IN_ENGLISH);
    }

    /** As {@link Sentences#or}. */
    private interface Saying {
        String or(String english, String key, Object... with);
    }

    private static final Words IN_ENGLISH = new Words((english, key, with) -> english);

    private record Words(Saying saying) implements Circumstance.Cases<String> {
        @Override
        public String is(Circumstance.Is is) {
            String fact = is.fact().name().toLowerCase(Locale.ROOT).replace('_', '-');
            return saying.or(fact(is.fact(), is.so()), (is.so() ? "when.is." : "when.not.") + fact);
        }

        @Override
        public String firstMinutes(Circumstance.FirstMinutes first) {
            return saying.or("in the first %d minutes".formatted(first.minutes()), "when.first", first.minutes());
        }

        @Override
        public String lastMinutes(Circumstance.LastMinutes last) {
            return saying.or("in the last %d minutes".formatted(last.minutes()), "when.last", last.minutes());
        }

        @Override
        public String years(Circumstance.Years of) {
            String years = of.years().stream().map(String::valueOf).collect(Collectors.joining(", "));
            return saying.or((of.years().size() == 1 ? "for year " : "for years ") + years, "when.years", years);
        }

        @Override
        public String atLeast(Circumstance.AtLeast least) {
            return saying.or("with %d or more present".formatted(least.people()), "when.least", least.people());
        }

        @Override
        public String atMost(Circumstance.AtMost most) {
            return saying.or("with %d or fewer present".formatted(most.people()), "when.most", most.people());
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
