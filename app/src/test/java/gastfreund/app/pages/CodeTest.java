package gastfreund.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import org.junit.jupiter.api.Test;

/** A code reads as what was written into it. */
class CodeTest {

    private static final int SCALE = 4;

    @Test
    void aCameraReadsWhatWasWritten() throws Exception {
        String text = "https://quillmere.example/basket/8kkwz2a0l5MRcRUrukt5ug";
        Code code = Code.of(text);
        int width = code.size() * SCALE;
        int[] pixels = new int[width * width];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = code.isDark(i % width / SCALE, i / width / SCALE) ? 0xff2a1f2d : 0xffffffff;
        }
        BinaryBitmap seen =
                new BinaryBitmap(new GlobalHistogramBinarizer(new RGBLuminanceSource(width, width, pixels)));
        assertThat(new QRCodeReader().decode(seen).getText()).isEqualTo(text);
    }
}
