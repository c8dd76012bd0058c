package org.kindgirdle.core.set;

import java.math.BigInteger;
import java.util.Locale;
import java.util.Optional;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The short code on a layer's label: four signs and a check sign, written {@code 7KM-4X}. The 23 signs leave out most
 * look-alikes (0 and O, 1, I and L, S, Z, B, 8, G, Q, U, V). Since 23 is prime, the weighted check finds every single
 * wrong sign and every two neighbours swapped.
 */
public final class LayerCode {

    /** How many layers can have a code. */
    public static final int CAPACITY = 23 * 23 * 23 * 23;

    private static final String SIGNS = "234579ACDEFHJKMNPRTWXY6";
    // coprime to 23: neighbours in number are far apart in writing, so that two tags of a batch are hard to mix up
    private static final int SPREAD = 104_729;

    // SPREAD * UNSPREAD = 1 mod CAPACITY
    private static final int UNSPREAD =
            BigInteger.valueOf(SPREAD).modInverse(BigInteger.valueOf(CAPACITY)).intValue();

    private LayerCode() {}

    /**
     * The code of the n-th layer of a nursery, from 0.
     *
     * @throws OutOfRangeException if the number is below 0 or as large as {@link #CAPACITY}
     */
    public static String of(int number) {
        Require.within("layer number", number, 0, CAPACITY - 1);
        long spread = (long) number * SPREAD % CAPACITY;
        StringBuilder body = new StringBuilder();
        for (int i = 0; i < 4; i++) {
            body.append(SIGNS.charAt((int) (spread % 23)));
            spread /= 23;
        }
        return body.substring(0, 3) + "-" + body.charAt(3) + check(body);
    }

    /**
     * Which layer of a nursery has a code: the other way round than {@link #of}.
     *
     * @return from 0 to {@link #CAPACITY}, exclusive
     * @throws IllegalArgumentException if it is no code as written on labels
     */
    public static int number(String code) {
        if (!parse(code).filter(code::equals).isPresent()) {
            throw new IllegalArgumentException("layer code is \"" + code + "\"; it must be one like 7KM-4X");
        }
        String plain = code.replace("-", "");
        long spread = 0;
        for (int i = 3; i >= 0; i--) {
            spread = spread * 23 + SIGNS.indexOf(plain.charAt(i));
        }
        return (int) (spread * UNSPREAD % CAPACITY);
    }

    /** The code as written on labels, from typed text with or without its dash; empty if a sign is wrong. */
    public static Optional<String> parse(String typed) {
        String plain = plain(typed);
        return plain.length() == 5 && areSigns(plain) && check(plain.substring(0, 4)) == plain.charAt(4)
                ? Optional.of(written(plain))
                : Optional.empty();
    }

    /**
     * What codes begin with, as it is written on labels, from typed text with or without its dash; empty where no code
     * begins so.
     *
     * @param typed any text
     */
    public static Optional<String> beginning(String typed) {
        String plain = plain(typed);
        return !plain.isEmpty() && plain.length() <= 5 && areSigns(plain)
                ? Optional.of(written(plain))
                : Optional.empty();
    }

    private static String plain(String typed) {
        return typed.strip().toUpperCase(Locale.ROOT).replace("-", "").replace(" ", "");
    }

    private static boolean areSigns(String plain) {
        return plain.chars().allMatch(sign -> SIGNS.indexOf(sign) >= 0);
    }

    private static String written(String plain) {
        return plain.length() <= 3 ? plain : plain.substring(0, 3) + "-" + plain.substring(3);
    }

    private static char check(CharSequence body) {
        int sum = 0;
        for (int i = 0; i < 4; i++) {
            sum += (i + 2) * SIGNS.indexOf(body.charAt(i));
        }
        return SIGNS.charAt(sum % 23);
    }
}
