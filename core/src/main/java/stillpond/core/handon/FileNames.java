package stillpond.core.handon;

import java.util.HashSet;
import java.util.Locale;
import java.util.Set;

/** Names of things as names of files that every common file system takes: none twice, not even in capitals. */
public final class FileNames {

    private static final int LONGEST = 80;
    /** What Windows and FAT keep to themselves; others refuse less. */
    private static final String FORBIDDEN = "\\/:*?\"<>|";

    private static final Set<String> DEVICES = Set.of(
            "con", "prn", "aux", "nul", "com1", "com2", "com3", "com4", "com5", "com6", "com7", "com8", "com9", "lpt1",
            "lpt2", "lpt3", "lpt4", "lpt5", "lpt6", "lpt7", "lpt8", "lpt9");

    private final Set<String> taken = new HashSet<>();

    /** A name without what file systems refuse; "unnamed" if nothing is left. */
    public static String safe(String name) {
        StringBuilder kept = new StringBuilder();
        name.codePoints().forEach(letter -> {
            boolean isHidden = Character.isISOControl(letter)
                    || Character.getType(letter) == Character.FORMAT
                    || letter >= 0xd800 && letter <= 0xdfff;
            if (!isHidden) {
                kept.appendCodePoint(FORBIDDEN.indexOf(letter) >= 0 || Character.isWhitespace(letter) ? ' ' : letter);
            }
        });
        String one = String.join(" ", kept.toString().strip().split(" +"));
        String cut = one.length() > LONGEST ? one.substring(0, one.offsetByCodePoints(0, fitting(one))) : one;
        String plain = withoutEnds(cut);
        if (plain.isEmpty()) {
            return "unnamed";
        }
        return DEVICES.contains(plain.toLowerCase(Locale.ROOT)) ? plain + " file" : plain;
    }

    /** How many letters have a length of {@value #LONGEST} at the most. */
    private static int fitting(String text) {
        int letters = text.codePointCount(0, LONGEST);
        return Character.isHighSurrogate(text.charAt(LONGEST - 1)) ? letters - 1 : letters;
    }

    private static String withoutEnds(String name) {
        int from = 0;
        int to = name.length();
        while (from < to && (name.charAt(from) == '.' || name.charAt(from) == ' ')) {
            from++;
        }
        while (to > from && (name.charAt(to - 1) == '.' || name.charAt(to - 1) == ' ')) {
            to--;
        }
        return name.substring(from, to);
    }

    /** As {@link #safe}, with a number if it was given before. @param ending such as ".png" */
    public String unique(String name, String ending) {
        String plain = safe(name);
        String free = plain;
        for (int i = 2; !taken.add((free + ending).toLowerCase(Locale.ROOT)); i++) {
            free = plain + " " + i;
        }
        return free + ending;
    }
}
