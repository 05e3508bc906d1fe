package gastfreund.app.backups;

import java.nio.ByteBuffer;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import javax.crypto.AEADBadTagException;
import javax.crypto.Cipher;
import javax.crypto.SecretKey;
import javax.crypto.SecretKeyFactory;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.PBEKeySpec;
import javax.crypto.spec.SecretKeySpec;

/** The house's key under a passphrase: AES-256 in GCM, by a key that PBKDF2 (RFC 8018) makes of the passphrase. */
final class KeySeal {

    private static final int ROUNDS = 600_000;
    private static final int SALT = 16;
    private static final int NONCE = 12;
    private static final int TAG_BITS = 128;
    private static final int KEY_BITS = 256;

    private KeySeal() {}

    static byte[] sealed(byte[] key, char[] passphrase) {
        byte[] head = new byte[SALT + NONCE];
        new SecureRandom().nextBytes(head);
        byte[] hidden = crypt(Cipher.ENCRYPT_MODE, head, key, passphrase);
        return ByteBuffer.allocate(head.length + hidden.length)
                .put(head)
                .put(hidden)
                .array();
    }

    /** @throws UnfitBackupException where it is another passphrase, or the key was changed */
    static byte[] opened(byte[] sealed, char[] passphrase) {
        if (sealed.length <= SALT + NONCE) {
            throw new UnfitBackupException("The key in this backup is not whole.");
        }
        byte[] head = new byte[SALT + NONCE];
        byte[] hidden = new byte[sealed.length - head.length];
        ByteBuffer.wrap(sealed).get(head).get(hidden);
        return crypt(Cipher.DECRYPT_MODE, head, hidden, passphrase);
    }

    private static byte[] crypt(int mode, byte[] head, byte[] input, char[] passphrase) {
        try {
            byte[] salt = new byte[SALT];
            byte[] nonce = new byte[NONCE];
            ByteBuffer.wrap(head).get(salt).get(nonce);
            SecretKey made = SecretKeyFactory.getInstance("PBKDF2WithHmacSHA256")
                    .generateSecret(new PBEKeySpec(passphrase, salt, ROUNDS, KEY_BITS));
            Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
            cipher.init(mode, new SecretKeySpec(made.getEncoded(), "AES"), new GCMParameterSpec(TAG_BITS, nonce));
            return cipher.doFinal(input);
        } catch (AEADBadTagException e) {
            throw new UnfitBackupException("This is not the passphrase of this backup.", e);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
