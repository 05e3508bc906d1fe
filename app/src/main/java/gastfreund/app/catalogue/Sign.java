package gastfreund.app.catalogue;

import gastfreund.app.extras.About;
import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.extras.Look;
import gastfreund.app.languages.Formats;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What stands over the door of the house: what every page shows of it.
 *
 * @param logo the file name of its picture; empty: its name stands there
 * @param contact how it is reached, in lines
 * @param offers what it calls all that it offers
 * @param people how it asks with whom
 * @param places how it asks where
 * @param look the address of its own colours and fonts; null: they are the product's
 * @param ownFont whether its font is one of the reader's device
 * @param accounts whether guests can have an account
 * @param others the languages in which the page could be read as well
 */
public record Sign(
        String name,
        String shortName,
        String logo,
        List<String> contact,
        String offers,
        String people,
        String places,
        @Nullable String look,
        boolean ownFont,
        boolean accounts,
        List<Other> others) {

    /** Another language, called as its speakers call it. */
    public record Other(String tag, String name, String address) {}

    static Sign of(Catalogue catalogue, Locale here, @Nullable String page, Formats f) {
        About about = catalogue.extras().about();
        Look look = catalogue.extras().look();
        String name = catalogue.house().name();
        return new Sign(
                name,
                about.shortName().isEmpty() ? name : about.shortName(),
                about.logo(),
                about.contact(),
                or(catalogue.extras().calls().offers(), "layout.offers", f),
                or(catalogue.extras().calls().people(), "layout.people", f),
                or(catalogue.extras().calls().places(), "layout.places", f),
                look.isOwn() ? LookController.address(look) : null,
                look.font() != Look.Font.HOUSE,
                catalogue.checkout().accounts() != CheckoutRules.Accounts.NONE,
                page == null ? List.of() : others(catalogue, here, page));
    }

    private static List<Other> others(Catalogue catalogue, Locale here, String page) {
        return catalogue.extras().manners().languages().stream()
                .filter(l -> !l.getLanguage().equals(here.getLanguage()))
                .map(l -> new Other(l.toLanguageTag(), l.getDisplayLanguage(l), HouseLocale.asking(page, l)))
                .toList();
    }

    private static String or(String own, String otherwise, Formats f) {
        return own.isEmpty() ? f.text(otherwise) : own;
    }
}
