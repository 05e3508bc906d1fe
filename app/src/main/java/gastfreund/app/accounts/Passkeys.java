package gastfreund.app.accounts;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.pages.Address;
import java.net.URI;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Passkeys of accounts (W3C Web Authentication, by Spring Security). They open an account alone, so that whoever uses one has
 * to show to their device that it is them. What a browser is asked to sign is kept here and serves once.
 */
@Service
public class Passkeys {

    private static final Logger LOG = LoggerFactory.getLogger(Passkeys.class);

    /** So many an account can have. */
    static final int MOST = 20;

    private static final Duration ASKED = Duration.ofMinutes(5);

    private static final JsonMapper JSON =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

    /** A passkey as its guest sees it. */
    public record Passkey(String id, String label, Instant made, Instant used) {}

    private final PasskeyStore store;
    private final AccountStore accounts;
    private final Accounts visits;
    private final CatalogueService catalogues;
    private final Address address;
    private final Clock clock;

    Passkeys(
            PasskeyStore store,
            AccountStore accounts,
            Accounts visits,
            CatalogueService catalogues,
            Address address,
            Clock clock) {
        this.store = store;
        this.accounts = accounts;
        this.visits = visits;
        this.catalogues = catalogues;
        this.address = address;
        this.clock = clock;
    }

    /** Accounts as passkeys know them. */
    private final class Owners implements PublicKeyCredentialUserEntityRepository {

        private PublicKeyCredentialUserEntity of(Account account) {
            return ImmutablePublicKeyCredentialUserEntity.builder()
                    .id(Bytes.fromBase64(account.handle()))
                    .name(account.email())
                    .displayName(account.email())
                    .build();
        }

        @Override
        public @Nullable PublicKeyCredentialUserEntity findById(Bytes handle) {
            return accounts.byHandle(handle.toBase64UrlString()).map(this::of).orElse(null);
        }

        @Override
        public @Nullable PublicKeyCredentialUserEntity findByUsername(String email) {
            return accounts.byEmail(email).map(this::of).orElse(null);
        }

        @Override
        public void save(PublicKeyCredentialUserEntity owner) {
            throw new UnsupportedOperationException("accounts are made by links");
        }

        @Override
        public void delete(Bytes handle) {
            throw new UnsupportedOperationException("accounts are deleted by their guests");
        }
    }

    /** The rules of the house's own address, for a challenge. */
    private Webauthn4JRelyingPartyOperations rules(String challenge) {
        URI own = URI.create(address.of(""));
        PublicKeyCredentialRpEntity house = PublicKeyCredentialRpEntity.builder()
                .id(own.getHost())
                .name(catalogues.catalogue().house().name())
                .build();
        String origin = own.getScheme() + "://" + own.getAuthority();
        Webauthn4JRelyingPartyOperations rules =
                new Webauthn4JRelyingPartyOperations(new Owners(), store, house, Set.of(origin));
        rules.setCustomizeCreationOptions(options -> options.challenge(Bytes.fromBase64(challenge))
                .timeout(ASKED)
                .authenticatorSelection(AuthenticatorSelectionCriteria.builder()
                        .residentKey(ResidentKeyRequirement.REQUIRED)
                        .userVerification(UserVerificationRequirement.REQUIRED)
                        .build()));
        rules.setCustomizeRequestOptions(options -> options.challenge(Bytes.fromBase64(challenge))
                .timeout(ASKED)
                .userVerification(UserVerificationRequirement.REQUIRED));
        return rules;
    }

    private String challenge(@Nullable Long account) {
        String challenge = Bytes.random().toBase64UrlString();
        store.insertChallenge(challenge, account, clock.instant());
        return challenge;
    }

    /** What the browser of somebody who is in is asked to make a passkey from, as JSON. */
    @Transactional
    String askToMake(Account account) {
        return JSON.writeValueAsString(creation(rules(challenge(account.id())), account));
    }

    private static org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions creation(
            Webauthn4JRelyingPartyOperations rules, Account account) {
        return rules.createPublicKeyCredentialCreationOptions(new ImmutablePublicKeyCredentialCreationOptionsRequest(
                UsernamePasswordAuthenticationToken.authenticated(account.email(), null, List.of())));
    }

    /** What a browser whose guest is not known is asked to sign, as JSON. */
    @Transactional
    String askToEnter() {
        String challenge = challenge(null);
        return JSON.writeValueAsString(rules(challenge).createCredentialRequestOptions(() -> null));
    }

