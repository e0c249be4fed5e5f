package stillpond.app.passkey;

import java.nio.ByteBuffer;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.stereotype.Component;
import stillpond.app.account.Accounts;
import stillpond.app.account.SignedIn;

/** Accounts as passkeys know them: by the bytes of their ids, which say nothing about anybody. */
@Component
class AccountEntities implements PublicKeyCredentialUserEntityRepository {

    private static final int BYTES = 16;

    private final Accounts accounts;

    AccountEntities(Accounts accounts) {
        this.accounts = accounts;
    }

    static Bytes idOf(UUID account) {
        return new Bytes(ByteBuffer.allocate(BYTES)
                .putLong(account.getMostSignificantBits())
                .putLong(account.getLeastSignificantBits())
                .array());
    }

    private static Optional<UUID> accountOf(Bytes id) {
        if (id.getBytes().length != BYTES) {
            return Optional.empty();
        }
        ByteBuffer bytes = ByteBuffer.wrap(id.getBytes());
        return Optional.of(new UUID(bytes.getLong(), bytes.getLong()));
    }

    @Override
    public @Nullable PublicKeyCredentialUserEntity findById(Bytes id) {
        return accountOf(id)
                .flatMap(accounts::find)
                .map(AccountEntities::entity)
                .orElse(null);
    }

    @Override
    public @Nullable PublicKeyCredentialUserEntity findByUsername(String name) {
        return accounts.find(name).map(AccountEntities::entity).orElse(null);
    }

    private static PublicKeyCredentialUserEntity entity(SignedIn person) {
        return ImmutablePublicKeyCredentialUserEntity.builder()
                .id(idOf(person.id()))
                .name(person.signInName())
                .displayName(person.displayName())
                .build();
    }

    @Override
    public void save(PublicKeyCredentialUserEntity entity) {
        throw new UnsupportedOperationException("Accounts are opened elsewhere.");
    }

    @Override
    public void delete(Bytes id) {
        throw new UnsupportedOperationException("Accounts are closed elsewhere.");
    }
}
