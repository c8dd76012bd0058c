package org.kindgirdle.server.digest;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256, as lower-case hexadecimal digits. */
public final class Sha256 {

    private Sha256() {}

    /** Of the text's UTF-8 bytes. */
    public static String hex(String text) {
        return hex(text.getBytes(StandardCharsets.UTF_8));
    }

    public static String hex(byte[] bytes) {
        return HexFormat.of().formatHex(digest().digest(bytes));
    }

    /** Of what went through a digest so far; the digest begins anew. */
    public static String hex(MessageDigest digest) {
        return HexFormat.of().formatHex(digest.digest());
    }

    /** A fresh one, for what comes in piece by piece. */
    public static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
