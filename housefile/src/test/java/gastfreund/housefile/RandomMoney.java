package gastfreund.housefile;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Houses with every kind of price, payment and terms, and what may be asked of them, around a change of the clocks. */
final class RandomMoney {

    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final LocalDate FIRST = LocalDate.of(2027, 3, 25);
    private static final List<String> DAYS = List.of("mon", "tue", "wed", "thu", "fri", "sat", "sun");
    private static final List<String> PERCENTS = List.of("10", "12.5", "33.3", "0.05", "100", "66.667");
    private static final List<String> STAFF = List.of("mira", "jon", "ada");

    private final Random random;

    RandomMoney(long seed) {
        this.random = new Random(seed);
    }

    ObjectNode house() {
        ObjectNode house = (ObjectNode)
                HouseFile.parse(
                        """
                {"format": "gastfreund-house/1",
                 "house": {"name": "H", "zone": "Europe/Berlin", "currency": "EUR"},
                 "places": [{"id": "yard", "name": "Yard"}, {"id": "loft", "name": "Loft"}],
                 "staff": [{"id": "mira", "name": "Mira"}, {"id": "jon", "name": "Jon"}, {"id": "ada", "name": "Ada"}]}
                """);
        ArrayNode offers = house.putArray("offers");
        for (int i = 0; i < 3; i++) {
            offer(offers.addObject().put("id", "o" + i).put("title", "Offer"));
        }
        ArrayNode codes = house.putArray("promoCodes");
        for (int i = 0; i < 3; i++) {
            code(codes.addObject().put("code", "Code" + i));
        }
        return house;
    }

    private void offer(ObjectNode offer) {
        ArrayNode lengths = offer.putArray("lengths");
        for (String id : List.of("l", "xl")) {
            ObjectNode length = lengths.addObject().put("id", id).put("minutes", 30 + random.nextInt(200));
            length.put("price", amount(12_000)).putObject("units").put("min", 1).put("max", 4);
        }
        offer.put("basis", chance(2) ? "person" : "booking");
        offer.put("taxPercent", one(List.of("0", "7", "7.0", "19", "5.5", "8.875")));
        offer.putArray("places").add("yard").add("loft");
        offer.putObject("party").put("min", 1).put("max", 6);
        if (chance(2)) {
            ObjectNode staff = offer.putObject("staff").put("pick", chance(3) ? "all" : "any");
            STAFF.forEach(staff.putArray("of")::add);
            if (staff.get("pick").stringValue().equals("any")) {
                staff.putObject("prices").putObject("jon").put("l", amount(9000));
            }
        }
        ArrayNode addOns = offer.putArray("addOns");
        List<String> pers = List.of("unit", "booking", "person");
        for (String per : pers) {
            ObjectNode addOn = addOns.addObject()
                    .put("id", per)
                    .put("title", per)
                    .put("price", amount(3000))
                    .put("per", per);
            addOn.put("max", per.equals("booking") ? 1 : 4);
        }
        ArrayNode rules = offer.putArray("priceRules");
        IntStream.range(0, random.nextInt(5)).forEach(i -> rule(rules.addObject()));
        payment(offer.putObject("payment"));
        terms(offer);
    }

    private void rule(ObjectNode rule) {
        switch (random.nextInt(5)) {
            case 0 -> rule.put("add", random.nextInt(4000) - 2500);
            case 1 -> rule.put("set", amount(6000));
            case 2 -> rule.put("percent", random.nextInt(120) - 130);
            default -> rule.put("percent", (chance(2) ? "-" : "") + one(PERCENTS));
        }
        if (chance(2)) {
            rule.put("from", time());
        }
        if (chance(2)) {
            rule.put("to", rule.has("from") && chance(4) ? rule.get("from").stringValue() : time());
        }
        if (chance(4)) {
            some(rule.putArray("staff"), STAFF);
        }
        if (chance(3)) {
            some(rule.putArray("days"), DAYS);
        }
        if (chance(4)) {
            ObjectNode dates = rule.putObject("dates");
            dates.put("from", FIRST.plusDays(random.nextInt(4)).toString());
            if (chance(2)) {
                dates.put("to", FIRST.plusDays(2L + random.nextInt(6)).toString());
            }
        }
        maybe(rule, "hoursBeforeAtLeast", 120);
        maybe(rule, "hoursBeforeLessThan", 120);
        maybe(rule, "partyAtLeast", 5);
        maybe(rule, "partyLessThan", 7);
        if (chance(6)) {
            rule.putArray("places").add("loft");
        }
        if (chance(6)) {
            rule.putArray("lengths").add("xl");
        }
    }

    private void payment(ObjectNode payment) {
        String when = one(List.of("full", "deposit", "deposit", "venue", "choice"));
        payment.put("when", when);
        if (when.equals("deposit")) {
            ObjectNode deposit = payment.putObject("deposit");
            if (chance(2)) {
                deposit.put("percent", one(PERCENTS));
            } else {
                deposit.put("amount", amount(9000));
            }
            if (chance(2)) {
                payment.putObject("balance").put("daysBefore", random.nextInt(6));
            }
        }
    }

