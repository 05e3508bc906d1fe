package gastfreund.app.pages;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/** A text as a QR code: a square of dark and light modules with its quiet border. */
public final class Code {

    private final BitMatrix modules;

    private Code(BitMatrix modules) {
        this.modules = modules;
    }

    /** @throws IllegalArgumentException where the text is too long for a code */
    public static Code of(String text) {
        try {
            return new Code(new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0, hints(text)));
        } catch (WriterException e) {
            throw new IllegalArgumentException(e);
        }
    }

    /** Where a text has more than the plain letters, it is said how they are written. */
    private static Map<EncodeHintType, Object> hints(String text) {
        boolean plain = StandardCharsets.US_ASCII.newEncoder().canEncode(text);
        return plain
                ? Map.of(EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M)
                : Map.of(
                        EncodeHintType.ERROR_CORRECTION,
                        ErrorCorrectionLevel.M,
                        EncodeHintType.CHARACTER_SET,
                        StandardCharsets.UTF_8.name());
    }

    /** How many modules it is wide and high. */
    public int size() {
        return modules.getWidth();
    }

    public boolean isDark(int x, int y) {
        return modules.get(x, y);
    }

    /** The code as a picture that can be drawn at any size; dark on white in every theme, as cameras want it. */
    public String svg() {
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < size(); y++) {
            for (int x = 0; x < size(); x++) {
                if (isDark(x, y)) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 " + size() + " " + size()
                + "\" shape-rendering=\"crispEdges\"><path fill=\"#fff\" d=\"M0 0h" + size() + "v" + size() + "H0z\"/>"
                + "<path fill=\"#2a1f2d\" d=\"" + path + "\"/></svg>";
    }
}