    /** Whether an answer has all that is looked at, as texts. */
    private static boolean isWhole(JsonNode answer, String... ofResponse) {
        JsonNode credential = answer.path("credential");
        JsonNode response = credential.path("response");
        return Stream.of("id", "rawId", "type").allMatch(name -> isText(credential.path(name)))
                && isText(response.path("clientDataJSON"))
                && Stream.of(ofResponse).allMatch(name -> isText(response.path(name)));
    }

    private static boolean isText(JsonNode node) {
        return node.isString() && !node.stringValue().isEmpty();
    }

    /**
     * Keeps a passkey that a browser has made; its guest is told by mail.
     *
     * @param answer the browser's, as JSON, with the challenge
     * @param label what its guest calls it; empty: the day on which it was made
     * @return false where it is none for this account
     */
    @Transactional
    boolean make(Account account, String answer, String label, Locale language) {
        try {
            JsonNode node = JSON.readTree(answer);
            String challenge = node.path("challenge").asString("");
            if (!isWhole(node, "attestationObject")
                    || of(account).size() >= MOST
                    || !store.takeChallenge(
                            challenge, account.id(), clock.instant().minus(ASKED))) {
                return false;
            }
            PublicKeyCredential<AuthenticatorAttestationResponse> made =
                    JSON.treeToValue(node.path("credential"), new TypeReference<>() {});
            String called = label.isEmpty()
                    ? clock.instant().atOffset(ZoneOffset.UTC).toLocalDate().toString()
                    : label;
            Webauthn4JRelyingPartyOperations rules = rules(challenge);
            rules.registerCredential(new ImmutableRelyingPartyRegistrationRequest(
                    creation(rules, account), new RelyingPartyPublicKey(made, called)));
            visits.tell(account, AccountLetters.Change.PASSKEY, language);
            return true;
        } catch (JacksonException | IllegalArgumentException | com.webauthn4j.util.exception.WebAuthnException e) {
            LOG.info("a passkey was not taken: {}", e.getMessage());
            return false;
        }
    }

    /**
     * Lets somebody in whose browser has signed.
     *
     * @param answer the browser's, as JSON, with the challenge
     * @return the token of their visit; empty where it is nobody's
     */
    @Transactional
    Optional<String> enter(String answer) {
        try {
            JsonNode node = JSON.readTree(answer);
            String challenge = node.path("challenge").asString("");
            if (!isWhole(node, "authenticatorData", "signature")
                    || !store.takeChallenge(challenge, null, clock.instant().minus(ASKED))) {
                return Optional.empty();
            }
            PublicKeyCredential<AuthenticatorAssertionResponse> signed =
                    JSON.treeToValue(node.path("credential"), new TypeReference<>() {});
            Webauthn4JRelyingPartyOperations rules = rules(challenge);
            PublicKeyCredentialUserEntity owner = rules.authenticate(
                    new RelyingPartyAuthenticationRequest(rules.createCredentialRequestOptions(() -> null), signed));
            return accounts.byHandle(owner.getId().toBase64UrlString()).map(visits::begin);
        } catch (JacksonException | IllegalArgumentException | com.webauthn4j.util.exception.WebAuthnException e) {
            LOG.info("a passkey did not open an account: {}", e.getMessage());
            return Optional.empty();
        }
    }

    /** Those of an account, the oldest first. */
    public List<Passkey> of(Account account) {
        return store.findByUserId(Bytes.fromBase64(account.handle())).stream()
                .map(p -> new Passkey(
                        p.getCredentialId().toBase64UrlString(), p.getLabel(), p.getCreated(), p.getLastUsed()))
                .toList();
    }

    /** Takes one of an account's away; its guest is told by mail. */
    @Transactional
    void remove(Account account, String id, Locale language) {
        List<CredentialRecord> own = store.findByUserId(Bytes.fromBase64(account.handle()));
        own.stream()
                .filter(p -> p.getCredentialId().toBase64UrlString().equals(id))
                .forEach(p -> {
                    store.delete(p.getCredentialId());
                    visits.tell(account, AccountLetters.Change.NO_PASSKEY, language);
                });
    }

    /** Forgets what browsers were asked to sign and have not. */
    @Transactional
    public void forgetOld() {
        store.removeChallenges(clock.instant().minus(ASKED));
    }
}
