package gastfreund.app.accounts;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.web.webauthn.api.AuthenticatorTransport;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialType;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.stereotype.Repository;

/** Keeps passkeys and what browsers were asked to sign. Accounts are known here by their handles. */
@Repository
class PasskeyStore implements UserCredentialRepository {

    private static final String PASSKEY = "SELECT p.*, a.handle FROM passkeys p JOIN accounts a ON a.id = p.account";

    private final JdbcClient jdbc;

    PasskeyStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private static Bytes bytes(String base64) {
        return Bytes.fromBase64(base64);
    }

    private static CredentialRecord read(ResultSet row, int n) throws SQLException {
        return ImmutableCredentialRecord.builder()
                .credentialType(PublicKeyCredentialType.PUBLIC_KEY)
                .credentialId(bytes(row.getString("id")))
                .userEntityUserId(bytes(row.getString("handle")))
                .publicKey(new ImmutablePublicKeyCose(
                        bytes(row.getString("public_key")).getBytes()))
                .signatureCount(row.getLong("signatures"))
                .uvInitialized(row.getBoolean("verified"))
                .transports(transports(row.getString("transports")))
                .backupEligible(row.getBoolean("can_be_backed_up"))
                .backupState(row.getBoolean("backed_up"))
                .attestationObject(bytes(row.getString("attestation")))
                .attestationClientDataJSON(bytes(row.getString("client_data")))
                .label(row.getString("label"))
                .created(Instant.ofEpochSecond(row.getLong("made_at")))
                .lastUsed(Instant.ofEpochSecond(row.getLong("used_at")))
                .build();
    }

    private static Set<AuthenticatorTransport> transports(String words) {
        return Arrays.stream(words.split(" "))
                .filter(word -> !word.isEmpty())
                .map(AuthenticatorTransport::valueOf)
                .collect(Collectors.toSet());
    }

    private static String written(@Nullable Bytes bytes) {
        return bytes == null ? "" : bytes.toBase64UrlString();
    }

    @Override
    public @Nullable CredentialRecord findByCredentialId(Bytes id) {
        return jdbc.sql(PASSKEY + " WHERE p.id = ?")
                .param(id.toBase64UrlString())
                .query(PasskeyStore::read)
                .optional()
                .orElse(null);
    }

    @Override
    public List<CredentialRecord> findByUserId(Bytes handle) {
        return jdbc.sql(PASSKEY + " WHERE a.handle = ? ORDER BY p.made_at, p.id")
                .param(handle.toBase64UrlString())
                .query(PasskeyStore::read)
                .list();
    }

    @Override
    public void save(CredentialRecord passkey) {
        jdbc.sql(
                        """
                        INSERT INTO passkeys (id, account, label, public_key, signatures, verified, transports,
                                              can_be_backed_up, backed_up, attestation, client_data, made_at, used_at)
                        VALUES (:id, (SELECT id FROM accounts WHERE handle = :handle), :label, :key, :signatures, :verified,
                                :transports, :eligible, :backed, :attestation, :client, :made, :used)
                        ON CONFLICT (id) DO UPDATE SET signatures = excluded.signatures, backed_up = excluded.backed_up,
                                verified = excluded.verified, used_at = excluded.used_at
                        """)
                .param("id", written(passkey.getCredentialId()))
                .param("handle", written(passkey.getUserEntityUserId()))
                .param("label", passkey.getLabel())
                .param("key", written(new Bytes(passkey.getPublicKey().getBytes())))
                .param("signatures", passkey.getSignatureCount())
                .param("verified", passkey.isUvInitialized() ? 1 : 0)
                .param(
                        "transports",
                        passkey.getTransports().stream()
                                .map(AuthenticatorTransport::getValue)
                                .sorted()
                                .collect(Collectors.joining(" ")))
                .param("eligible", passkey.isBackupEligible() ? 1 : 0)
                .param("backed", passkey.isBackupState() ? 1 : 0)
                .param("attestation", written(passkey.getAttestationObject()))
                .param("client", written(passkey.getAttestationClientDataJSON()))
                .param("made", passkey.getCreated().getEpochSecond())
                .param("used", passkey.getLastUsed().getEpochSecond())
                .update();
    }

    @Override
    public void delete(Bytes id) {
        jdbc.sql("DELETE FROM passkeys WHERE id = ?")
                .param(id.toBase64UrlString())
                .update();
    }

    /** @param account the id of whose browser is asked; null: that is to be found out */
    void insertChallenge(String challenge, @Nullable Long account, Instant now) {
        jdbc.sql("INSERT INTO passkey_challenges (challenge, account, made_at) VALUES (:challenge, :account, :made)")
                .param("challenge", challenge)
                .param("account", account)
                .param("made", now.getEpochSecond())
                .update();
    }

    /**
     * Takes a challenge away, since it serves once.
     *
     * @param account the one for which it was made; null: for nobody in particular
     * @return whether it was there
     */
    boolean takeChallenge(String challenge, @Nullable Long account, Instant since) {
        Optional<Long> made = jdbc.sql(
                        "SELECT made_at FROM passkey_challenges WHERE challenge = :challenge AND account IS NOT DISTINCT FROM :account")
                .param("challenge", challenge)
                .param("account", account)
                .query(Long.class)
                .optional();
        jdbc.sql("DELETE FROM passkey_challenges WHERE challenge = ?")
                .param(challenge)
                .update();
        return made.isPresent() && made.get() >= since.getEpochSecond();
    }

    void removeChallenges(Instant before) {
        jdbc.sql("DELETE FROM passkey_challenges WHERE made_at < ?")
                .param(before.getEpochSecond())
                .update();
    }
}
