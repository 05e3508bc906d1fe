package gastfreund.app.offerdesk;

import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Part;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** The sentences about what an offer costs, and what its guests are asked. */
final class MoneyParts {

    private MoneyParts() {}

    static List<Part> money(Asking ask, Map<String, List<Note>> found) {
        JsonNode offer = ask.json();
        boolean deposit = offer.path("payment").path("when").stringValue("full").equals("deposit");
        List<Clause> payment = new ArrayList<>();
        payment.add(ask.clause(
                "payment-", "offers.payment", ask.word("payment/when", "full", "deposit", "venue", "choice")));
        if (deposit) {
            payment.add(ask.clause(
                    "deposit-",
                    "offers.deposit",
                    ask.number("payment/deposit"),
                    ask.number("payment/balance/daysBefore", ask.f().text("offers.onTheDay"))));
        }
        String when = offer.path("payment").path("when").stringValue("full");
        if (when.equals("venue") || when.equals("choice")) {
            payment.add(ask.clause(
                    "venue-",
                    "offers.venueWords",
                    ask.line("extra/venueWords").with("placeholder", ask.f().text("offers.none"))));
        }
        payment.add(ask.clause("tax-", "offers.tax", ask.number("taxPercent")));
        return List.of(
                Part.of("payment", payment.toArray(Clause[]::new)),
                terms(ask, offer),
                Part.of(
                        "move",
                        ask.clause(
                                "move-",
                                "offers.move",
                                ask.number("terms/move/hoursBefore", ask.f().text("offers.never")))),
                addOns(ask, offer, found));
    }

    private static Part terms(Asking ask, JsonNode offer) {
        List<Clause> tiers = new ArrayList<>();
        int count = offer.path("terms").path("cancel").size();
        for (int i = 0; i < count; i++) {
            String member = "terms/cancel/" + i;
            tiers.add(ask.clause(member, "offers.tier", ask.number(member + "/hoursBefore"), ask.line(member + "/keep"))
                    .removed(member));
        }
        return Part.list("terms", tiers, "terms/cancel", ask.f().text("offers.addTier"))
                .titled(ask.f().text(count == 0 ? "offers.termsNone" : "offers.terms"));
    }

    private static Part addOns(Asking ask, JsonNode offer, Map<String, List<Note>> found) {
        List<Clause> clauses = new ArrayList<>();
        for (JsonNode addOn : offer.path("addOns")) {
            String id = addOn.path("id").stringValue("");
            String member = "addOns/" + id;
            clauses.add(ask.clause(
                            member,
                            "offers.addOn",
                            ask.line(member + "/title"),
                            ask.number(member + "/price"),
                            ask.word(member + "/per", "unit", "booking", "person"),
                            ask.number(member + "/max"),
                            ask.number(member + "/minutes"),
                            ask.number("extra/stock/" + id, "∞"))
                    .removed(member)
                    .moved()
                    .with(found.getOrDefault(member, List.of())));
        }
        return Part.list("addOns", clauses, "addOns", ask.f().text("offers.addAddOn"))
                .titled(ask.f().text("offers.addOns"));
    }

    static List<Part> questions(Asking ask) {
        List<Part> parts = new ArrayList<>();
        for (JsonNode question : ask.json().path("extra").path("questions")) {
            String member = "extra/questions/" + question.path("id").stringValue("");
            boolean chooses = question.path("kind").stringValue("").startsWith("choice");
            Clause clause = ask.clause(
                            member,
                            "offers.question",
                            ask.line(member + "/label"),
                            ask.word(member + "/kind", "text", "long", "choice", "choices", "tick"),
                            ask.word(member + "/each", "booking", "person"))
                    .removed(member)
                    .moved();
            List<Field> fields = new ArrayList<>();
            if (chooses) {
                fields.add(ask.text(member + "/options").help(ask.f().text("offers.optionsHelp")));
            }
            fields.add(ask.line(member + "/help"));
            parts.add(Part.of(member + "-part", clause)
                    .withTicks(List.of(ask.tick(member + "/required", ask.f().text("offers.required"))))
                    .withFields(fields));
        }
        parts.add(Part.list("questions", List.of(), "extra/questions", ask.f().text("offers.addQuestion"))
                .titled(parts.isEmpty() ? ask.f().text("offers.noQuestions") : ""));
        return parts;
    }
}
