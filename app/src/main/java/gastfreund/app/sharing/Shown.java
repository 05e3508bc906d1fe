package gastfreund.app.sharing;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.embeds.Embed;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Addresses;
import gastfreund.app.sources.Source;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What a host wants to show, as far as the house has it: the attributes of a panel, and the address of what it shows.
 *
 * @param offer null: something else than one offer
 * @param title of what is shown
 * @param path of the same on the house's own pages
 * @param attributes of the panel, each with a value
 * @param wrong the names of what was said and cannot be had
 * @param source that is noted on orders; empty: the page's own host
 */
record Shown(
        @Nullable Offer offer,
        String title,
        String path,
        Map<String, String> attributes,
        List<String> wrong,
        String source) {

    static final String OFFER = "offer:";
    static final String CATEGORY = "category:";

    private static final Pattern PARTY = Pattern.compile("\\A[1-9]\\d{0,3}+\\z");

    /** What can be shown beside offers. */
    enum View {
        AGENDA,
        MINE;

        String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Optional<View> of(String code) {
            return List.of(values()).stream().filter(v -> v.code().equals(code)).findFirst();
        }
    }

    static Shown of(Asked asked, Catalogue catalogue, Formats f) {
        Offer offer = asked.what(OFFER)
                .flatMap(id -> catalogue.house().onSale().stream()
                        .filter(o -> o.id().equals(new OfferId(id)) && catalogue.isOpen(o.id()))
                        .findFirst())
                .orElse(null);
        String category = asked.what(CATEGORY)
                .filter(c -> categories(catalogue).contains(c))
                .orElse("");
        Optional<View> view = View.of(asked.what());
        Map<String, String> attributes = new LinkedHashMap<>();
        String title = catalogue.house().name();
        String path = "/";
        if (offer != null) {
            title = offer.title();
            path = "/offers/" + offer.id();
            attributes.put("offer", offer.id().value());
            attributes.putAll(choices(asked, offer, catalogue));
        } else if (!category.isEmpty()) {
            title = category;
            attributes.put("category", category);
        } else if (view.isPresent()) {
            title = f.text("sharing.view." + view.get().code());
            path = "/" + view.get().code();
            attributes.put("view", view.get().code());
        }
        if (asked.isButton()) {
            attributes.put("as", Asked.BUTTON);
        }
        Map<String, String> looks = asked.looks();
        Embed embed = Embed.of(looks::get, name -> catalogue.extras().sharing().look(name));
        looks.forEach((name, value) -> {
            if (!value.isEmpty() && !embed.wrong().contains(name)) {
                attributes.put(name, value);
            }
        });
        return new Shown(offer, title, path, attributes, embed.wrong(), Source.of(asked.from()));
    }

    /** What is chosen beforehand, of what the offer lets choose. */
    private static Map<String, String> choices(Asked asked, Offer offer, Catalogue catalogue) {
        Map<String, String> choices = asked.choices();
        choices.values().removeIf(String::isEmpty);
        choices.computeIfPresent(
                "party",
                (n, v) -> party(v).filter(offer.party()::allows).map(p -> v).orElse(null));
        choices.computeIfPresent(
                "length", (n, v) -> offer.length(new LengthId(v)).isPresent() ? v : null);
        choices.computeIfPresent("staff", (n, v) -> offer.serving().of().contains(new StaffId(v)) ? v : null);
        choices.computeIfPresent(
                "place", (n, v) -> catalogue.house().placesOf(offer).contains(new PlaceId(v)) ? v : null);
        return choices;
    }

    private static Optional<Integer> party(String said) {
        return PARTY.matcher(said).matches() ? Optional.of(Integer.valueOf(said)) : Optional.empty();
    }

    /** The categories under which offers are listed, in their order. */
    static List<String> categories(Catalogue catalogue) {
        return catalogue.listed().stream()
                .map(o -> catalogue.shelfOf(o.id()).category())
                .filter(c -> !c.isEmpty())
                .distinct()
                .toList();
    }

    /** The address of what is shown, with what is chosen beforehand and a source. */
    String address(String base, String source) {
        Map<String, String> said = new LinkedHashMap<>();
        for (String name : List.of("category", "length", "staff", "place", "party", "lang")) {
            if (attributes.containsKey(name)) {
                said.put(name.equals("lang") ? "language" : name, attributes.get(name));
            }
        }
        said.put(Source.FIELD, source);
        said.values().removeIf(String::isEmpty);
        return Addresses.with(base + path, said);
    }
}