    private void terms(ObjectNode offer) {
        ObjectNode terms = offer.putObject("terms");
        ArrayNode tiers = terms.putArray("cancel");
        random.ints(0, 100).distinct().limit(random.nextInt(4)).forEach(hours -> {
            ObjectNode keep = tiers.addObject().put("hoursBefore", hours).putObject("keep");
            switch (random.nextInt(4)) {
                case 0 -> keep.put("percent", one(PERCENTS));
                case 1 -> keep.put("deposit", true);
                case 2 -> keep.put("amount", amount(9000));
                default -> keep.put("all", true);
            }
        });
        if (chance(2)) {
            terms.putObject("move").put("hoursBefore", random.nextInt(60));
        }
    }

    private void code(ObjectNode code) {
        if (chance(2)) {
            code.put("percent", one(PERCENTS));
        } else {
            code.put("amount", amount(30_000));
        }
        if (chance(2)) {
            code.putArray("offers").add("o" + random.nextInt(3));
        }
        if (chance(4)) {
            code.put("from", instant());
        }
        if (chance(4)) {
            code.put("to", instant());
        }
        maybe(code, "minSubtotal", 30_000);
        if (chance(4)) {
            code.put("maxUses", random.nextInt(3)).put("used", random.nextInt(3));
        }
    }

    ArrayNode baskets(JsonNode house) {
        ArrayNode baskets = JsonNodeFactory.instance.arrayNode();
        for (int i = 0; i < 4; i++) {
            ObjectNode basket = baskets.addObject().put("now", instant());
            if (chance(4)) {
                basket.put("now", house.get("promoCodes").get(0).path("to").asString(instant()));
            }
            ArrayNode lines = basket.putArray("lines");
            IntStream.range(0, random.nextInt(5)).forEach(l -> line(lines.addObject(), house));
            if (!lines.isEmpty() && chance(3)) {
                lines.add(lines.get(0).deepCopy());
            }
            if (!chance(4)) {
                basket.put("promoCode", one(List.of("code0", " CODE1 ", "Code2", "other", " ")));
            }
        }
        return baskets;
    }

    private void line(ObjectNode line, JsonNode house) {
        int offer = random.nextInt(3);
        JsonNode staff = house.get("offers").get(offer).path("staff").path("pick");
        line.put("offer", "o" + offer).put("length", chance(2) ? "l" : "xl").put("start", instant());
        if (chance(2)) {
            line.put("units", 1 + random.nextInt(4));
        }
        if (chance(2)) {
            line.put("party", 1 + random.nextInt(6));
        }
        if (staff.asString("").equals("any") && chance(2)) {
            line.putArray("staff").add(one(STAFF));
        }
        if (chance(3)) {
            line.put("place", chance(2) ? "yard" : "loft");
        }
        if (chance(2)) {
            ObjectNode addOns = line.putObject("addOns");
            addOns.put("unit", random.nextInt(5));
            addOns.put(chance(2) ? "booking" : "person", 1);
        }
        if (chance(2)) {
            line.put("pay", chance(2) ? "venue" : "now");
        }
    }

    ArrayNode cancellations() {
        ArrayNode cases = JsonNodeFactory.instance.arrayNode();
        for (int i = 0; i < 8; i++) {
            ObjectNode one =
                    cases.addObject().put("offer", "o" + random.nextInt(3)).put("lineTotal", amount(20_000));
            maybe(one, "deposit", 20_000);
            maybe(one, "floor", 20_000);
            one.put("paid", amount(20_000)).put("start", instant()).put("at", instant());
            one.put("by", chance(4) ? "host" : "guest");
        }
        return cases;
    }

    /** At least one of them. */
    private void some(ArrayNode list, List<String> of) {
        int first = random.nextInt(of.size());
        list.add(of.get(first));
        IntStream.range(0, of.size()).filter(i -> i != first && chance(2)).forEach(i -> list.add(of.get(i)));
    }

    private void maybe(ObjectNode node, String name, int bound) {
        if (chance(4)) {
            node.put(name, random.nextInt(bound));
        }
    }

    private boolean chance(int in) {
        return random.nextInt(in) == 0;
    }

    private long amount(int bound) {
        return chance(12) ? 0 : random.nextInt(bound);
    }

    private <T> T one(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private String time() {
        return String.format("%02d:%02d", random.nextInt(24), 30 * random.nextInt(2));
    }

    /** Within eight days around the night in which the clocks go forward, often on an hour. */
    private String instant() {
        ZonedDateTime first = FIRST.atStartOfDay(ZONE);
        int minutes = random.nextInt(8 * 1440);
        return first.plusMinutes(chance(2) ? minutes : minutes / 60 * 60)
                .toOffsetDateTime()
                .toString();
    }
}
