package gastfreund.housefile;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Quotes and cancellations worked out a second time, sentence by sentence after {@code docs/money.md}, from the files'
 * JSON alone: no class of the core is used, and nothing is done cleverly. For offers in mode {@code open}.
 */
final class MoneyOracle {

    private static final BigInteger HUNDRED = BigInteger.valueOf(100);

    private final JsonNode house;
    private final ZoneId zone;

    MoneyOracle(JsonNode house) {
        this.house = house;
        this.zone = ZoneId.of(house.get("house").get("zone").stringValue());
    }

    /** {@code numerator / denominator}, a half going away from zero. */
    private static long rounded(BigInteger numerator, BigInteger denominator) {
        BigInteger twice = numerator.abs().shiftLeft(1).add(denominator).divide(denominator.shiftLeft(1));
        return numerator.signum() * twice.longValueExact();
    }

    /** A percentage of an amount: the decimal is {@code unscaled / 10^scale}. */
    private static long share(JsonNode percent, long amount) {
        BigDecimal decimal = new BigDecimal(percent.asString());
        BigInteger ten = BigInteger.TEN.pow(Math.max(0, decimal.scale()));
        BigInteger times = decimal.multiply(new BigDecimal(ten)).toBigIntegerExact();
        return rounded(BigInteger.valueOf(amount).multiply(times), ten.multiply(HUNDRED));
    }

    private static JsonNode byId(JsonNode list, String id) {
        for (JsonNode one : list) {
            if (one.get("id").stringValue().equals(id)) {
                return one;
            }
        }
        throw new IllegalArgumentException(id);
    }

    private static boolean lists(JsonNode list, JsonNode value) {
        for (JsonNode one : list) {
            if (one.equals(value)) {
                return true;
            }
        }
        return false;
    }

    private static OffsetDateTime instant(JsonNode node) {
        return OffsetDateTime.parse(node.stringValue());
    }

    private JsonNode offer(JsonNode line) {
        return byId(house.get("offers"), line.get("offer").stringValue());
    }

    private static JsonNode length(JsonNode offer, JsonNode line) {
        return line.has("length")
                ? byId(offer.get("lengths"), line.get("length").stringValue())
                : offer.get("lengths").get(0);
    }

    ObjectNode quote(JsonNode basket) {
        List<long[]> amounts = new ArrayList<>();
        long subtotal = 0;
        for (JsonNode line : basket.get("lines")) {
            long[] ladder = ladder(line, instant(basket.get("now")));
            amounts.add(ladder);
            subtotal += ladder[3];
        }
        long[] discounts = new long[amounts.size()];
        String promo = promo(basket, amounts, discounts);
        ObjectNode answer = JsonNodeFactory.instance.objectNode();
        ArrayNode lines = answer.putArray("lines");
        TreeMap<BigDecimal, Long> byRate = new TreeMap<>();
        long total = 0;
        long dueNow = 0;
        for (int i = 0; i < discounts.length; i++) {
            JsonNode line = basket.get("lines").get(i);
            long lineTotal = amounts.get(i)[3] - discounts[i];
            ObjectNode told = lines.addObject();
            told.put("base", amounts.get(i)[0])
                    .put("adjusted", amounts.get(i)[1])
                    .put("addOns", amounts.get(i)[2]);
            told.put("amount", amounts.get(i)[3]).put("discount", discounts[i]).put("total", lineTotal);
            dueNow += due(told, offer(line), line, lineTotal, instant(basket.get("now")));
            total += lineTotal;
            byRate.merge(new BigDecimal(offer(line).path("taxPercent").asString("0")), lineTotal, Long::sum);
        }
        long discount = 0;
        for (long one : discounts) {
            discount += one;
        }
        answer.put("subtotal", subtotal)
                .put("discount", discount)
                .put("promo", promo)
                .put("total", total);
        taxes(answer.putArray("taxes"), byRate);
        answer.put("dueNow", dueNow).put("balance", total - dueNow);
        return answer;
    }

    /** Steps 1 to 5: base, adjusted, add-ons, amount. */
    private long[] ladder(JsonNode line, OffsetDateTime now) {
        JsonNode offer = offer(line);
        JsonNode length = length(offer, line);
        long price = length.get("price").longValue();
        JsonNode named = line.path("staff");
        if (offer.path("staff").path("pick").asString("").equals("any") && named.size() == 1) {
            price = offer.get("staff")
                    .path("prices")
                    .path(named.get(0).stringValue())
                    .path(length.get("id").stringValue())
                    .asLong(price);
        }
        int units = line.path("units").asInt(1);
        int party = line.path("party").asInt(1);
        long sum = 0;
        for (int unit = 0; unit < units; unit++) {
            OffsetDateTime begins = instant(line.get("start"))
                    .plusMinutes((long) unit * length.get("minutes").intValue());
            long running = price;
            for (JsonNode rule : offer.path("priceRules")) {
                if (holds(rule, line, offer, length, begins.atZoneSameInstant(zone), now)) {
                    running = rule.has("set")
                            ? rule.get("set").longValue()
                            : rule.has("add")
                                    ? running + rule.get("add").longValue()
                                    : running + share(rule.get("percent"), running);
                    running = running < 0 ? 0 : running;
                }
            }
            sum += running;
        }
        long adjusted = offer.path("basis").asString("booking").equals("person") ? sum * party : sum;
        long addOns = 0;
        for (var asked : line.path("addOns").properties()) {
            JsonNode addOn = byId(offer.get("addOns"), asked.getKey());
            long each = addOn.get("price").longValue() * asked.getValue().longValue();
            addOns += addOn.path("per").asString("unit").equals("person") ? each * party : each;
        }
        return new long[] {price * units, adjusted, addOns, adjusted + addOns};
    }

