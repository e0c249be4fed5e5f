package stillpond.app.account;

import java.util.List;

/** What people call the browser behind a User-Agent (RFC 9110), roughly: enough to tell one's own sessions apart. */
final class Browsers {

    private record Sign(String part, String name) {}

    /** The first that fits: most browsers also call themselves by the names further down. */
    private static final List<Sign> BROWSERS = List.of(
            new Sign("Edg/", "Edge"),
            new Sign("OPR/", "Opera"),
            new Sign("Firefox/", "Firefox"),
            new Sign("Chrome/", "Chrome"),
            new Sign("Safari/", "Safari"));

    private static final List<Sign> SYSTEMS = List.of(
            new Sign("Android", "Android"),
            new Sign("iPad", "iPad"),
            new Sign("iPhone", "iPhone"),
            new Sign("Windows", "Windows"),
            new Sign("Mac OS", "macOS"),
            new Sign("Linux", "Linux"));

    private Browsers() {}

    static String called(String userAgent) {
        String browser = find(BROWSERS, userAgent, "A browser");
        String system = find(SYSTEMS, userAgent, "");
        return system.isEmpty() ? browser : browser + " on " + system;
    }

    private static String find(List<Sign> signs, String userAgent, String otherwise) {
        return signs.stream()
                .filter(sign -> userAgent.contains(sign.part()))
                .findFirst()
                .map(Sign::name)
                .orElse(otherwise);
    }
}
