package stillpond.app.support;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;

/** Somebody with a session but no browser. */
public final class Visitor {

    private static final Pattern TOKEN = Pattern.compile("name=\"csrf-token\" content=\"([^\"]+)\"");

    private final String url;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    private String token = "";

    private Visitor(String url) {
        this.url = url;
    }

    public static Visitor anonymous(TestPond pond) {
        return new Visitor(pond.url());
    }

    public static Visitor signedIn(TestPond pond, String name) {
        Visitor visitor = new Visitor(pond.url());
        visitor.readToken("/sign-in");
        visitor.send(visitor.request("/sign-in")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString("username=" + encode(name) + "&password=" + encode(TestPond.PASSWORD))));
        visitor.readToken("/");
        return visitor;
    }

    public HttpResponse<String> get(String path) {
        return send(request(path));
    }

    public HttpResponse<String> post(String path, String json) {
        return send(request(path)
                .header("Content-Type", "application/json")
                .header("X-Requested-With", "desk")
                .POST(BodyPublishers.ofString(json)));
    }

    /** Gets an address with a query of fields and values, taken in turns. */
    public HttpResponse<String> ask(String path, String... fields) {
        return get(path + "?" + form(fields));
    }

    /** Sends a form of fields and values, taken in turns. */
    public HttpResponse<String> submit(String path, String... fields) {
        return send(path, form(fields));
    }

    /** Sends a form that is written already. */
    public HttpResponse<String> send(String path, String form) {
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(form)));
    }

    /** Fields and values, taken in turns, as a form or a query writes them. */
    public static String form(String... fields) {
        StringBuilder form = new StringBuilder();
        for (int i = 0; i < fields.length; i += 2) {
            form.append(i == 0 ? "" : "&").append(encode(fields[i])).append('=').append(encode(fields[i + 1]));
        }
        return form.toString();
    }

    /** A file as it is answered. */
    public byte[] download(String path) {
        try {
            return client.send(request(path).build(), BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** A picture as it is answered. */
    public BufferedImage picture(String path) {
        try {
            return ImageIO.read(client.send(request(path).build(), BodyHandlers.ofInputStream())
                    .body());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Sends one file the way a form does. */
    public HttpResponse<String> upload(String path, String fileName, byte[] file) {
        String boundary = "----pond";
        String head = "--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + fileName
                + "\"\r\nContent-Type: application/octet-stream\r\n\r\n";
        return send(request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .header("X-Requested-With", "desk")
                .POST(BodyPublishers.concat(
                        BodyPublishers.ofString(head),
                        BodyPublishers.ofByteArray(file),
                        BodyPublishers.ofString("\r\n--" + boundary + "--\r\n"))));
    }

    /** Sends a file as the whole body. */
    public HttpResponse<String> sendFile(String path, byte[] file) {
        return send(request(path)
                .header("Content-Type", "application/octet-stream")
                .header("X-Requested-With", "desk")
                .POST(BodyPublishers.ofByteArray(file)));
    }

    /** Announces a body of some length, sends only its beginning, says that nothing more will come, and returns what is answered. */
    public String sendAndHangUp(String path, String contentType, String beginning, int announcedBytes)
            throws IOException {
        URI address = URI.create(url);
        String cookie = cookies.getCookieStore().getCookies().stream()
                .map(each -> each.getName() + "=" + each.getValue())
                .collect(Collectors.joining("; "));
        String request = "POST " + path + " HTTP/1.1\r\nHost: " + address.getAuthority() + "\r\nCookie: " + cookie
                + "\r\nX-CSRF-TOKEN: " + token + "\r\nContent-Type: " + contentType + "\r\nContent-Length: "
                + announcedBytes + "\r\n\r\n" + beginning;
        try (Socket socket = new Socket(address.getHost(), address.getPort())) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            socket.shutdownOutput();
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.ISO_8859_1);
        }
    }

    /** What the session is told by: names and values. */
    public Map<String, String> cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .collect(Collectors.toMap(HttpCookie::getName, HttpCookie::getValue));
    }

    /** Takes the token that forms are sent with from a page. */
    public void readToken(String path) {
        Matcher matcher = TOKEN.matcher(get(path).body());
        if (!matcher.find()) {
            throw new IllegalStateException(path + " has no token; is the visitor signed in?");
        }
        token = matcher.group(1);
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(url + path)).header("X-CSRF-TOKEN", token);
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return client.send(request.build(), BodyHandlers.ofString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String encode(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8);
    }
}