    private static boolean holds(
            JsonNode rule, JsonNode line, JsonNode offer, JsonNode length, ZonedDateTime begins, OffsetDateTime now) {
        LocalDate date = begins.toLocalDate();
        LocalTime time = begins.toLocalTime();
        LocalTime from = rule.has("from") ? LocalTime.parse(rule.get("from").stringValue()) : null;
        LocalTime to = rule.has("to") ? LocalTime.parse(rule.get("to").stringValue()) : null;
        if (from != null && to != null && !to.isAfter(from)) {
            boolean lateOnItsDate = !time.isBefore(from);
            boolean earlyOnTheNext = time.isBefore(to);
            if (!lateOnItsDate && !earlyOnTheNext) {
                return false;
            }
            // To 24 hours and no more: with equal ends every time is in reach, and early means the day before.
            date = earlyOnTheNext ? date.minusDays(1) : date;
        } else if (from != null && time.isBefore(from) || to != null && !time.isBefore(to)) {
            return false;
        }
        String day = date.getDayOfWeek()
                .getDisplayName(TextStyle.SHORT, Locale.ENGLISH)
                .toLowerCase(Locale.ROOT);
        JsonNode dates = rule.path("dates");
        OffsetDateTime start = instant(line.get("start"));
        int party = line.path("party").asInt(1);
        JsonNode place =
                line.has("place") ? line.get("place") : offer.path("places").path(0);
        return (!rule.has("days") || lists(rule.get("days"), JsonNodeFactory.instance.stringNode(day)))
                && (!dates.has("from")
                        || !date.isBefore(LocalDate.parse(dates.get("from").stringValue())))
                && (!dates.has("to")
                        || !date.isAfter(LocalDate.parse(dates.get("to").stringValue())))
                && (!rule.has("hoursBeforeAtLeast")
                        || !start.isBefore(
                                now.plusHours(rule.get("hoursBeforeAtLeast").longValue())))
                && (!rule.has("hoursBeforeLessThan")
                        || start.isBefore(
                                now.plusHours(rule.get("hoursBeforeLessThan").longValue())))
                && (!rule.has("partyAtLeast")
                        || party >= rule.get("partyAtLeast").intValue())
                && (!rule.has("partyLessThan")
                        || party < rule.get("partyLessThan").intValue())
                && (!rule.has("staff") || serves(offer, line, rule.get("staff")))
                && (!rule.has("places") || lists(rule.get("places"), place))
                && (!rule.has("lengths") || lists(rule.get("lengths"), length.get("id")));
    }

    private static boolean serves(JsonNode offer, JsonNode line, JsonNode listed) {
        boolean all = offer.path("staff").path("pick").asString("").equals("all");
        for (JsonNode person : all ? offer.get("staff").get("of") : line.path("staff")) {
            if (lists(listed, person)) {
                return true;
            }
        }
        return false;
    }

    /** Step 7; fills in the discounts. */
    private String promo(JsonNode basket, List<long[]> amounts, long[] discounts) {
        String said = basket.path("promoCode").asString("").trim();
        if (said.isEmpty()) {
            return "none";
        }
        JsonNode code = null;
        for (JsonNode one : house.path("promoCodes")) {
            if (one.get("code").stringValue().trim().equalsIgnoreCase(said)) {
                code = one;
            }
        }
        if (code == null) {
            return "unknown";
        }
        OffsetDateTime now = instant(basket.get("now"));
        if (code.has("from") && now.isBefore(instant(code.get("from")))) {
            return "early";
        }
        if (code.has("to") && now.isAfter(instant(code.get("to")))) {
            return "expired";
        }
        if (code.has("maxUses")
                && code.path("used").asInt(0) >= code.get("maxUses").intValue()) {
            return "used-up";
        }
        List<Integer> eligible = new ArrayList<>();
        long sum = 0;
        for (int i = 0; i < discounts.length; i++) {
            if (!code.has("offers")
                    || lists(code.get("offers"), basket.get("lines").get(i).get("offer"))) {
                eligible.add(i);
                sum += amounts.get(i)[3];
            }
        }
        if (eligible.isEmpty()) {
            return "not-for-these-offers";
        }
        if (sum < code.path("minSubtotal").asLong(0)) {
            return "below-minimum";
        }
        if (code.has("percent")) {
            for (int i : eligible) {
                discounts[i] = share(code.get("percent"), amounts.get(i)[3]);
            }
            return "applied";
        }
        long amount = Math.min(code.get("amount").longValue(), sum);
        long left = amount;
        for (int i : eligible) {
            discounts[i] = sum == 0 ? 0 : amount * amounts.get(i)[3] / sum;
            left -= discounts[i];
        }
        // One unit after another to the largest remainder that has none yet, the earliest of equal ones.
        if (left > 0) {
            Iterator<Integer> next = byRemainder(eligible, amounts, amount, sum);
            for (; left > 0; left--) {
                discounts[next.next()]++;
            }
        }
        return "applied";
    }

