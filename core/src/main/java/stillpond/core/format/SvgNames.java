package stillpond.core.format;

import java.util.HashSet;
import java.util.Locale;
import java.util.Set;

/** Names as identifiers that XML and CSS take, each once. */
final class SvgNames {

    private final Set<String> taken = new HashSet<>();

    /** Letters and digits of a name, the others as hyphens; with a number if it is taken. */
    String unique(String name) {
        StringBuilder id = new StringBuilder();
        name.strip().toLowerCase(Locale.ROOT).codePoints().forEach(letter -> {
            boolean isPlain = letter < 128 && Character.isLetterOrDigit(letter);
            if (isPlain) {
                id.appendCodePoint(letter);
            } else if (id.length() > 0 && id.charAt(id.length() - 1) != '-') {
                id.append('-');
            }
        });
        while (id.length() > 0 && id.charAt(id.length() - 1) == '-') {
            id.setLength(id.length() - 1);
        }
        if (id.length() == 0 || !Character.isLetter(id.charAt(0))) {
            id.insert(0, "c-");
        }
        String plain = id.toString();
        String free = plain;
        for (int i = 2; !taken.add(free); i++) {
            free = plain + "-" + i;
        }
        return free;
    }

    /** A text between tags or in quotes. What XML 1.0 has no place for is left out. */
    static String text(String text) {
        StringBuilder out = new StringBuilder();
        text.codePoints().forEach(letter -> {
            switch (letter) {
                case '&' -> out.append("&amp;");
                case '<' -> out.append("&lt;");
                case '>' -> out.append("&gt;");
                case '"' -> out.append("&quot;");
                default -> {
                    boolean isAllowed = letter == '\t' || letter >= 0x20 && letter != 0xfffe && letter != 0xffff;
                    if (isAllowed && !(letter >= 0xd800 && letter <= 0xdfff)) {
                        out.appendCodePoint(letter);
                    }
                }
            }
        });
        return out.toString();
    }
}
