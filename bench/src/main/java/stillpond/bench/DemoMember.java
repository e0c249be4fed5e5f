package stillpond.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody of the demo, with a session of their own and no browser. */
public final class DemoMember {

    private static final Pattern TOKEN = Pattern.compile("name=\"csrf-token\" content=\"([^\"]+)\"");
    private static final Pattern INVITATION = Pattern.compile("(/join/[A-Za-z0-9_-]{43})\"");
    private static final Pattern PROJECT = Pattern.compile("href=\"(/projects/[0-9a-f-]{36})\"");
    private static final Pattern LAYER = Pattern.compile("\"layer\":\\{\"id\":\"([0-9a-f-]{36})\"");
    private static final Pattern CELLS = Pattern.compile("\"cellCount\":(\\d+)");
    private static final Pattern SWATCH = Pattern.compile("\"id\":\"([0-9a-f-]{36})\",\"name\":\"[^\"]*\",\"part\"");
    private static final Duration PATIENCE = Duration.ofSeconds(60);
    private static final Duration LONG_PATIENCE = Duration.ofMinutes(30);

    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(new CookieManager())
            .build();
    private final String url;
    private String token = "";

    /** @param who {@code lead} or {@code colourist} */
    public DemoMember(String url, String who) throws IOException, InterruptedException {
        this.url = url;
        token = first(TOKEN, get("/sign-in").body());
        send(request("/demo/sign-in")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString("who=" + who)));
        token = first(TOKEN, get("/").body());
    }

    private DemoMember(String url) {
        this.url = url;
    }

    /** Somebody with an account of their own, whom this lead invites to a project: nobody has more than a share of the server, so fifty people are fifty accounts. */
    public DemoMember invite(String project) throws IOException, InterruptedException {
        submit(project + "/members/invite", "role=COLOURIST");
        String link = first(INVITATION, get(project + "/members").body());
        DemoMember invited = new DemoMember(url);
        invited.token = first(TOKEN, invited.get(link).body());
        String name = "hand" + UUID.randomUUID().toString().substring(0, 8);
        HttpResponse<String> joined = invited.submit(
                link + "/account", "name=" + name + "&shown=" + name + "&password=four+quiet+words+here");
        if (joined.statusCode() != 302) {
            throw new IllegalStateException("Nobody could join: " + joined.statusCode() + " " + joined.body());
        }
        invited.token = first(TOKEN, invited.get("/").body());
        return invited;
    }

    /**
     * What is known of a sheet to work on it.
     *
     * @param address without the server
     */
    public record Desk(String address, String layer, int cells, List<String> swatches) {

        /** A change that lays one swatch on one cell, as a message in JSON. */
        public String laying(UUID id, int swatch, int cell) {
            return "{\"id\":\"" + id + "\",\"kind\":\"lay\",\"layer\":\"" + layer + "\",\"fills\":{\""
                    + swatches.get(swatch) + "\":[" + cell + "]}}";
        }
    }

    /** The address of the demo's project: of all that the member has, and drills bring in some, the one with the most sheets. */
    public String project() throws IOException, InterruptedException {
        List<String> projects = PROJECT.matcher(get("/").body())
                .results()
                .map(result -> result.group(1))
                .distinct()
                .toList();
        String largest = "";
        int most = 0;
        for (String project : projects) {
            int count = sheets(project).size();
            if (count > most) {
                largest = project;
                most = count;
            }
        }
        if (most == 0) {
            throw new IllegalStateException("The demo shows no project with a sheet.");
        }
        return largest;
    }

    /** The addresses of its sheets. */
    public List<String> sheets() throws IOException, InterruptedException {
        return sheets(project());
    }

    /** The addresses of the sheets of a project. */
    public List<String> sheets(String project) throws IOException, InterruptedException {
        Matcher matcher = Pattern.compile("href=\"(" + project + "/sheets/[0-9a-f-]{36})\"")
                .matcher(get(project).body());
        return matcher.results().map(result -> result.group(1)).distinct().toList();
    }

    public Desk desk(String sheet) throws IOException, InterruptedException {
        String state = get(sheet + "/desk").body();
        List<String> swatches =
                SWATCH.matcher(state).results().map(result -> result.group(1)).toList();
        if (swatches.isEmpty()) {
            throw new IllegalStateException("The desk of " + sheet + " names no swatch to fill with.");
        }
        return new Desk(sheet, first(LAYER, state), Integer.parseInt(first(CELLS, state)), swatches);
    }

    public HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return send(request(path));
    }

    public HttpResponse<String> post(String path, String json) throws IOException, InterruptedException {
        return send(request(path).header("Content-Type", "application/json").POST(BodyPublishers.ofString(json)));
    }

    public HttpResponse<String> submit(String path, String form) throws IOException, InterruptedException {
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(form)));
    }

    /** Sends one file the way a form does. */
    public HttpResponse<String> upload(String path, String name, byte[] file) throws IOException, InterruptedException {
        String boundary = "----pond";
        String head = "--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                + "\"\r\nContent-Type: application/octet-stream\r\n\r\n";
        return send(request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(BodyPublishers.concat(
                        BodyPublishers.ofString(head),
                        BodyPublishers.ofByteArray(file),
                        BodyPublishers.ofByteArray(
                                ("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.US_ASCII)))));
    }

    /** Keeps what is answered, however long it takes. */
    public HttpResponse<Path> keep(String path, Path file) throws IOException, InterruptedException {
        return client.send(request(path).timeout(LONG_PATIENCE).build(), BodyHandlers.ofFile(file));
    }

    /** Sends a file as the whole body, however long it takes. */
    public HttpResponse<String> sendFile(String path, Path file) throws IOException, InterruptedException {
        return send(request(path)
                .timeout(LONG_PATIENCE)
                .header("Content-Type", "application/octet-stream")
                .POST(BodyPublishers.ofFile(file)));
    }

    /** Likewise, of what is in memory. */
    public HttpResponse<String> sendFile(String path, byte[] file) throws IOException, InterruptedException {
        return send(request(path)
                .header("Content-Type", "application/octet-stream")
                .POST(BodyPublishers.ofByteArray(file)));
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(url + path))
                .timeout(PATIENCE)
                .header("X-Requested-With", "desk")
                .header("X-CSRF-TOKEN", token);
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return client.send(request.build(), BodyHandlers.ofString());
    }

    private static String first(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        if (!matcher.find()) {
            throw new IllegalStateException("No " + pattern + " in the answer.");
        }
        return matcher.group(1);
    }
}