    private static Iterator<Integer> byRemainder(List<Integer> eligible, List<long[]> amounts, long amount, long sum) {
        List<Integer> order = new ArrayList<>();
        List<Integer> rest = new ArrayList<>(eligible);
        while (!rest.isEmpty()) {
            int best = rest.get(0);
            for (int i : rest) {
                if (amount * amounts.get(i)[3] % sum > amount * amounts.get(best)[3] % sum) {
                    best = i;
                }
            }
            order.add(best);
            rest.remove((Integer) best);
        }
        return order.iterator();
    }

    /** Step 9. */
    private static void taxes(ArrayNode taxes, TreeMap<BigDecimal, Long> byRate) {
        byRate.forEach((rate, sum) -> {
            int scale = Math.max(0, rate.scale());
            BigInteger ten = BigInteger.TEN.pow(scale);
            BigInteger times = rate.multiply(new BigDecimal(ten)).toBigIntegerExact();
            long net = rounded(
                    BigInteger.valueOf(sum).multiply(HUNDRED).multiply(ten),
                    HUNDRED.multiply(ten).add(times));
            String printed =
                    rate.signum() == 0 ? "0" : rate.stripTrailingZeros().toPlainString();
            taxes.addObject().put("rate", printed).put("net", net).put("tax", sum - net);
        });
    }

    /** Steps 10 and 11. */
    private long due(ObjectNode told, JsonNode offer, JsonNode line, long total, OffsetDateTime now) {
        JsonNode payment = offer.path("payment");
        JsonNode deposit = payment.path("deposit");
        long due =
                switch (payment.path("when").asString("full")) {
                    case "deposit" -> deposit.has("percent")
                            ? share(deposit.get("percent"), total)
                            : Math.min(deposit.get("amount").longValue(), total);
                    case "venue" -> 0;
                    case "choice" -> line.path("pay").asString("now").equals("now") ? total : 0;
                    default -> total;
                };
        LocalDate date = instant(line.get("start")).atZoneSameInstant(zone).toLocalDate();
        if (payment.path("balance").has("daysBefore")) {
            date = date.minusDays(payment.get("balance").get("daysBefore").intValue());
            if (!date.isAfter(now.atZoneSameInstant(zone).toLocalDate())) {
                due = total;
            }
        }
        told.put("dueNow", due).put("balance", total - due);
        told.put("balanceDue", total == due ? null : date.toString());
        return due;
    }

    ObjectNode cancellation(JsonNode asked) {
        JsonNode terms = offer(asked).path("terms");
        OffsetDateTime start = instant(asked.get("start"));
        OffsetDateTime at = instant(asked.get("at"));
        long total = asked.get("lineTotal").longValue();
        long paid = asked.get("paid").longValue();
        boolean host = asked.get("by").stringValue().equals("host");
        Integer tier = null;
        JsonNode tiers = terms.path("cancel");
        for (int i = 0; i < tiers.size() && !host; i++) {
            int hours = tiers.get(i).get("hoursBefore").intValue();
            boolean early = !at.plusHours(hours).isAfter(start);
            if (early
                    && (tier == null
                            || hours > tiers.get(tier).get("hoursBefore").intValue())) {
                tier = i;
            }
        }
        long keep;
        if (host || tiers.isEmpty() && at.isBefore(start)) {
            keep = 0;
        } else if (tier == null) {
            keep = total;
        } else {
            JsonNode kept = tiers.get(tier).get("keep");
            keep = kept.has("percent")
                    ? share(kept.get("percent"), total)
                    : kept.has("deposit")
                            ? Math.min(total, asked.path("deposit").asLong(0))
                            : kept.has("amount")
                                    ? Math.min(total, kept.get("amount").longValue())
                                    : total;
        }
        keep = host ? keep : Math.max(keep, asked.path("floor").asLong(0));
        JsonNode move = terms.path("move");
        ObjectNode answer = JsonNodeFactory.instance.objectNode();
        answer.put("tier", tier).put("keep", keep).put("refund", Math.max(0, paid - keep));
        answer.put("uncollected", Math.max(0, keep - paid));
        answer.put(
                "mayMove",
                move.has("hoursBefore")
                        && !at.plusHours(move.get("hoursBefore").longValue()).isAfter(start));
        return answer;
    }
}
