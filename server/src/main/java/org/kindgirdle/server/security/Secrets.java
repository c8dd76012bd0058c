package org.kindgirdle.server.security;

import java.security.SecureRandom;
import java.util.Base64;
import org.kindgirdle.server.digest.Sha256;

/** Random tokens, and the hashes under which they are kept. */
public final class Secrets {

    private static final int BYTES = 24;
    private static final SecureRandom RANDOM = new SecureRandom();

    private Secrets() {}

    public static String token() {
        byte[] secret = new byte[BYTES];
        RANDOM.nextBytes(secret);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
    }

    public static String hash(String token) {
        return Sha256.hex(token);
    }
}
