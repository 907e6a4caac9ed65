package juricast.core.register;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * The school's own codes, each with the mark it stands for (need L2). Several may stand for one mark; the first of them is
 * what a computed mark is written as, the others are chosen by who corrects.
 *
 * @param all in the order in which the school lists them; none if it writes marks as words
 */
public record RegisterCodes(List<Code> all) {
    public static final RegisterCodes NONE = new RegisterCodes(List.of());

    /** Codes of one school. */
    public static final int MOST = 60;

    /** Characters of a code, and of its meaning. */
    public static final int CODE_LIMIT = 4;

    public static final int MEANING_LIMIT = 60;

    /** @param code without blanks, such as M @param meaning in the school's words */
    public record Code(String code, String meaning, Mark mark) {}

    /** What is wrong with a list of codes. @param place from 0; -1 for the list as a whole */
    public record Fault(int place, Problem problem) {}

    /** Why a list of codes cannot be used. */
    public enum Problem {
        TOO_MANY,
        NOT_A_CODE,
        NO_MEANING,
        /** Two codes that differ at most by capital letters. */
        STANDS_TWICE
    }

    public RegisterCodes {
        all = List.copyOf(all);
    }

    /** @return nothing if they can be used */
    public List<Fault> faults() {
        var faults = new ArrayList<Fault>();
        if (all.size() > MOST) {
            faults.add(new Fault(-1, Problem.TOO_MANY));
        }
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < all.size(); i++) {
            Code one = all.get(i);
            if (!one.code.matches("[^\\s\\p{Cntrl}=+\\-@,;\"']{1,%d}".formatted(CODE_LIMIT))) {
                faults.add(new Fault(i, Problem.NOT_A_CODE));
            } else if (!seen.add(one.code.toLowerCase(Locale.ROOT))) {
                faults.add(new Fault(i, Problem.STANDS_TWICE));
            }
            if (one.meaning.isBlank() || one.meaning.length() > MEANING_LIMIT) {
                faults.add(new Fault(i, Problem.NO_MEANING));
            }
        }
        return faults;
    }

    /** What a computed mark is written as. */
    public Optional<Code> usual(Mark mark) {
        return all.stream().filter(one -> one.mark == mark).findFirst();
    }

    public Optional<Code> find(String code) {
        return all.stream().filter(one -> one.code.equals(code)).findFirst();
    }

    /** What stands in the register: the code that an adult wrote, or the usual one of the mark; empty if there is none. */
    public String shown(RegisterLine line) {
        return line.correction()
                .map(Correction::code)
                .filter(code -> !code.isEmpty())
                .orElseGet(() -> usual(line.mark()).map(Code::code).orElse(""));
    }
}
