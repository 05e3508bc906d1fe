package gastfreund.app.found;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.extras.Story;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Palette;
import gastfreund.app.pictures.Pictures;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Draws the pictures with which pages are shared, and keeps the last ones. */
@Component
class SharedPictures {

    private static final int MOST = 200;
    private static final String OURS = "#b5482f";

    private record Key(SharedPicture drawn, String picture) {}

    private final Pictures pictures;
    private final Map<Key, byte[]> kept = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, byte[]> eldest) {
            return size() > MOST;
        }
    };

    SharedPictures(Pictures pictures) {
        this.pictures = pictures;
    }

    byte[] house(Catalogue catalogue) {
        String name = catalogue.house().name();
        return drawn(
                new SharedPicture("", name, catalogue.extras().about().phone(), colour(catalogue)), catalogue.story());
    }

    byte[] offer(Catalogue catalogue, Offer offer, Formats f) {
        String lengths =
                offer.lengths().stream().map(l -> f.duration(l.minutes())).collect(Collectors.joining(" · "));
        Money from = offer.lengths().stream()
                .map(l -> catalogue.house().fromPrice(offer, l))
                .min(Money::compareTo)
                .orElseThrow();
        String price = catalogue.isAgreed(offer.id()) ? f.text("price.agreed") : f.fromMoney(from);
        return drawn(
                new SharedPicture(catalogue.house().name(), offer.title(), lengths + " · " + price, colour(catalogue)),
                catalogue.storyOf(offer));
    }

    private static Palette colour(Catalogue catalogue) {
        return Palette.of(catalogue.extras().look().colour())
                .or(() -> Palette.of(OURS))
                .orElseThrow();
    }

    private synchronized byte[] drawn(SharedPicture picture, Story story) {
        return kept.computeIfAbsent(
                new Key(picture, story.picture()),
                k -> picture.png(pictures.read(story.picture()).orElse(null)));
    }
}
