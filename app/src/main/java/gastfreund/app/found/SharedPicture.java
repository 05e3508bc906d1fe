package gastfreund.app.found;

import gastfreund.app.pages.Palette;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;

/**
 * The picture with which a page is shown where its address is shared.
 *
 * @param house its name; empty where it is the title
 * @param facts on one line; empty: none
 * @param colour of the house
 */
record SharedPicture(String house, String title, String facts, Palette colour) {

    static final int WIDTH = 1200;
    static final int HEIGHT = 630;

    private static final Color PAPER = new Color(0xfbf7f1);
    private static final Color INK = new Color(0x2a1f2d);
    private static final Color QUIET = new Color(0x66606a);
    private static final Color MOSS = new Color(0x8fb0a3);

    private static final int MARGIN = 72;
    private static final int PICTURE = 470;
    private static final int MOST_LINES = 3;
    private static final float LARGE = 84;
    private static final float SMALL = 44;
    private static final float STEP = 4;
    private static final float LEADING = 1.08f;

    private static final int BARS = 27;
    private static final int BAR = 24;
    private static final int BETWEEN = 40;
    private static final int FOOT = HEIGHT - 56;
    private static final int LOW = 26;
    private static final int HIGH = 104;
    private static final int CHOSEN = 9;

    /** @param picture of what is shared; null: there is none that could be shown */
    byte[] png(@Nullable BufferedImage picture) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D to = image.createGraphics();
        to.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        to.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        to.setColor(PAPER);
        to.fillRect(0, 0, WIDTH, HEIGHT);
        if (picture == null) {
            words(to, WIDTH - 2 * MARGIN);
            bars(to);
        } else {
            cover(to, picture);
            words(to, WIDTH - PICTURE - 2 * MARGIN + MARGIN / 2f);
        }
        to.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private void words(Graphics2D to, float room) {
        float y = 122;
        to.setColor(QUIET);
        if (!house.isEmpty()) {
            Lettering.BODY.write(to, house, 34, MARGIN, y);
        }
        float size = LARGE;
        List<String> lines = Lettering.HEAD.lines(title, size, room);
        while (size > SMALL && !fits(lines, size, room)) {
            size -= STEP;
            lines = Lettering.HEAD.lines(title, size, room);
        }
        to.setColor(INK);
        y += 34;
        for (String line : lines.subList(0, Math.min(MOST_LINES, lines.size()))) {
            y += size * LEADING;
            Lettering.HEAD.write(to, line, size, MARGIN, y);
        }
        to.setColor(Color.decode(colour.onPaper().main()));
        Lettering.BODY.write(to, facts, 38, MARGIN, y + 66);
    }

    private static boolean fits(List<String> lines, float size, float room) {
        return lines.size() <= MOST_LINES && lines.stream().allMatch(l -> Lettering.HEAD.width(l, size) <= room);
    }

    /** Days as the product draws them: the taller, the more is free. The same title has the same days. */
    private void bars(Graphics2D to) {
        Random heights = new Random(title.hashCode());
        for (int i = 0; i < BARS; i++) {
            double height = LOW + heights.nextInt(HIGH - LOW);
            to.setColor(i == CHOSEN ? Color.decode(colour.onPaper().main()) : MOSS);
            to.fill(new RoundRectangle2D.Double(
                    MARGIN + (double) i * BETWEEN,
                    FOOT - (i == CHOSEN ? HIGH : height),
                    BAR,
                    i == CHOSEN ? HIGH : height,
                    10,
                    10));
        }
    }

    /** The picture fills the right side; what is too much of it is left out at both sides. */
    private static void cover(Graphics2D to, BufferedImage picture) {
        double scale = Math.max((double) PICTURE / picture.getWidth(), (double) HEIGHT / picture.getHeight());
        int wide = (int) Math.ceil(picture.getWidth() * scale);
        int high = (int) Math.ceil(picture.getHeight() * scale);
        Graphics2D inside = (Graphics2D) to.create(WIDTH - PICTURE, 0, PICTURE, HEIGHT);
        inside.drawImage(picture, (PICTURE - wide) / 2, (HEIGHT - high) / 2, wide, high, null);
        inside.dispose();
    }
}
