package gastfreund.app.offerdesk;

import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Part;
import gastfreund.app.extras.Shelf;
import gastfreund.app.extras.Story;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** The sentences about what an offer is: its words, its pictures, and where it stands in the shop. */
final class WhatParts {

    private WhatParts() {}

    static List<Part> what(Asking ask) {
        List<Part> parts = new ArrayList<>();
        parts.add(Part.of("title")
                .withFields(List.of(
                        ask.line("title"),
                        ask.text("extra/summary"),
                        ask.text("extra/text").with("rows", "6").help(ask.f().text("offers.textHelp")),
                        ask.text("extra/included").help(ask.f().text("offers.includedHelp")),
                        ask.line("extra/pictureText").help(ask.f().text("offers.pictureTextHelp")))));
        parts.addAll(pictures(ask));
        parts.add(Part.of(
                "shelf",
                ask.clause("listing-", "offers.listing", ask.word("extra/listing", "listed", "link", "off")),
                ask.clause(
                        "category-",
                        "offers.category",
                        ask.line("extra/category").with("placeholder", ask.f().text("offers.none"))),
                ask.clause(
                        "button-",
                        "offers.button",
                        ask.line("extra/button").with("placeholder", ask.f().text("offer.keep"))),
                ask.clause(
                        "tags-",
                        "offers.tags",
                        ask.line("extra/tags").with("placeholder", ask.f().text("offers.none"))),
                ask.clause(
                        "board-",
                        "offers.board",
                        ask.line("extra/sign").with("placeholder", ask.f().text("offers.none")),
                        ask.one("extra/tone", tones(ask.f())))));
        return parts;
    }

    private static List<Field.Option> tones(Formats f) {
        return Stream.concat(
                        Stream.of(Field.Option.of("", f.text("offers.noTone"))),
                        Shelf.TONES.stream().map(t -> Field.Option.of(t, f.text("word.tone." + t))))
                .toList();
    }

    /** Where what matters is in its pictures, and what those show that are not the first. */
    private static List<Part> pictures(Asking ask) {
        String[] points = Story.POINTS.toArray(String[]::new);
        JsonNode extra = ask.json().path("extra");
        List<Part> parts = new ArrayList<>();
        if (extra.has("picture")) {
            parts.add(Part.of("picture-at", ask.clause("at-", "offers.pictureAt", ask.word("extra/pictureAt", points)))
                    .withPicture(extra.path("picture").stringValue("")));
        }
        for (JsonNode one : extra.path("pictures")) {
            String member = "extra/pictures/" + one.path("id").stringValue("");
            parts.add(Part.of(
                            member + "-part",
                            ask.clause(
                                            member,
                                            "offers.anotherPicture",
                                            ask.line(member + "/text")
                                                    .with("placeholder", ask.f().text("offers.none")),
                                            ask.word(member + "/at", points))
                                    .removed(member)
                                    .moved())
                    .withPicture(one.path("name").stringValue("")));
        }
        return parts;
    }
}
