package gastfreund.app.sharing;

import gastfreund.app.pages.Code;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** A code as a picture in points, large enough for print. */
final class CodePicture {

    private static final int MODULE = 16;
    private static final int INK = 0x2a1f2d;
    private static final int PAPER = 0xffffff;

    private CodePicture() {}

    static byte[] png(Code code) {
        int size = code.size() * MODULE;
        BufferedImage picture = new BufferedImage(size, size, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < size; y++) {
            for (int x = 0; x < size; x++) {
                picture.setRGB(x, y, code.isDark(x / MODULE, y / MODULE) ? INK : PAPER);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
