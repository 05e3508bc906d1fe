package gastfreund.app.found;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.Story;
import gastfreund.app.pages.Address;
import gastfreund.app.pictures.PictureName;
import gastfreund.housefile.HouseFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Says of a page as what it is shared and found. */
@Component
public class Shares {

    private final CatalogueService catalogues;
    private final Address address;

    Shares(CatalogueService catalogues, Address address) {
        this.catalogues = catalogues;
        this.address = address;
    }

    /**
     * @param path of the page, as everybody has it
     * @param story what it tells; its picture is shown with it
     * @param linked what it says of itself; null: nothing
     */
    public SharedAs of(String path, Story story, @Nullable JsonNode linked) {
        return new SharedAs(
                address.of(path), picture(path, story), others(path), linked == null ? "" : written(linked));
    }

    /** The house and its offers have pictures drawn for them; everything else has its own, if it has one of points. */
    private String picture(String path, Story story) {
        if (path.equals("/") || path.startsWith("/offers/")) {
            return address.of((path.equals("/") ? "" : path) + "/shared.png");
        }
        return PictureName.isOfPoints(story.picture()) ? address.of("/pictures/" + story.picture()) : "";
    }

    private List<SharedAs.Other> others(String path) {
        List<Locale> languages = catalogues.catalogue().extras().manners().languages();
        List<SharedAs.Other> others = new ArrayList<>();
        if (languages.size() > 1) {
            languages.forEach(l -> others.add(
                    new SharedAs.Other(l.toLanguageTag(), address.of(path) + "?language=" + l.toLanguageTag())));
            others.add(new SharedAs.Other("x-default", address.of(path)));
        }
        return others;
    }

    /** As it can stand in a page: nothing in it ends the element in which it stands. */
    private static String written(JsonNode linked) {
        return HouseFile.printed(linked).replace("<", "\\u003c");
    }
}
