package gastfreund.app.pictures;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifIFD0Directory;
import gastfreund.app.pages.Links;
import gastfreund.app.storage.DataFolder;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Takes in the pictures that hosts send: each is decoded and written anew at three widths, so that nothing but its points is
 * kept, least of all where it was taken. Drawings (SVG) are written anew with nothing in them but shapes.
 */
@Service
public class Pictures {

    private static final Logger LOG = LoggerFactory.getLogger(Pictures.class);

    private static final int WIDEST = Links.WIDTHS.get(Links.WIDTHS.size() - 1);
    private static final Set<String> FORMATS = Set.of("jpeg", "png", "webp");
    private static final long MOST_POINTS = 60_000_000;
    private static final int MOST_ORIENTATION = 8;
    private static final int MOST_SIDE = 20_000;
    private static final double QUALITY = 0.86;
    private static final int NAME = 20;

    static {
        // Pictures are read from memory.
        ImageIO.setUseCache(false);
    }

    private final DataFolder data;

    Pictures(DataFolder data) {
        this.data = data;
    }

    /** A picture that was taken in, as points; empty where it is a drawing, or is not there. */
    public Optional<BufferedImage> read(String name) {
        if (!PictureName.isOfPoints(name)) {
            return Optional.empty();
        }
        try {
            Path file = data.pictures().resolve(name);
            return Files.isRegularFile(file) ? Optional.ofNullable(ImageIO.read(file.toFile())) : Optional.empty();
        } catch (IOException e) {
            LOG.warn("the picture {} cannot be read: {}", name, e.getClass().getSimpleName());
            return Optional.empty();
        }
    }

    /** Takes in a picture; one at a time, since a large one takes much memory while it is read. */
    public synchronized Taken take(byte[] bytes) {
        if (Drawing.isOne(bytes)) {
            return drawn(bytes);
        }
        try (ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
            if (!readers.hasNext()) {
                return new Taken.Unreadable();
            }
            ImageReader reader = readers.next();
            try {
                return take(reader, stream, bytes);
            } finally {
                reader.dispose();
            }
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException | NegativeArraySizeException e) {
            // Decoders say in all these ways that a file is broken.
            LOG.info("a picture cannot be read: {}", e.getClass().getSimpleName());
            return new Taken.Unreadable();
        }
    }

    private Taken drawn(byte[] bytes) {
        return Drawing.clean(bytes)
                .<Taken>map(clean -> {
                    String name = HexFormat.of().formatHex(digest(clean)).substring(0, NAME) + ".svg";
                    write(name, clean);
                    return new Taken.In(name);
                })
                .orElseGet(Taken.Undrawable::new);
    }

    private Taken take(ImageReader reader, ImageInputStream stream, byte[] bytes) throws IOException {
        if (!FORMATS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
            return new Taken.Unreadable();
        }
        reader.setInput(stream);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if (width > MOST_SIDE || height > MOST_SIDE || (long) width * height > MOST_POINTS) {
            return new Taken.TooLarge();
        }
        ImageReadParam halved = reader.getDefaultReadParam();
        int every = Math.max(1, Math.min(width, height) / (2 * WIDEST));
        halved.setSourceSubsampling(every, every, 0, 0);
        BufferedImage upright = upright(reader.read(0, halved), bytes);
        String ending = upright.getColorModel().hasAlpha() ? "png" : "jpg";
        String begin = HexFormat.of().formatHex(digest(bytes)).substring(0, NAME);
        for (int wide : Links.WIDTHS) {
            write(begin + "-" + wide + "." + ending, written(upright, wide, ending));
        }
        return new Taken.In(begin + "-" + WIDEST + "." + ending);
    }

    /** As it was held when it was taken. */
    private static BufferedImage upright(BufferedImage image, byte[] bytes) {
        return ExifFilterUtils.getFilterForOrientation(orientation(bytes)).apply(image);
    }

    private static Orientation orientation(byte[] bytes) {
        try {
            ExifIFD0Directory exif = ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer said = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
            return said == null || said < 1 || said > MOST_ORIENTATION
                    ? Orientation.TOP_LEFT
                    : Orientation.typeOf(said);
        } catch (ImageProcessingException | IOException e) {
            return Orientation.TOP_LEFT;
        }
    }

    private static byte[] written(BufferedImage image, int wide, String ending) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(image)
                .scale(Math.min(1, (double) wide / image.getWidth()))
                .outputFormat(ending)
                .outputQuality(QUALITY)
                .toOutputStream(out);
        return out.toByteArray();
    }

    private void write(String name, byte[] bytes) {
        try {
            Path folder = Files.createDirectories(data.pictures());
            data.write(folder.resolve(name), bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] digest(byte[] bytes) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(bytes);
        } catch (NoSuchAlgorithmException e) {
            throw new UncheckedIOException(new IOException(e));
        }
    }
}
