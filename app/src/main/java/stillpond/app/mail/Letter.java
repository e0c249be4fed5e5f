package stillpond.app.mail;

import java.util.regex.Pattern;
import stillpond.core.refusal.Refusal;

/** A letter in plain text. */
public record Letter(String to, String subject, String text) {

    private static final int LONGEST = 200;
    /** Not every address of RFC 5321, but no line breaks, and one at sign with something on both sides. */
    private static final Pattern ADDRESS = Pattern.compile("[^\\s@,;<>\"]+@[^\\s@,;<>\"]+");

    /** What was typed as an address, as letters are sent to it. @throws Refusal if it is none */
    public static String address(String typed) {
        String address = typed.strip();
        if (address.length() > LONGEST || !ADDRESS.matcher(address).matches()) {
            throw new Refusal("This is no mail address.");
        }
        return address;
    }
}
