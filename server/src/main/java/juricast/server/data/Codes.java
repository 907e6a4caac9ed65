package juricast.server.data;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Codes that somebody reads and types: three groups of four signs, none of which looks like another; 59 bits. */
public final class Codes {
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final String SIGNS = "abcdefghkmnpqrstuvwxyz23456789";

    private Codes() {}

    public static String next() {
        return IntStream.range(0, 3)
                .mapToObj(group -> IntStream.range(0, 4)
                        .mapToObj(sign -> String.valueOf(SIGNS.charAt(RANDOM.nextInt(SIGNS.length()))))
                        .collect(Collectors.joining()))
                .collect(Collectors.joining("-"));
    }

    /** As it is compared: whoever types it may leave lines out and use capital letters. */
    public static String plain(String typed) {
        return typed.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
    }

    /** Whether both are the same code; it takes as long to find out whichever they are. */
    public static boolean same(String one, String other) {
        return MessageDigest.isEqual(
                plain(one).getBytes(StandardCharsets.UTF_8), plain(other).getBytes(StandardCharsets.UTF_8));
    }
}
