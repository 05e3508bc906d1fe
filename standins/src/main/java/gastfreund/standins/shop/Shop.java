package gastfreund.standins.shop;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;

/**
 * A shop that sells a box of clay together with a time at the house: both lie in one basket of its own, are paid at its own
 * till in one sum, and the house gets its order with the money noted as taken here.
 */
final class Shop {

    /** What its own box costs, in the smallest coins. */
    static final long BOX = 2_900;

    private final House house;
    private final String offer;
    private final AtomicInteger sales = new AtomicInteger();
    private final List<Sale> till = new ArrayList<>();

    Shop(House house, String offer) {
        this.house = house;
        this.offer = offer;
    }

    /** A time that can be had, and the lowest price there. */
    record Time(String start, long price) {}

    /**
     * What was sold.
     *
     * @param number of the sale here
     * @param sum what was taken at the till: box and time
     * @param time what of it was for the time
     * @param order the number of the order at the house; 0: there is none
     * @param sorry why the time was not sold; empty: it was
     */
    record Sale(int number, long sum, long time, long order, String page, String sorry) {}

    /** The times of the next days, as the house tells everybody. */
    List<Time> times() {
        List<Time> times = new ArrayList<>();
        for (JsonNode opening :
                house.get("/offers/" + encoded(offer) + "/openings").body().path("openings")) {
            long lowest = Long.MAX_VALUE;
            for (JsonNode option : opening.path("options")) {
                lowest = Math.min(lowest, option.path("price").asLong());
            }
            times.add(new Time(opening.path("start").asString(), lowest));
        }
        return times;
    }

    /**
     * Sells a box and a time: the time is held first, then all is paid here, then it is ordered. Where it cannot be held,
     * nothing is taken; where the order is refused after all, what was taken for the time is given back.
     */
    Sale sell(String start, String name, String email, String phone) {
        int number = sales.incrementAndGet();
        House.Answer held =
                house.post("/holds", Map.of("offer", offer, "start", start, "guest", email), "hold-" + number);
        if (!held.isDone()) {
            return booked(new Sale(number, 0, 0, 0, "", held.why()));
        }
        long due = held.body().path("bill").path("dueNow").asLong();
        // Here the shop's own checkout takes box and time in one sum.
        House.Answer ordered = house.post(
                "/orders",
                Map.of(
                        "basket", held.body().path("basket").asString(),
                        "contact", Map.of("name", name, "email", email, "phone", phone),
                        "agreed", agreed(),
                        "paid", Map.of("amount", due, "reference", "sale " + number)),
                "order-" + number);
        if (!ordered.isDone()) {
            return booked(new Sale(number, BOX, 0, 0, "", ordered.why()));
        }
        return booked(new Sale(
                number,
                BOX + due,
                due,
                ordered.body().path("number").asLong(),
                ordered.body().path("page").asString(),
                ""));
    }

    /** The house's texts to which buyers agree in the shop's own checkout, where they are linked. */
    private List<String> agreed() {
        List<String> agreed = new ArrayList<>();
        for (JsonNode text : house.get("/house").body().path("texts")) {
            if (text.path("agree").asBoolean()) {
                agreed.add(text.path("id").asString());
            }
        }
        return agreed;
    }

    /** All that was sold. */
    synchronized List<Sale> till() {
        return List.copyOf(till);
    }

    private synchronized Sale booked(Sale sale) {
        till.add(sale);
        return sale;
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
