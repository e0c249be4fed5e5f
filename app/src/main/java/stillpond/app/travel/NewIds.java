package stillpond.app.travel;

import java.nio.ByteBuffer;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.UUID;
import java.util.regex.Pattern;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Gives every id of a file a new one that nobody can foretell, the same id always the same: so no file can reach anything that is here already, whatever ids
 * it names, and one file can be taken as often as wanted.
 */
final class NewIds {

    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");
    private static final int SALT_BYTES = 32;
    private static final int VERSION_8 = 0x8000;
    private static final long VERSION = 0xf000L;
    private static final long VARIANT = 0xc000000000000000L;
    private static final long RFC_9562 = 0x8000000000000000L;

    private final byte[] salt = new byte[SALT_BYTES];

    NewIds() {
        new SecureRandom().nextBytes(salt);
    }

    /** A UUID of version 8 (RFC 9562, 5.8) from SHA-256. */
    UUID of(UUID id) {
        ByteBuffer named = ByteBuffer.allocate(SALT_BYTES + 2 * Long.BYTES);
        named.put(salt).putLong(id.getMostSignificantBits()).putLong(id.getLeastSignificantBits());
        try {
            ByteBuffer hash =
                    ByteBuffer.wrap(MessageDigest.getInstance("SHA-256").digest(named.array()));
            return new UUID(hash.getLong() & ~VERSION | VERSION_8, hash.getLong() & ~VARIANT | RFC_9562);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java platform has SHA-256.", e);
        }
    }

    /** @throws Refusal if an id is none */
    void renew(TravelTable table, ObjectNode row) {
        table.travelling().forEach(column -> {
            JsonNode value = row.path(column.member());
            if (column.kind() == Column.Kind.ID && !value.isNull() && !value.isMissingNode()) {
                row.put(column.member(), id(table, value));
            } else if (column.kind() == Column.Kind.TEXT_WITH_IDS) {
                row.set(column.member(), inTexts(value));
            }
        });
    }

    private String id(TravelTable table, JsonNode value) {
        if (!value.isString() || !ID.matcher(value.stringValue()).matches()) {
            throw new Refusal("There is an id in '" + table.member() + "' that is none.");
        }
        return of(UUID.fromString(value.stringValue())).toString();
    }

    private JsonNode inTexts(JsonNode value) {
        if (value instanceof ArrayNode texts) {
            ArrayNode renewed = JsonNodeFactory.instance.arrayNode(texts.size());
            texts.forEach(each -> renewed.add(inTexts(each)));
            return renewed;
        }
        return value.isString() ? JsonNodeFactory.instance.stringNode(inText(value.stringValue())) : value;
    }

    private String inText(String text) {
        return ID.matcher(text)
                .replaceAll(found -> of(UUID.fromString(found.group())).toString());
    }
}
