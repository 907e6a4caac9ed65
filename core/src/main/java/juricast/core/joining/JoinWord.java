package juricast.core.joining;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.random.RandomGenerator;

/**
 * A word to say aloud that goes with a link: two words and a number, such as {@code amber-kelp-47}. About 22 bits: enough
 * beside a link of 128 bits and a limit on guesses, never enough alone (need B4).
 */
public record JoinWord(String text) {
    private static final List<String> FIRST = List.of(
            ("amber azure brave brisk broad calm chalk clear cloud coral crisp dapper deep dusky early eager fair fleet"
                            + " foggy fresh gentle gold grand green happy hardy hazel humble icy ivory jade jolly keen"
                            + " kind lively long lucky mellow merry misty noble north olive opal pale patient plain"
                            + " proud quick quiet rapid rosy royal rusty sandy scarlet sharp silver slate smooth snug"
                            + " soft solid spry steady still stout sunny swift tall teal tidy topaz upper velvet vivid"
                            + " warm west white wide wild windy wise young zesty")
                    .split(" "));
    private static final List<String> SECOND = List.of(
            ("anchor atoll badger barnacle basket bay beacon bell berry bramble breeze bridge brook buoy cabin canoe"
                            + " cape cask cedar cliff clover compass cove crab creek crow current dinghy dolphin dune"
                            + " eider ember estuary fern ferry finch fjord flint foam fossil gale gannet glacier grove"
                            + " gull harbour heron hull island jetty kelp ketch knot lagoon lantern ledge limpet loft"
                            + " marsh mast meadow mussel oar oyster pebble petrel pier plover puffin quay raft reed"
                            + " reef ridge rope rudder sail seal shell shore skiff sloop spruce squall starfish tern"
                            + " thistle tide timber trout tundra urchin valley walrus wharf willow")
                    .split(" "));

    /** A word that is not among {@code taken}. */
    public static JoinWord choose(RandomGenerator random, Set<JoinWord> taken) {
        while (true) {
            var word = new JoinWord(FIRST.get(random.nextInt(FIRST.size()))
                    + "-"
                    + SECOND.get(random.nextInt(SECOND.size()))
                    + "-"
                    + (10 + random.nextInt(90)));
            if (!taken.contains(word)) {
                return word;
            }
        }
    }

    /** Whether what somebody typed is this word: case, spaces and hyphens do not matter. */
    public boolean isSaidBy(String typed) {
        return plain(typed).equals(plain(text));
    }

    private static String plain(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFKC)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]", "");
    }
}
