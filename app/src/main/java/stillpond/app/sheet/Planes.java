package stillpond.app.sheet;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What never changes once it is there (source files, ink, cells), known by the SHA-256 of its bytes. */
@Service
@Transactional
public class Planes {

    private final PlaneRepository planes;

    Planes(PlaneRepository planes) {
        this.planes = planes;
    }

    /** Keeps some bytes and returns their name; the same bytes are kept once. */
    public String keep(byte[] content) {
        String name = nameOf(content);
        planes.insertIfAbsent(name, content);
        return name;
    }

    /** @throws java.util.NoSuchElementException if no plane has this name */
    @Transactional(readOnly = true)
    public byte[] content(String name) {
        return planes.findById(name).orElseThrow().content();
    }

    static String nameOf(byte[] content) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java platform has SHA-256.", e);
        }
    }
}
