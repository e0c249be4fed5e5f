package stillpond.app.passkey;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.JdbcOperations;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.JdbcUserCredentialRepository;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import stillpond.app.account.Accounts;
import stillpond.app.account.Audit;
import stillpond.app.account.SignedIn;
import stillpond.core.refusal.Refusal;

/** Adds passkeys to accounts, and recognises people by them. A passkey is asked to make sure of its person itself, so it stands for both factors. */
@Service
@Transactional
class Passkeys {

    private static final int MOST = 20;
    private static final int LONGEST_LABEL = 60;
    /** Browsers give no passkeys to a bare address. */
    private static final Pattern BARE_ADDRESS = Pattern.compile("[0-9.]+|\\[.*]");

    private final AccountEntities entities;
    private final UserCredentialRepository credentials;
    private final Accounts accounts;
    private final Audit audit;

    Passkeys(AccountEntities entities, JdbcOperations database, Accounts accounts, Audit audit) {
        this.entities = entities;
        this.credentials = new JdbcUserCredentialRepository(database);
        this.accounts = accounts;
        this.audit = audit;
    }

    /** One as its person sees it. @param id base64url */
    record Passkey(String id, String label, Instant added, Instant used) {}

    /** Whether a browser gives passkeys to the name by which this server was called. */
    static boolean areGivenTo(HttpServletRequest request) {
        return !BARE_ADDRESS.matcher(request.getServerName()).matches();
    }

    /** For the server by the name by which it was called: only names that it is known by get this far, and passkeys belong to one name. */
    private WebAuthnRelyingPartyOperations at(HttpServletRequest request) {
        if (!areGivenTo(request)) {
            throw new Refusal(
                    "Browsers give passkeys to names only. Come by the name of this server, not by its bare address.");
        }
        Webauthn4JRelyingPartyOperations operations = new Webauthn4JRelyingPartyOperations(
                entities,
                credentials,
                PublicKeyCredentialRpEntity.builder()
                        .id(request.getServerName())
                        .name("Still Pond")
                        .build(),
                Set.of(ServletUriComponentsBuilder.fromContextPath(request)
                        .build()
                        .toUriString()));
        operations.setCustomizeCreationOptions(
                options -> options.authenticatorSelection(AuthenticatorSelectionCriteria.builder()
                        .residentKey(ResidentKeyRequirement.REQUIRED)
                        .userVerification(UserVerificationRequirement.REQUIRED)
                        .build()));
        operations.setCustomizeRequestOptions(
                options -> options.userVerification(UserVerificationRequirement.REQUIRED));
        return operations;
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Passkey> of(UUID account) {
        return credentials.findByUserId(AccountEntities.idOf(account)).stream()
                .map(each -> new Passkey(
                        each.getCredentialId().toBase64UrlString(),
                        each.getLabel(),
                        each.getCreated(),
                        each.getLastUsed()))
                .sorted(Comparator.comparing(Passkey::added).reversed())
                .toList();
    }

    /** What a device is asked to make one for. @throws Refusal if there are too many */
    PublicKeyCredentialCreationOptions offer(SignedIn person, Authentication known, HttpServletRequest request) {
        if (of(person.id()).size() >= MOST) {
            throw new Refusal("An account has up to " + MOST + " passkeys. Remove one first.");
        }
        return at(request)
                .createPublicKeyCredentialCreationOptions(
                        new ImmutablePublicKeyCredentialCreationOptionsRequest(known));
    }

    /** @param options what was offered @throws Refusal if it is not what was offered */
    void add(
            SignedIn person,
            PublicKeyCredentialCreationOptions options,
            RelyingPartyPublicKey made,
            HttpServletRequest request) {
        String label = made.getLabel().strip();
        if (label.isEmpty() || label.length() > LONGEST_LABEL) {
            throw new Refusal("A passkey is called something, in up to " + LONGEST_LABEL + " letters.");
        }
        try {
            at(request)
                    .registerCredential(new ImmutableRelyingPartyRegistrationRequest(
                            options, new RelyingPartyPublicKey(made.getCredential(), label)));
        } catch (Refusal refusal) {
            throw refusal;
        } catch (RuntimeException unfit) {
            throw new Refusal("This is not the passkey that was asked for. Nothing was added; try again.");
        }
        audit.note(person.id(), null, Audit.Kind.ACCOUNT, "Added the passkey " + label);
    }

    /** @throws java.util.NoSuchElementException if the account has no such passkey */
    void remove(SignedIn person, String id) {
        Passkey removed = of(person.id()).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow();
        credentials.delete(Bytes.fromBase64(id));
        audit.note(person.id(), null, Audit.Kind.ACCOUNT, "Removed the passkey " + removed.label());
    }

    /** What a device is asked to show a passkey for, whoever it is of. */
    PublicKeyCredentialRequestOptions ask(HttpServletRequest request) {
        return at(request).createCredentialRequestOptions(new ImmutablePublicKeyCredentialRequestOptionsRequest(null));
    }

    /** @param options what was asked @throws Refusal if it is no passkey of anybody here */
    SignedIn recognise(
            PublicKeyCredentialRequestOptions options,
            PublicKeyCredential<AuthenticatorAssertionResponse> shown,
            HttpServletRequest request) {
        try {
            PublicKeyCredentialUserEntity entity =
                    at(request).authenticate(new RelyingPartyAuthenticationRequest(options, shown));
            return accounts.find(entity.getName()).orElseThrow();
        } catch (RuntimeException unfit) {
            throw new Refusal("This passkey is of nobody here. Sign in by name and password.");
        }
    }
}
