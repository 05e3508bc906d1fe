package gastfreund.app.pictures;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.pages.Links;
import gastfreund.app.storage.DataFolder;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.Random;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pictures are written anew at three widths; nothing but their points is kept, and what is no picture is told. */
class PicturesTest {

    /** A red point of 1 × 1, lossless. */
    private static final String WEBP = "UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==";

    @TempDir
    private Path home;

    private Pictures pictures;
    private DataFolder data;

    @BeforeEach
    void open() throws IOException {
        data = new DataFolder(home);
        pictures = new Pictures(data);
    }

    private static byte[] written(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    /** Red on the left, blue on the right. */
    private static BufferedImage halves(int width, int height, int type) {
        BufferedImage image = new BufferedImage(width, height, type);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.RED);
        g.fillRect(0, 0, width / 2, height);
        g.setColor(Color.BLUE);
        g.fillRect(width / 2, 0, width - width / 2, height);
        g.dispose();
        return image;
    }

    /** A JPEG with an APP1 segment that says how the camera was held, and a place. */
    private static byte[] turned(byte[] jpeg, int orientation) {
        byte[] place = "GPS 54.12 N 9.40 E".getBytes(StandardCharsets.US_ASCII);
        ByteBuffer exif = ByteBuffer.allocate(2 + 2 + 6 + 8 + 2 + 12 + 4 + place.length);
        exif.putShort((short) 0xFFE1).putShort((short) (exif.capacity() - 2));
        exif.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII));
        exif.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        exif.putShort((short) 1);
        exif.putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) orientation)
                .putShort((short) 0);
        exif.putInt(0).put(place);
        return ByteBuffer.allocate(jpeg.length + exif.capacity())
                .put(jpeg, 0, 2)
                .put(exif.array())
                .put(jpeg, 2, jpeg.length - 2)
                .array();
    }

    private BufferedImage shown(Taken taken, int width) throws IOException {
        String name = ((Taken.In) taken).name().replace("-1600.", "-" + width + ".");
        return ImageIO.read(data.pictures().resolve(name).toFile());
    }

    @Test
    void aPhotographIsKeptAtThreeWidthsUprightAndWithoutWhereItWasTaken() throws IOException {
        byte[] photo = turned(written(halves(2400, 1200, BufferedImage.TYPE_INT_RGB), "jpeg"), 6);
        assertThat(new String(photo, StandardCharsets.ISO_8859_1)).contains("GPS 54.12");
        Taken taken = pictures.take(photo);
        for (int width : Links.WIDTHS) {
            BufferedImage image = shown(taken, width);
            // Held to the right: what was left is above.
            assertThat(image.getWidth()).isEqualTo(Math.min(width, 1200));
            assertThat(image.getHeight()).isEqualTo(2 * image.getWidth());
            assertThat(new Color(image.getRGB(image.getWidth() / 2, 10)).getRed())
                    .isGreaterThan(200);
            assertThat(new Color(image.getRGB(image.getWidth() / 2, image.getHeight() - 10)).getBlue())
                    .isGreaterThan(200);
        }
        try (var files = Files.list(data.pictures())) {
            assertThat(files).hasSize(3).allSatisfy(f -> assertThat(
                            new String(Files.readAllBytes(f), StandardCharsets.ISO_8859_1))
                    .doesNotContain("Exif", "GPS"));
        }
    }

    @Test
    void whatCanBeSeenThroughStaysSo() throws IOException {
        Taken taken = pictures.take(written(new BufferedImage(40, 30, BufferedImage.TYPE_INT_ARGB), "png"));
        assertThat(((Taken.In) taken).name()).endsWith("-1600.png");
        assertThat(shown(taken, 320).getWidth()).isEqualTo(40);
        assertThat(shown(taken, 320).getColorModel().hasAlpha()).isTrue();
    }

    @Test
    void webpIsRead() throws IOException {
        assertThat(shown(pictures.take(Base64.getDecoder().decode(WEBP)), 320).getWidth())
                .isEqualTo(1);
    }

    @Test
    void whatIsNoPictureIsUnreadable() throws IOException {
        byte[] jpeg = written(halves(200, 100, BufferedImage.TYPE_INT_RGB), "jpeg");
        byte[] cut = java.util.Arrays.copyOf(jpeg, 60);
        for (byte[] bad : new byte[][] {
            new byte[0],
            cut,
            written(halves(20, 10, BufferedImage.TYPE_INT_RGB), "gif"),
            "%PDF-1.4".getBytes(StandardCharsets.UTF_8)
        }) {
            assertThat(pictures.take(bad)).isInstanceOf(Taken.Unreadable.class);
        }
        Random random = new Random(3);
        for (int i = 0; i < 300; i++) {
            byte[] broken = jpeg.clone();
            for (int j = 0; j < 4; j++) {
                broken[random.nextInt(broken.length)] = (byte) random.nextInt();
            }
            assertThat(pictures.take(broken))
                    .isInstanceOfAny(Taken.In.class, Taken.Unreadable.class, Taken.TooLarge.class);
        }
    }

    @Test
    void aSmallFileThatClaimsToBeHugeIsNotEvenDecoded() {
        ByteBuffer header = ByteBuffer.allocate(13);
        header.putInt(19_999).putInt(19_999).put(new byte[] {8, 2, 0, 0, 0});
        byte[] type = "IHDR".getBytes(StandardCharsets.US_ASCII);
        CRC32 crc = new CRC32();
        crc.update(type);
        crc.update(header.array());
        byte[] bomb = ByteBuffer.allocate(8 + 25)
                .put(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10})
                .putInt(13)
                .put(type)
                .put(header.array())
                .putInt((int) crc.getValue())
                .array();
        assertThat(pictures.take(bomb)).isInstanceOf(Taken.TooLarge.class);
    }

    @Test
    void aPictureIsShownSmallInItsNarrowestForm() {
        Links links = new Links(null);
        assertThat(links.smallPicture("ab12-1600.jpg")).isEqualTo("/pictures/ab12-320.jpg");
        assertThat(links.smallPicture("lesson.svg")).isEqualTo("/pictures/lesson.svg");
    }
}
