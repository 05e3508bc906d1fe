package gastfreund.app.secrets;

import gastfreund.app.storage.DataFolder;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.Base64;
import javax.crypto.Cipher;
import javax.crypto.Mac;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.stereotype.Component;

/**
 * What must not be read by whoever has a copy of the database: it is encrypted with a key that lies in a file beside it,
 * made at the first start. Whoever moves the house to another machine takes both along.
 */
@Component
public class Secrets {

    private static final int KEY_BYTES = 32;
    private static final int NONCE_BYTES = 12;
    private static final int MARK_BYTES = 12;
    private static final int TAG_BITS = 128;

    private final SecureRandom random = new SecureRandom();
    private final byte[] key;

    Secrets(DataFolder folder) throws IOException {
        key = keyIn(folder);
    }

    private byte[] keyIn(DataFolder folder) throws IOException {
        Path file = folder.key();
        if (Files.notExists(file)) {
            byte[] made = new byte[KEY_BYTES];
            random.nextBytes(made);
            folder.write(file, Base64.getEncoder().encodeToString(made));
        }
        byte[] read;
        try {
            read = Base64.getDecoder().decode(Files.readString(file).strip());
        } catch (IllegalArgumentException e) {
            throw new IOException(file + " is not a key of this application", e);
        }
        if (read.length != KEY_BYTES) {
            throw new IOException(file + " is not a key of this application");
        }
        return read;
    }

    /** A text that only {@link #decrypt} can read, and that nobody can change unnoticed. */
    public String encrypt(String text) {
        byte[] nonce = new byte[NONCE_BYTES];
        random.nextBytes(nonce);
        byte[] hidden = crypt(Cipher.ENCRYPT_MODE, nonce, text.getBytes(StandardCharsets.UTF_8));
        byte[] whole = ByteBuffer.allocate(nonce.length + hidden.length)
                .put(nonce)
                .put(hidden)
                .array();
        return Base64.getEncoder().encodeToString(whole);
    }

    /** A short mark of a text that tells two apart and gives nothing away. */
    public String mark(String purpose, String text) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(Arrays.copyOf(seal(purpose, text), MARK_BYTES));
    }

    /** @throws IllegalStateException where it was changed, or encrypted with another key */
    public String decrypt(String encrypted) {
        byte[] whole = Base64.getDecoder().decode(encrypted);
        if (whole.length < NONCE_BYTES) {
            throw new IllegalStateException("what is encrypted is too short");
        }
        byte[] nonce = Arrays.copyOf(whole, NONCE_BYTES);
        byte[] hidden = Arrays.copyOfRange(whole, NONCE_BYTES, whole.length);
        return new String(crypt(Cipher.DECRYPT_MODE, nonce, hidden), StandardCharsets.UTF_8);
    }

    private byte[] crypt(int mode, byte[] nonce, byte[] input) {
        try {
            Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
            cipher.init(mode, new SecretKeySpec(key, "AES"), new GCMParameterSpec(TAG_BITS, nonce));
            return cipher.doFinal(input);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("what is encrypted cannot be read with this house's key", e);
        }
    }

    /** A seal on a text that nobody else can make, as long as a purpose is not used for two things. */
    public byte[] seal(String purpose, String text) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(key, "HmacSHA256"));
            return mac.doFinal((purpose + "\n" + text).getBytes(StandardCharsets.UTF_8));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
