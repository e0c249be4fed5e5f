package stillpond.app.account;

import java.text.Normalizer;
import java.util.Locale;
import stillpond.core.refusal.Refusal;

/** The rule for passwords that people choose: long, any characters, nothing that is the name, nothing that is one character over and over (OWASP ASVS 4, 2.1). */
final class NewPassword {

    static final int SHORTEST = 12;
    static final int LONGEST = 128;
    private static final int LEAST_CHARACTERS = 5;

    private NewPassword() {}

    /** @throws Refusal for the user to read */
    static String of(String typed, String signInName) {
        String password = normalized(typed);
        int length = password.codePointCount(0, password.length());
        if (length < SHORTEST) {
            throw new Refusal("A password has at least " + SHORTEST + " characters: a few words do well.");
        }
        if (length > LONGEST) {
            throw new Refusal("A password has up to " + LONGEST + " characters.");
        }
        if (password.chars().distinct().count() < LEAST_CHARACTERS) {
            throw new Refusal("This password repeats a few characters only. Choose another.");
        }
        String name = signInName.strip().toLowerCase(Locale.ROOT);
        if (!name.isEmpty()
                && password.toLowerCase(Locale.ROOT).replace(name, "").length() < SHORTEST / 2) {
            throw new Refusal("This password is little more than your name. Choose another.");
        }
        return password;
    }

    /** However a keyboard composes its letters, they are the same ones. */
    static String normalized(String typed) {
        return Normalizer.normalize(typed, Normalizer.Form.NFC);
    }
}
