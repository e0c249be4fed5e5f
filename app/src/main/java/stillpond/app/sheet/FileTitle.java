package stillpond.app.sheet;

import java.util.regex.Pattern;

/** A title made from the name of a file, which is only ever shown, never used as a path. */
public final class FileTitle {

    static final int MAX_LENGTH = 120;

    private static final Pattern PATH = Pattern.compile("^.*[/\\\\]", Pattern.DOTALL);
    private static final Pattern ENDING = Pattern.compile("\\.[A-Za-z0-9]{1,5}$");

    /** Control characters, and those that turn the direction of writing around. */
    private static final Pattern UNPRINTABLE = Pattern.compile("[\\p{Cc}\\p{Cf}]");

    private FileTitle() {}

    public static String of(String fileName) {
        String name = PATH.matcher(fileName == null ? "" : fileName).replaceFirst("");
        name = UNPRINTABLE.matcher(name).replaceAll("");
        name = ENDING.matcher(name).replaceFirst("").replace('_', ' ').strip();
        if (name.isEmpty()) {
            return "Untitled sheet";
        }
        return name.length() > MAX_LENGTH ? name.substring(0, MAX_LENGTH) : name;
    }
}
